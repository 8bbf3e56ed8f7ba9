<script lang="ts">
	import { gradesByZone } from '$lib/core/assess/assessment';
	import { gradeRow, type ObservationId } from '$lib/core/assess/registry';
	import { clock } from '$lib/core/step/describe';
	import type { SessionAccount } from '$lib/core/perform/account';
	import type { Session } from '$lib/core/records/session';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { dayAndHour, onWall } from '../../parts/dates';
	import Figure from '../../parts/map/Figure.svelte';
	import { frameOf } from '../../parts/map/orientation';
	import { linesOf } from './cardShapes';
	import GradedPlaces from './GradedPlaces.svelte';

	interface Props extends Record<string, unknown> {
		session: Session;
		/** What was done in it; null where nothing was. */
		account: SessionAccount | null;
		clientName: string;
		observed: ObservationId;
		/** What is real of it, and the rest: as the page says it. */
		sentence: { readonly real: string; readonly rest: string };
	}
	let { session, account, clientName, observed, sentence }: Props = $props();
	const uid = $props.id();
	const [WIDTH, HEIGHT] = [640, 460];
	const frame = frameOf('front', false);
	const FACE = { width: 210, height: 262 };
	const moments = $derived([
		{ word: 'Before', grades: gradesByZone(session.before, observed), x: 20 },
		{ word: 'After', grades: gradesByZone(session.after, observed), x: 20 + FACE.width }
	]);
	const facts = $derived([
		...(session.sequence
			? [
					session.sequence.title,
					...(account ? [`${clock(account.workedSeconds)}, ${account.stepsDone} of ${account.stepsPlanned} steps`] : [])
				]
			: ['Looked at, without a sequence']),
		...linesOf(sentence.real, 30),
		...linesOf(sentence.rest, 30),
		...(session.sideEffects ? linesOf(`Afterwards: ${session.sideEffects}`, 30) : [])
	]);
	const caution = linesOf(CAUTION_LINE, 100);
</script>

<svg width={WIDTH} height={HEIGHT} viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label="Card of the session">
	<rect width={WIDTH} height={HEIGHT} fill="var(--paper)" />
	<text x="20" y="36" class="name">{clientName}</text>
	<text x="20" y="58" class="said">{dayAndHour(onWall(session.startedAt, session))}; {gradeRow(observed).label.toLowerCase()} by hand</text>
	{#each moments as { word, grades, x }, i (word)}
		<text {x} y="88" class="fact strong">{word}</text>
		<svg {x} y="96" width={FACE.width} height={FACE.height} viewBox="{frame.x} {frame.y} {frame.width} {frame.height}">
			<Figure view="front" uid="{uid}-{i}" wide={false} plain />
			<GradedPlaces {grades} />
		</svg>
	{/each}
	{#each facts as fact, i (i)}<text x="450" y={120 + 19 * i} class="fact {i === 0 ? 'strong' : ''}">{fact}</text>{/each}
	<path d="M20 400H{WIDTH - 20}" stroke="var(--coast)" />
	{#each caution as words, i (i)}<text x="20" y={420 + 16 * i} class="said">{words}</text>{/each}
</svg>

<style>
	.name {
		font-size: 20px;
		font-weight: 560;
		fill: var(--ink);
	}
	.fact {
		font-size: 13px;
		fill: var(--ink);
	}
	.strong {
		font-weight: 600;
	}
	.said {
		font-size: 12px;
		fill: var(--ink2);
	}
</style>
