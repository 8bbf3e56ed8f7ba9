<script lang="ts">
	import { courseText, type Course } from '$lib/core/sequence/course';
	import { courseOf } from '$lib/core/notation/courseLine';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import { setHead } from '$lib/core/sequence/edits';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const course = $derived(draft.sequence.course ?? null);
	function set(change: Partial<Course> | null, label: string) {
		const next = change && Object.entries({ times: 3, per: 'week', ...course, ...change }).filter(([, v]) => v !== undefined);
		draft.do(setHead(draft.sequence, { course: next ? (Object.fromEntries(next) as Course) : undefined }, label));
	}
	let trouble = $state('');
	const id = $props.id();
	/** All of it in words: ranges, further parts, days of rest. */
	function keep(text: string) {
		const read = courseOf(text);
		trouble = 'trouble' in read ? read.trouble : '';
		if ('course' in read) draft.do(setHead(draft.sequence, { course: read.course }, 'Change how often it is done'));
	}
	const PER = (['day', 'week', 'month'] as const).map((value) => ({ value, label: `a ${value}` }));
	const HOURS = (['morning', 'noon', 'evening', 'night'] as const).map((value) => ({ value, label: `at ${value}` }));
</script>

<div class="flex flex-wrap items-center gap-1.5 text-xs">
	{#if course}
		<Stepper
			label="times"
			unit="×"
			value={course.times}
			min={1}
			max={60}
			onchange={(times) => set({ times, most: undefined }, `Do it ${times} times a ${course.per}`)}
		/>
		<Select label="A day, week or month" value={course.per} options={PER} onchange={(per) => set({ per }, `Count it by the ${per}`)} />
		<Stepper
			label={course.then ? 'weeks' : 'weeks, 0 for no end'}
			unit="weeks"
			value={course.weeks ?? 0}
			min={course.then ? 1 : 0}
			max={104}
			onchange={(weeks) => set({ weeks: weeks || undefined, days: undefined }, weeks ? `Do it for ${weeks} weeks` : 'Do it without an end')}
		/>
		<Select
			label="When on the day"
			value={course.hour ?? 'any'}
			options={[{ value: 'any' as const, label: 'any hour' }, ...HOURS]}
			onchange={(hour) => set({ hour: hour === 'any' ? undefined : hour }, 'Change the hour')}
		/>
		<label class="flex items-center gap-1">
			since
			<input
				autocomplete="off"
				type="date"
				class="field min-h-7 py-0.5 text-xs"
				aria-label="Done since"
				value={course.since ?? ''}
				onchange={(e) => set({ since: e.currentTarget.value || undefined }, 'Change since when it is done')}
			/>
		</label>
		<div class="basis-full">
			<textarea
				autocomplete="off"
				rows="2"
				class="field block min-h-7 w-full resize-none py-1 text-xs leading-4"
				aria-label="The whole course in words"
				aria-describedby="{id}-trouble"
				aria-invalid={trouble ? 'true' : undefined}
				maxlength={MAX_TEXT}
				value={courseText(course)}
				onchange={(e) => keep(e.currentTarget.value)}
				onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}></textarea>
			<p id="{id}-trouble" class="text-flag pt-0.5 leading-4" role="alert">{trouble}</p>
		</div>
		<button type="button" class="btn min-h-[26px] px-2" onclick={() => set(null, 'Say nothing of how often')}>Not said</button>
	{:else}
		<button type="button" class="btn min-h-[26px] px-2" onclick={() => set({}, 'Say how often')}>Say how often</button>
	{/if}
</div>
