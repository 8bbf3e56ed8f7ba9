<script lang="ts">
	import { hour, shortDay } from '../../../parts/dates';
	import Awaited from '../../../parts/shell/Awaited.svelte';
	import { difference } from './versionWords';
	import { editTo } from '$lib/core/sequence/editTo';
	import { useApp } from '$lib/state/app.svelte';
	import { useVersions } from '$lib/state/versions.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const app = useApp();
	const versions = useVersions(() => draft.sequence.id);
	let name = $state('');
	let looked = $state<string | null>(null);

	async function keep() {
		await app.run(() =>
			app.repo.keepVersion($state.snapshot(draft.stored) as typeof draft.stored, name.trim() || `Version of ${when(app.repo.stamp().now)}`)
		);
		name = '';
	}
	const past = $derived(draft.history.past);
	const future = $derived(draft.history.future);
	/** The edits around the present one: the latest twelve done, and those that can be done again. */
	const shown = $derived([
		...past.slice(-12).map((e, i) => ({ label: e.label, at: past.length - Math.min(12, past.length) + i + 1, done: true })),
		...future.slice(0, 6).map((e, i) => ({ label: e.label, at: past.length + i + 1, done: false }))
	]);
	const when = (iso: string) => `${shortDay(iso)}, ${hour(iso)}`;
</script>

<section class="border-hair mt-4 border-t pt-2" aria-label="Versions">
	<h3 class="text-[13.5px] font-semibold">Versions</h3>
	<form
		class="my-1.5 flex gap-1.5"
		onsubmit={(e) => {
			e.preventDefault();
			void keep();
		}}
	>
		<input
			autocomplete="off"
			class="field min-h-7 py-0.5 text-xs"
			aria-label="Name of the version"
			placeholder="Name, such as: before the wedding"
			maxlength="200"
			bind:value={name}
		/>
		<button class="btn whitespace-nowrap">Save this version</button>
	</form>
	<Awaited of={versions.current} what="The saved versions">
		{#snippet children(kept)}
			<ul>
				{#each kept as version (version.id)}
					{@const open = looked === version.id}
					<li class="border-hair border-b py-1">
						<div class="flex items-baseline gap-2">
							<button
								type="button"
								class="min-h-6 min-w-0 flex-1 truncate text-left font-[530]"
								aria-expanded={open}
								onclick={() => (looked = open ? null : version.id)}>{version.name}</button
							>
							<span class="text-ink3 text-[11.5px]">{when(version.keptAt)}</span>
						</div>
						{#if open}
							{@const lines = difference(version.sequence, draft.sequence)}
							<p class="text-ink2 text-xs">{lines.length ? 'Since then:' : 'The sequence is as it was then.'}</p>
							<ul class="text-ink2 max-h-40 list-disc overflow-y-auto pl-4 text-xs leading-[17px]">
								{#each lines as line, i (i)}<li>{line}</li>{/each}
							</ul>
							<div class="mt-1 flex gap-1.5">
								<button
									type="button"
									class="btn min-h-6 px-2 text-xs"
									disabled={!lines.length}
									onclick={() =>
										draft.attempt(() =>
											editTo(
												draft.sequence,
												{
													...version.sequence,
													id: draft.sequence.id,
													revision: draft.sequence.revision,
													updatedAt: draft.sequence.updatedAt
												},
												`Go back to ${version.name}`
											)
										)}>Go back to it</button
								>
								<button type="button" class="btn min-h-6 px-2 text-xs" onclick={() => app.run(() => app.repo.discard(version.id))}
									>Delete</button
								>
							</div>
						{/if}
					</li>
				{:else}
					<li class="text-ink2 text-xs leading-4">None is saved yet. A saved version stays as it is while the sequence goes on.</li>
				{/each}
			</ul>
		{/snippet}
	</Awaited>
	{#if shown.length}
		<h3 class="mt-3 text-[13.5px] font-semibold">Edits</h3>
		<ol class="text-xs leading-5" aria-label="History of the edits">
			{#if past.length > 12}<li class="text-ink3">{past.length - 12} more before these</li>{/if}
			{#each shown as edit (edit.at)}
				<li>
					<button
						type="button"
						class="hover:bg-wash w-full truncate rounded px-1 text-left {edit.done ? '' : 'text-ink3'} {edit.at === past.length
							? 'font-semibold'
							: ''}"
						aria-current={edit.at === past.length ? 'step' : undefined}
						title={edit.done ? 'Go back to after this edit' : 'Do again up to this edit'}
						onclick={() => draft.goTo(edit.at)}>{edit.label}</button
					>
				</li>
			{/each}
		</ol>
	{/if}
</section>
