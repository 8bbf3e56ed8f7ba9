<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import type { Aim } from '$lib/core/vocabulary/vocabulary';
	import type { PlaceId } from '$lib/core/atlas/places';
	import { troubleText } from '$lib/core/notation/parse';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { Techniques } from '$lib/state/techniques.svelte';
	import { TextSync } from '$lib/state/textSync.svelte';
	import { openEditor, type Editor } from './editor';

	interface Props {
		draft: SequenceDraft;
		library: Techniques;
		newId: () => string;
	}
	let { draft, library, newId }: Props = $props();
	/** ms of rest after a key until the text is read. */
	const READ_MS = 180;

	const sync = untrack(
		() =>
			new TextSync(
				draft,
				() => newId(),
				() => library.all
			)
	);
	let host: HTMLDivElement;
	let editor: Editor | undefined;
	let timer: ReturnType<typeof setTimeout> | undefined;
	let copied = $state(false);

	onMount(() => {
		editor = openEditor({
			parent: host,
			text: sync.text,
			single: false,
			label: 'The sequence as text',
			complete: {
				whole: true,
				movesFor: (aim: Aim, places: readonly PlaceId[]) => library.suiting(places).filter((t) => t.aim === aim)
			},
			onchange: (text) => {
				clearTimeout(timer);
				timer = setTimeout(() => read(text), READ_MS);
			},
			online: (line) => {
				const id = sync.stepAt(line);
				if (id && id !== draft.selectedId) draft.select(id);
			},
			onblur: () => {
				flush();
				draft.settle();
			}
		});
		return () => {
			flush();
			draft.settle();
			editor?.destroy();
		};
	});
	function read(text: string) {
		timer = undefined;
		sync.typed(text);
		editor?.setTroubles(sync.troubles);
	}
	/** What was typed a moment ago is read before anything else is done. */
	function flush() {
		if (timer === undefined || !editor) return;
		clearTimeout(timer);
		read(editor.text);
	}
	// Steps that change elsewhere are written into the text.
	$effect(() => {
		void draft.sequence;
		untrack(() => {
			if (timer !== undefined) return;
			sync.follow();
			editor?.setText(sync.text);
		});
	});
	$effect(() => {
		const line = sync.lineOf(draft.selectedId);
		void sync.text;
		untrack(() => editor?.setLine(line));
	});
	function takeSteps() {
		sync.takeSteps();
		editor?.setText(sync.text);
		editor?.setTroubles([]);
	}
	async function copy() {
		await navigator.clipboard.writeText(editor?.text ?? sync.text);
		copied = true;
		setTimeout(() => (copied = false), 2000);
	}
</script>

<div class="flex min-h-0 flex-1 flex-col">
	<div class="border-hair mb-1 flex items-center gap-2 border-b pb-1.5">
		<p class="text-ink2 flex-1 text-[11.5px]" role="status">
			{#if sync.troubles.length}{sync.troubles.length === 1 ? 'One line' : `${sync.troubles.length} lines`} not understood; the steps stay as
				they were.
			{:else}In step with the list: {draft.steps.length} {draft.steps.length === 1 ? 'step' : 'steps'}.{/if}
		</p>
		<a class="text-ink2 dotted text-[11.5px]" href="/library/notation">How it is written</a>
		<button type="button" class="btn min-h-6 px-2 text-xs" onclick={copy}>{copied ? 'Copied' : 'Copy'}</button>
	</div>
	{#if sync.behind}
		<p class="text-flag pb-1 text-xs" role="alert">
			The steps were changed elsewhere meanwhile. Correct the text to keep it, or
			<button type="button" class="dotted" onclick={takeSteps}>write it anew from the steps</button>.
		</p>
	{/if}
	<div bind:this={host} data-editor class="-mx-2 min-h-40 flex-1 overflow-hidden"></div>
	{#if sync.troubles.length}
		<ul class="border-hair max-h-28 overflow-y-auto border-t pt-1" aria-label="What is not understood">
			{#each sync.troubles.slice(0, 20) as trouble, i (i)}
				<li>
					<button
						type="button"
						class="hover:bg-wash w-full rounded px-1 py-0.5 text-left text-xs leading-4"
						onclick={() => editor?.goTo(trouble.line, trouble.column)}>{troubleText(trouble)}</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</div>
