<script lang="ts">
	import Pencil from '@lucide/svelte/icons/pencil';
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { toast } from 'svelte-sonner';
	import { MEDIA } from '$lib/core/medium/media';
	import type { Medium } from '$lib/core/medium/medium.schema';
	import { CustomEditing } from '$lib/state/customEditing.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import MediumForm from '$lib/ui/views/library/MediumForm.svelte';

	const app = useApp();
	const media = $derived([...app.own.media, ...MEDIA]);
	const ownIds = $derived(new Set(app.own.media.map((m) => m.id)));
	const editing = new CustomEditing<Medium>(app, 'medium');
	const blank = (): Medium => ({ id: `own-${app.repo.stamp().newId()}`, title: '', halfLifeSeconds: 720, allergens: [], note: '' });
	async function remove(medium: Medium) {
		const record = await app.run(() => app.repo.removeCustom('medium', medium.id));
		if (!record) return;
		toast(`“${medium.title}” is removed. Sequences keep their copies.`, {
			duration: 15_000,
			action: { label: 'Put it back', onClick: () => void app.run(() => app.repo.putCustomBack('medium', record)) }
		});
	}
	/** What is left of a film after ten minutes: what the half-life means. */
	const leftAfterTen = (m: Medium) => 2 ** (-600 / m.halfLifeSeconds);
</script>

<section class="min-h-0 flex-1 overflow-y-auto px-4 pb-8" aria-label="Media">
	<div class="flex flex-wrap items-center gap-3 py-2">
		<h1 class="sr-only">Media</h1>
		<p class="text-ink2 flex-1 text-xs">
			How long each lasts on the skin, and whom to ask first. All values are working values; a drop is 0.05 ml, a pump 0.1 ml.
		</p>
		<button type="button" class="btn btn-primary" onclick={() => editing.begin(blank())}><Plus size={14} />A medium of mine</button>
	</div>
	{#each app.own.media as medium (medium.id)}<SecondVersions kind="medium" id={medium.id} onsettled={editing.leave} />{/each}
	{#if editing.item}{#key editing.item.id}<MediumForm
				medium={editing.item}
				onsave={(m) => editing.keep(m)}
				oncancel={editing.leave}
			/>{/key}{/if}
	<table class="w-full max-w-[980px] text-[13px]">
		<thead class="text-ink3 text-left text-[11px]">
			<tr class="border-hair border-b"
				><th class="py-1 font-normal">Medium</th><th class="font-normal">Half absorbed after</th><th class="font-normal"
					>Left after ten minutes</th
				><th class="font-normal">Ask about</th><th class="font-normal">Note</th><th><span class="sr-only">Actions</span></th></tr
			>
		</thead>
		<tbody>
			{#each media as medium (medium.id)}
				<tr class="border-hair border-b">
					<th class="py-2 text-left font-[560]"
						>{medium.title}{#if ownIds.has(medium.id)}<span class="text-ink2 font-normal"> · yours</span>{/if}</th
					>
					<td>{Math.round((medium.halfLifeSeconds / 60) * 10) / 10} min</td>
					<td>
						<span class="flex items-center gap-2"
							><span class="bg-sand block h-1.5 w-24 overflow-hidden rounded-full" aria-hidden="true"
								><span class="bg-drain block h-full" style="width: {100 * leftAfterTen(medium)}%"></span></span
							>{Math.round(100 * leftAfterTen(medium))} %</span
						>
					</td>
					<td>{medium.allergens.join(', ').replaceAll('-', ' ') || 'nothing known'}</td>
					<td class="text-ink2">{medium.note}</td>
					<td class="text-right whitespace-nowrap">
						{#if ownIds.has(medium.id)}
							<button type="button" class="btn" aria-label="Change {medium.title}" onclick={() => editing.change(medium.id)}
								><Pencil size={14} /></button
							>
							<button type="button" class="btn" aria-label="Remove {medium.title}" onclick={() => remove(medium)}
								><Trash2 size={14} /></button
							>
						{:else}
							<button
								type="button"
								class="btn"
								aria-label="Copy {medium.title} as mine"
								onclick={() => editing.begin({ ...medium, id: blank().id, title: `${medium.title}, mine` })}>Copy as mine</button
							>
						{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</section>
{#if editing.gone}<GoneDialog {...editing.gone} onkeep={editing.keepAsNew} ondrop={editing.leave} />{/if}
