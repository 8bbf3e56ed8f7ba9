<script lang="ts">
	import { fieldForm, fieldText, readField } from '$lib/core/notation/sayField';
	import { setStep } from '$lib/core/sequence/edits';
	import type { Step } from '$lib/core/step/step.schema';
	import { optionOf } from '$lib/core/step/stepFields';
	import type { OptionalField } from '$lib/core/vocabulary/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
		/** A field that is said in words, as in the text of a sequence. */
		field: OptionalField;
	}
	let { draft, step, field }: Props = $props();
	const label = $derived(optionOf(field).label);
	const form = $derived(fieldForm(field));
	const said = $derived(fieldText(step, field));
	/** Letters that one line of the field holds: it is as high as what it says. */
	const LINE = 34;
	let trouble = $state('');
	const id = $props.id();
	function keep(text: string) {
		const read = readField(step, field, text, draft.sequence.school.cheekRoute);
		trouble = 'trouble' in read ? read.trouble : '';
		if ('change' in read) draft.do(setStep(draft.sequence, step.id, read.change, `Change “${label.toLowerCase()}”`));
	}
</script>

<div class="w-full text-xs">
	<textarea
		autocomplete="off"
		class="field block min-h-7 w-full resize-none py-1 text-xs leading-4"
		rows={Math.min(6, Math.max(1, Math.ceil(said.length / LINE)))}
		aria-label={label}
		aria-describedby="{id}-form"
		aria-invalid={trouble ? 'true' : undefined}
		placeholder="such as: {form.example}"
		title={form.says}
		value={said}
		onchange={(e) => keep(e.currentTarget.value)}
		onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}></textarea>
	<p id="{id}-form" class="pt-0.5 leading-4 {trouble ? 'text-flag' : 'sr-only'}" role={trouble ? 'alert' : undefined}>
		{trouble || form.form}
	</p>
</div>
