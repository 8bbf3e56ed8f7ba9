<script lang="ts">
	import type { ImportPreview } from '$lib/formats/backup/importPreview';

	interface Props {
		preview: ImportPreview;
		busy: boolean;
		onapply: () => void;
		oncancel: () => void;
	}
	let { preview, busy, onapply, oncancel }: Props = $props();
	const EFFECTS = [
		{ effect: 'added', words: 'new here' },
		{ effect: 'changed', words: 'replace what is here; the present version is kept beside' },
		{ effect: 'skipped', words: 'the same as here' }
	] as const;
	const of = (effect: (typeof EFFECTS)[number]['effect']) => preview.records.filter((r) => r.effect === effect);
</script>

<section class="border-edge bg-sheet rounded-xl border p-4" aria-label="What the file would do">
	<h3 class="text-[15px] font-semibold">This is what would happen</h3>
	{#each EFFECTS as { effect, words } (effect)}
		{@const list = of(effect)}
		{#if list.length}
			<details class="border-hair border-t py-1.5" open={effect === 'changed'}>
				<summary class="cursor-pointer"><b>{list.length} {effect}</b> <span class="text-ink2">{words}</span></summary>
				<ul class="text-ink2 max-h-44 overflow-y-auto pl-4">
					{#each list.slice(0, 200) as r (r.kind + r.id)}<li>
							{r.title} <span class="text-ink3">({r.kind})</span>
						</li>{/each}
					{#if list.length > 200}<li>and {list.length - 200} more</li>{/if}
				</ul>
			</details>
		{/if}
	{/each}
	{#each preview.counts as c (c.kind)}
		<p class="border-hair border-t py-1.5"><b>{c.count} {c.count === 1 ? c.one : c.many}</b> <span class="text-ink2">{c.rest}</span></p>
	{/each}
	{#if preview.leftOut.length}
		<details class="border-hair border-t py-1.5" open>
			<summary class="text-flag cursor-pointer"
				><b>Left out</b> <span class="text-ink2">cannot be read, and stays in the file</span></summary
			>
			<ul class="text-ink2 max-h-44 overflow-y-auto pl-4">
				{#each preview.leftOut as p, i (i)}<li>
						{#if p.path}<code class="text-ink3 text-[11.5px] break-all">{p.path}</code>{' '}{/if}{p.message}
					</li>{/each}
			</ul>
		</details>
	{/if}
	<div class="mt-3 flex gap-2">
		<button type="button" class="btn btn-primary" disabled={!preview.worth || busy} onclick={onapply}
			>{preview.worth ? 'Import' : 'Nothing to import'}</button
		>
		<button type="button" class="btn" onclick={oncancel}>Cancel</button>
	</div>
</section>
