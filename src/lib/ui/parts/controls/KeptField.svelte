<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';
	import { Typed } from '$lib/state/typed.svelte';

	interface Props {
		/** Shown over the field; `hidden`: for screen readers only. */
		label: string;
		hidden?: boolean;
		/** As it is stored now, and the id of what it belongs to. */
		value: string;
		of?: string;
		maxlength: number;
		/** More than one line. */
		rows?: number;
		placeholder?: string;
		class?: string;
		/** Stores what is typed, with what it belongs to and the value from which it was typed on; the words of a refusal are shown beneath. */
		onkeep: (text: string, of: string, from: string) => string | void;
		/** The field is left. */
		onleave?: () => void;
	}
	let { label, hidden = false, value, of = '', maxlength, rows = 1, placeholder, class: look = 'field', onkeep, onleave }: Props = $props();
	const typed = new Typed({ value: () => value, of: () => of, keep: (text, begunFor, from) => onkeep(text, begunFor, from) });
	const uid = $props.id();
	const common = $derived<HTMLInputAttributes>({
		autocomplete: 'off',
		maxlength,
		placeholder,
		class: look,
		'aria-describedby': typed.other !== null || typed.refusal ? uid : undefined,
		onfocus: typed.begin,
		oninput: (e) => typed.type(e.currentTarget.value),
		onkeydown: (e) => {
			if (e.key === 'Enter' && rows === 1) e.currentTarget.blur();
		},
		onblur: () => {
			typed.end();
			onleave?.();
		}
	});
	$effect(() => typed.flush);
</script>

<!-- Before a page goes there is a moment in which the database still writes; when it goes, hardly one. -->
<svelte:window onbeforeunload={typed.flush} onpagehide={typed.flush} />
<svelte:document onvisibilitychange={() => document.hidden && typed.flush()} />

<label class="block"
	><span class={hidden ? 'sr-only' : 'label'}>{label}</span>{#if rows > 1}<textarea
			{rows}
			{...common as unknown as Record<string, unknown>}
			value={typed.text}></textarea>{:else}<input {...common} value={typed.text} />{/if}</label
>
{#if typed.other !== null || typed.refusal}
	<p id={uid} class="text-ink2 flex flex-wrap items-center gap-2 pt-1 text-xs" role="status">
		{#if typed.refusal}<span class="text-flag">{typed.refusal}</span>{/if}
		{#if typed.other !== null}
			<span class="min-w-0 flex-1">Changed elsewhere to “{typed.other || 'nothing'}”. What you type is kept too.</span>
			<button type="button" class="btn" onmousedown={(e) => e.preventDefault()} onclick={typed.takeOther}>Take that</button>
		{/if}
	</p>
{/if}
