<script lang="ts">
	import { HOW_QUICKLY, RED_FLAGS } from '$lib/core/screening/redFlags';
	import Modal from '../controls/Modal.svelte';
	import Pennant from '../glyphs/Pennant.svelte';

	interface Props {
		open: boolean;
	}
	let { open = $bindable() }: Props = $props();
	const SEVERITY = { call: 'stop', today: 'caution', soon: 'advice' } as const;
	const groups = (['call', 'today', 'soon'] as const).map((how) => ({ how, flags: RED_FLAGS.filter((f) => f.how === how) }));
</script>

<Modal
	bind:open
	width={760}
	title="Stop, and refer"
	about="Signs at which a massage ends, and what to do first. Usual first aid; your local emergency number and your own training go first."
>
	{#each groups as { how, flags } (how)}
		<section class="mt-3" aria-label={HOW_QUICKLY[how]}>
			<h3 class="flex items-center gap-2 text-[15px] font-semibold {how === 'call' ? 'text-flag' : ''}">
				<Pennant severity={SEVERITY[how]} />{HOW_QUICKLY[how]}
			</h3>
			<ul>
				{#each flags as flag (flag.id)}
					<li class="border-hair border-b py-1.5 text-[13.5px] leading-[19px]">
						<b class="font-semibold">{flag.sign}.</b>
						<span class="text-ink2">{flag.what}</span>
						<span class="block">{flag.first}</span>
					</li>
				{/each}
			</ul>
		</section>
	{/each}
</Modal>
