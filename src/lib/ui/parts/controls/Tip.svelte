<script lang="ts">
	import { onDestroy, type Snippet } from 'svelte';
	import { tipLayer } from './fetchedParts';

	interface Props {
		text: string;
		/** The control itself; spread `props` on it. */
		children: Snippet<[{ props: Record<string, unknown> }]>;
	}
	let { text, children: control }: Props = $props();
	/** ms that a pointer rests before the tip shows. */
	const REST_MS = 500;
	/** What the tip stands at while it shows. */
	let anchor = $state<HTMLElement | null>(null);
	let timer: ReturnType<typeof setTimeout> | undefined;
	function show(at: HTMLElement, afterMs: number) {
		void tipLayer.want();
		timer = setTimeout(() => (anchor = at), afterMs);
	}
	function hide() {
		clearTimeout(timer);
		anchor = null;
	}
	const handlers = {
		onpointerenter: (e: PointerEvent) => e.pointerType !== 'touch' && show(e.currentTarget as HTMLElement, REST_MS),
		onpointerleave: hide,
		onpointerdown: hide,
		onfocus: (e: FocusEvent) => (e.currentTarget as HTMLElement).matches(':focus-visible') && show(e.currentTarget as HTMLElement, 0),
		onblur: hide
	};
	onDestroy(hide);
</script>

{@render control({ props: handlers })}
{#if anchor && tipLayer.current}<tipLayer.current {text} {anchor} onclose={hide} />{/if}
