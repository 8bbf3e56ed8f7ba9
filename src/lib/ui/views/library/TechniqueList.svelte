<script lang="ts">
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { doseText } from '$lib/core/step/describe';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import { techniqueToday } from '$lib/core/screening/ofTechnique';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS, CONTACTS, TOOLS } from '$lib/core/vocabulary/vocabulary';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import Ripples from '../../parts/glyphs/Ripples.svelte';

	interface Props {
		techniques: readonly Technique[];
		openId: string | null;
		ownIds: ReadonlySet<string>;
		/** What today allows whoever is up next; none where nobody is. */
		limits?: readonly Limit[];
		/** What the licence leaves out. */
		codes?: readonly Limit[];
		onopen: (technique: Technique) => void;
	}
	let { techniques, openId, ownIds, limits = [], codes = [], onopen }: Props = $props();
	const VERDICT = { not: { words: 'not today', severity: 'stop' }, otherwise: { words: 'only otherwise', severity: 'caution' } } as const;
	const today = (t: Technique) => {
		const { verdict } = techniqueToday(t, limits);
		if (verdict !== 'fine') return VERDICT[verdict];
		return techniqueToday(t, codes).verdict === 'fine' ? null : ({ words: 'outside your licence', severity: 'caution' } as const);
	};
	/** Where it usually leads, or where it may be done. */
	const where = ({ paths, places }: Technique) => {
		const usual = paths[0];
		if (usual) return [usual[0]!, ...(usual.length > 1 ? [usual.at(-1)!] : [])].map((p) => labelOf(placeOf(p)).toLowerCase()).join(' to ');
		return places.length
			? places
					.slice(0, 3)
					.map((p) => labelOf(p).toLowerCase())
					.join(', ')
			: 'anywhere';
	};
</script>

<ul class="border-hair border-t" aria-label="Moves, by name">
	{#each techniques as t (t.id)}
		{@const verdict = today(t)}
		<li>
			<button
				type="button"
				class="row border-hair hover:bg-wash/50 w-full items-center gap-x-3 border-b px-4 py-1.5 text-left {t.id === openId
					? 'bg-wash font-[530]'
					: ''}"
				aria-current={t.id === openId ? 'true' : undefined}
				data-move-row={t.id}
				onclick={() => onopen(t)}
			>
				<AimGlyph aim={t.aim} size={16} />
				<span class="min-w-0"
					>{t.title}{#if ownIds.has(t.id)}<span class="text-ink2">{' · yours'}</span>{/if}
					<span class="text-ink2 flex items-center gap-1 text-[11.5px]"
						>{AIMS[t.aim]}, {where(t)}{#if verdict}<Pennant severity={verdict.severity} size={12} />{verdict.words}{/if}</span
					></span
				>
				<span class="text-ink2 flex items-center gap-1.5 text-xs max-sm:hidden"
					><Footprint contact={t.contact} tool={t.tool?.id} />{t.tool && t.contact === 'tool'
						? TOOLS[t.tool.id].toLowerCase()
						: CONTACTS[t.contact].toLowerCase()}</span
				>
				<Ripples level={t.pressure.default} size={24} />
				<span class="text-right text-xs">{doseText(t.dose).replace(/ breaths?/, ' br')}</span>
			</button>
		</li>
	{/each}
</ul>

<style>
	.row {
		display: grid;
		grid-template-columns: 20px minmax(0, 1fr) 150px 28px 48px;
		min-height: 44px;
		content-visibility: auto;
		contain-intrinsic-height: auto 44px;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: 20px minmax(0, 1fr) 28px 48px;
		}
	}
</style>
