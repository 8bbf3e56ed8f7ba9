<script lang="ts">
	import { untrack } from 'svelte';
	import { MediumSchema, type Medium } from '$lib/core/medium/medium.schema';
	import { ALLERGENS } from '$lib/core/medium/allergens';
	import { FormDraft } from './formDraft.svelte';
	import Problems from './Problems.svelte';

	interface Props {
		medium: Medium;
		onsave: (medium: Medium) => void;
		oncancel: () => void;
	}
	let { medium, onsave, oncancel }: Props = $props();
	const form = new FormDraft<Medium>(
		untrack(() => medium),
		MediumSchema
	);
	const draft = $derived(form.draft);
	const { set } = form;
	function submit(e: SubmitEvent) {
		e.preventDefault();
		form.keep(onsave, (m) => ({ ...m, title: m.title.trim() }));
	}
</script>

<form class="border-edge bg-sheet mb-3 max-w-[980px] rounded-xl border p-4" onsubmit={submit} aria-label="Your medium">
	<div class="flex flex-wrap items-end gap-3">
		<label class="min-w-48 flex-1"
			><span class="label">Name</span><input
				autocomplete="off"
				class="field"
				maxlength="200"
				required
				value={draft.title}
				oninput={(e) => set({ title: e.currentTarget.value })}
			/></label
		>
		<label
			><span class="label">Half absorbed after, minutes</span><input
				autocomplete="off"
				class="field w-28"
				type="number"
				min="0.5"
				step="0.5"
				value={draft.halfLifeSeconds / 60}
				oninput={(e) => set({ halfLifeSeconds: 60 * e.currentTarget.valueAsNumber })}
			/></label
		>
		<fieldset>
			<legend class="label">Ask about</legend>
			<div class="flex flex-wrap gap-x-3 gap-y-1 text-xs">
				{#each ALLERGENS as allergen (allergen)}
					<label class="flex items-center gap-1.5"
						><input
							type="checkbox"
							checked={draft.allergens.includes(allergen)}
							onchange={(e) =>
								set({
									allergens: e.currentTarget.checked ? [...draft.allergens, allergen] : draft.allergens.filter((a) => a !== allergen)
								})}
						/>{allergen.replace('-', ' ')}</label
					>
				{/each}
			</div>
		</fieldset>
	</div>
	<label class="mt-3 block"
		><span class="label">Note</span><input
			autocomplete="off"
			class="field"
			maxlength="300"
			value={draft.note}
			oninput={(e) => set({ note: e.currentTarget.value })}
		/></label
	>
	<Problems problems={form.problems} />
	<div class="mt-3 flex gap-2">
		<button class="btn btn-primary">Save</button>
		<button type="button" class="btn" onclick={oncancel}>Cancel</button>
	</div>
</form>
