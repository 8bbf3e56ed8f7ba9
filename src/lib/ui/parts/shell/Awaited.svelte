<script lang="ts" generics="T">
	import type { Snippet } from 'svelte';
	import { isStoreless, storageTrouble } from '$lib/state/trouble';
	import type { Read } from '$lib/state/rows';

	interface Props {
		of: Read<T>;
		/** What is read, as it begins a sentence: “The sessions of Odile”. */
		what: string;
		/** What is read. It is never seen without its rows. */
		children?: Snippet<[T]>;
		/** While it is being read; nothing where that is absent. */
		pending?: Snippet;
	}
	let { of, what, children, pending }: Props = $props();
</script>

{#if of.state === 'here'}{@render children?.(of.rows)}
{:else if of.state === 'pending'}<span class="sr-only" role="status" data-read="pending">{what}: being read …</span>{@render pending?.()}
{:else}
	<div class="border-flag bg-sheet m-4 max-w-[620px] space-y-2 rounded-xl border p-4 text-[14px] leading-5" role="alert" data-read="failed">
		<p><b class="font-semibold">{what} could not be read.</b> Nothing of it is shown and nothing is lost.</p>
		<p class="text-ink2">
			{isStoreless(of.cause)
				? storageTrouble(of.cause)
				: 'Try again. If it stays so, reload the page; a backup can still be made on the page Exchange.'}
		</p>
		<button type="button" class="btn" onclick={of.again}>Try again</button>
	</div>
{/if}
