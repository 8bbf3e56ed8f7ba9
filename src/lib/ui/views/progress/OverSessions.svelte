<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { ZONE_IDS, type ZoneId } from '$lib/core/atlas/zones';
	import { LEAST_SESSIONS, type OverSessions, type PlaceOverSessions } from '$lib/core/assess/overSessions';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import ZoneRows from './ZoneRows.svelte';

	interface Props {
		over: OverSessions;
		/** What is graded. */
		label: string;
		/** In how many of the sessions grades were given blind. */
		blind: number;
	}
	let { over, label, blind }: Props = $props();
	const ORDER = sidesAsSeen();
	const zones = $derived(ZONE_IDS.filter((z) => over.places.some((p) => p.place === z)));
	const sign = ({ verdict }: PlaceOverSessions) =>
		verdict === 'lower' || verdict === 'higher'
			? ({ verdict: 'changed', delta: verdict === 'lower' ? -1 : 1 } as const)
			: ({ verdict: verdict === 'too-few' ? 'not-comparable' : 'within-error', delta: 0 } as const);
	const WORDS: Record<PlaceOverSessions['verdict'], string> = {
		lower: 'lower after the sessions',
		higher: 'higher after the sessions',
		'may-be-chance': 'may be chance',
		'too-few': 'not judged yet'
	};
	const said = ({ lower, same, higher, p, verdict }: PlaceOverSessions) =>
		`lower in ${lower}, the same in ${same}, higher in ${higher}: ${WORDS[verdict]}${p === null ? '' : `, p ${p < 0.001 ? 'below 0.001' : p.toFixed(3)}`}`;
	function cell(zone: ZoneId, side: Side) {
		const p = over.places.find((at) => at.place === zone && at.side === side);
		return p ? { change: sign(p), text: `${p.lower} · ${p.same} · ${p.higher}`, words: said(p), inPlace: true } : null;
	}
</script>

<table class="mt-3 h-fit w-full text-[13px]">
	<caption class="pb-0.5 text-left text-[13.5px] font-semibold"
		>Over {over.sessions}
		{over.sessions === 1 ? 'session' : 'sessions'}
		<span class="text-ink2 pl-1 font-normal">{label.toLowerCase()} after a session was lower · the same · higher</span></caption
	>
	<thead class="sr-only"
		><tr
			><th>Place</th>{#each ORDER as side (side)}<th>client’s {side}</th>{/each}</tr
		></thead
	>
	<tbody>
		<ZoneRows {zones} {cell} />
	</tbody>
</table>
<p class="text-ink2 pt-1 text-[12px] leading-4">
	{over.sessions < LEAST_SESSIONS
		? `Grades are judged from ${LEAST_SESSIONS} sessions on.`
		: 'An arrow: so much of one sign comes by chance in at most 5 of 100, for all places together.'} Grades by the hands that worked also carry
	what these expect{blind ? `; in ${blind} of ${over.sessions} they were given without seeing those before` : ''}.
</p>
