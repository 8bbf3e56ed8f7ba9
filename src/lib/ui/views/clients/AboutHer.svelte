<script lang="ts">
	import { GOALS } from '$lib/core/goal/goals';
	import type { Client } from '$lib/core/records/client';
	import { mediumById } from '$lib/core/medium/media';
	import type { Medium } from '$lib/core/medium/medium.schema';
	import { saidDay } from '$lib/core/client/saidDay';
	import { sidedWords } from '$lib/core/client/sidedZone';

	interface Props {
		client: Client;
		media: readonly Medium[];
	}
	let { client, media }: Props = $props();
	const { goals, preferences, consents, asymmetry } = $derived(client);
	const names = (ids: readonly string[]) => ids.map((id) => mediumById(id, media).title.toLowerCase()).join(', ');
	const PRESSURE = { lighter: 'A little lighter than planned.', usual: '', firmer: 'A little firmer than planned.' } as const;
	const ROUTE = { outward: 'Cheeks outwards to the ear.', downward: 'Cheeks down along the smile fold.', either: '' } as const;
	const wishes = $derived(
		[
			PRESSURE[preferences.pressure],
			ROUTE[preferences.cheekRoute],
			preferences.likes.length ? `Likes ${names(preferences.likes)}.` : '',
			preferences.dislikes.length ? `Not ${names(preferences.dislikes)}.` : '',
			preferences.room,
			preferences.voice
		].filter(Boolean)
	);
	const held = $derived(consents.filter((c) => !c.withdrawn).at(-1));
</script>

<div class="border-hair mt-4 grid grid-cols-1 gap-x-6 gap-y-3 border-t pt-3 text-[12.5px] leading-[18px] sm:grid-cols-3">
	<section>
		<h3 class="text-[13.5px] font-semibold">Goals</h3>
		<p class="text-ink2">{goals.map((id) => GOALS[id].label).join(', then ') || 'None noted.'}</p>
		{#if asymmetry.places.length || asymmetry.note}<p class="text-ink2">
				{[sidedWords(asymmetry.places).join('; '), asymmetry.note].filter(Boolean).join(': ')}
			</p>{/if}
	</section>
	<section>
		<h3 class="text-[13.5px] font-semibold">Preferences</h3>
		<p class="text-ink2">{wishes.join(' ') || 'None noted.'}</p>
	</section>
	<section>
		<h3 class="text-[13.5px] font-semibold">Consent</h3>
		<p class="text-ink2">
			{#if held}{saidDay(held.on)}: {held.what}{:else}None noted.{/if}
		</p>
	</section>
</div>
