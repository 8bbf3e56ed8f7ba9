<script lang="ts">
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import type { ZoneId } from '$lib/core/atlas/zones';
	import type { LengthUnit } from '$lib/core/assess/units';
	import type { Session } from '$lib/core/records/session';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import KeptField from '../../parts/controls/KeptField.svelte';
	import EarlierEntries from './EarlierEntries.svelte';
	import GradeBoard from './GradeBoard.svelte';
	import MeasureTable from './MeasureTable.svelte';

	interface Props {
		session: Session;
		/** Places that are asked for. */
		asked: readonly ZoneId[];
		orientation: Sequence['orientation'];
		limits: readonly Limit[];
		unit: LengthUnit;
		onchange: (fields: Partial<Session>) => void;
		/** Back to where one was. */
		back: string;
		backLabel: string;
	}
	let { session, asked, orientation, limits, unit, onchange, back, backLabel }: Props = $props();
	/** When it was found stays as it was: only what was found is corrected. */
	const set = (assessment: Assessment) => onchange({ before: { ...assessment, takenAt: session.before.takenAt } });
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 gap-x-6 px-5 pt-3 lg:grid-cols-[minmax(0,1fr)_390px]">
	<GradeBoard assessment={session.before} ghost={null} {asked} {orientation} title="What the hands found before" {limits} onchange={set} />
	<aside class="space-y-4 pb-4" aria-label="Tape before">
		<MeasureTable assessment={session.before} ghost={null} {unit} onchange={set} />
		<KeptField
			label="Her words"
			class="field text-[14px]"
			rows={3}
			maxlength={MAX_TEXT}
			value={session.told}
			onkeep={(told) => onchange({ told })}
		/>
		<EarlierEntries {session} />
	</aside>
</div>
<div class="to-sea flex flex-wrap items-center gap-3 bg-gradient-to-b from-transparent px-5 py-3">
	<p class="text-ink2 flex-1">Each entry is kept at once.</p>
	<a class="btn btn-large btn-primary" href={back}>{backLabel}</a>
</div>
