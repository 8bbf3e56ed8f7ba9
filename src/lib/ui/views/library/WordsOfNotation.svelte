<script lang="ts">
	import { labelOf, PLACE_IDS } from '$lib/core/atlas/places';
	import { contactWord, motionWord } from '$lib/core/notation/words';
	import { CONTACTS, MOTIONS, TOOLS, type Contact, type Motion, type ToolId } from '$lib/core/vocabulary/vocabulary';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import MotionGlyph from '../../parts/glyphs/MotionGlyph.svelte';
	import PlacePicture from '../../parts/map/PlacePicture.svelte';

	let wish = $state('');
	const asked = (...words: string[]) => {
		const text = words.join(' ').toLowerCase();
		return wish
			.toLowerCase()
			.split(/\s+/)
			.every((w) => text.includes(w));
	};
	const places = $derived(PLACE_IDS.filter((id) => asked(id, labelOf(id))));
	const contacts = $derived((Object.keys(CONTACTS) as Contact[]).filter((c) => c !== 'tool' && asked(c, CONTACTS[c])));
	const motions = $derived((Object.keys(MOTIONS) as Motion[]).filter((m) => asked(m, MOTIONS[m])));
	const tools = $derived((Object.keys(TOOLS) as ToolId[]).filter((t) => asked(t, TOOLS[t])));
</script>

{#snippet named(label: string, written: string)}
	<span class="min-w-0">
		<b class="block truncate font-[560]">{label}</b>
		{#if written !== label.toLowerCase()}<code class="text-ink2 block truncate font-sans text-[11.5px]">{written}</code>{/if}
	</span>
{/snippet}

<section aria-label="All words">
	<div class="border-hair flex flex-wrap items-center gap-3 border-b pb-1">
		<h2 class="text-[15px] font-semibold">All words</h2>
		<input
			autocomplete="off"
			type="search"
			class="field ml-auto max-w-60"
			aria-label="Find a word"
			placeholder="Find a word, such as ear"
			bind:value={wish}
		/>
	</div>
	{#each [{ title: 'Places', count: places.length }, { title: 'Hands', count: contacts.length }, { title: 'Motions', count: motions.length }, { title: 'Tools', count: tools.length }].filter((g) => g.count) as { title } (title)}
		<h3 class="pt-3 pb-1 text-[13px] font-semibold">{title}</h3>
		<ul class="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-x-4">
			{#if title === 'Places'}
				{#each places as id (id)}<li class="word"><PlacePicture place={id} />{@render named(labelOf(id), id)}</li>{/each}
			{:else if title === 'Hands'}
				{#each contacts as c (c)}<li class="word low">
						<Footprint contact={c} size={34} />{@render named(CONTACTS[c], contactWord(c))}
					</li>{/each}
			{:else if title === 'Motions'}
				{#each motions as m (m)}<li class="word low">
						<MotionGlyph motion={m} size={34} />{@render named(MOTIONS[m], motionWord(m))}
					</li>{/each}
			{:else}
				{#each tools as t (t)}<li class="word low">
						<Footprint contact="tool" tool={t} size={34} />{@render named(TOOLS[t], `with ${t.replaceAll('-', ' ')}`)}
					</li>{/each}
			{/if}
		</ul>
	{/each}
	{#if !places.length && !contacts.length && !motions.length && !tools.length}<p class="text-ink2 py-3">
			No word of the notation is like this.
		</p>{/if}
</section>

<style>
	.word {
		display: flex;
		align-items: center;
		gap: 10px;
		min-height: 66px;
		border-bottom: 1px solid var(--hair);
		content-visibility: auto;
		contain-intrinsic-height: auto 66px;
	}
	.low {
		min-height: 40px;
		contain-intrinsic-height: auto 40px;
	}
</style>
