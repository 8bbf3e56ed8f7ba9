<script lang="ts">
	import { onDestroy } from 'svelte';
	import { SLOTS, type SlotId } from '$lib/core/perform/instruction/slots';
	import { wordsOf } from '$lib/core/perform/instruction/instruction';
	import { readThrough, type ReadLine } from '$lib/core/perform/readThrough';
	import type { Voice } from '$lib/core/records/voices';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { clock } from '$lib/core/step/describe';
	import type { Working } from '$lib/core/working/working.schema';
	import { StageSound, voiceHere } from './sound';

	interface Props {
		sequence: Sequence;
		working: Working;
		/** As the settings have them. */
		voice: Voice;
		rate: number;
		volume: number;
	}
	let { sequence, working, voice, rate, volume }: Props = $props();
	/** What is read here is what a voice would say, also where it is turned off. */
	const said = $derived(voice === 'none' || voice === 'changes' ? 'places' : voice);
	const reading = $derived(readThrough(sequence, { working }, { voice: said, rate }));
	const lines = $derived(reading.lines);
	const end = $derived(reading.endSeconds);
	/** What stands at the head of a line, and so not again behind it. */
	const HEAD: readonly SlotId[] = ['what', 'place', 'side', 'count'];
	const head = (line: ReadLine) =>
		HEAD.map((slot) => wordsOf(line.told, slot))
			.filter(Boolean)
			.join(' · ');
	const rest = (line: ReadLine) => line.told.filter(({ slot }) => !HEAD.includes(slot));

	const sound = new StageSound({ rate: () => rate, volume: () => volume });
	/** Second from which it plays, and when that began; null: it is quiet. */
	let from = $state<{ readonly seconds: number; readonly atMs: number } | null>(null);
	let now = $state(0);
	const here = $derived(from ? lines.findLastIndex((l) => l.atSeconds <= now) : -1);
	function play(seconds: number) {
		sound.wake();
		sound.follow(reading.track);
		sound.play(seconds);
		from = { seconds, atMs: performance.now() };
		now = seconds;
	}
	function stop() {
		sound.stop();
		from = null;
	}
	$effect(() => {
		if (!from) return;
		const { seconds, atMs } = from;
		const timer = setInterval(() => {
			now = seconds + (performance.now() - atMs) / 1000;
			if (now >= end) stop();
		}, 250);
		return () => clearInterval(timer);
	});
	onDestroy(() => sound.close());
</script>

<!-- What will be shown and said, in order: how a sequence is checked before a client. -->
<div class="no-print flex flex-wrap items-center gap-3 pb-3 text-[14px]">
	{#if from}<button type="button" class="btn" onclick={stop}>Stop</button>
	{:else}<button type="button" class="btn" onclick={() => play(0)}>Play from the start</button>{/if}
	<p class="text-ink2" role="status">
		{from
			? `Playing, ${clock(now)} of ${clock(end)}`
			: voiceHere()
				? 'A click on a line plays from there.'
				: 'No voice found in this browser: a click plays the tones from there.'}
	</p>
</div>
<table class="w-full text-[13.5px] leading-[18px]">
	<thead>
		<tr class="text-ink2 border-hair border-b text-left text-xs">
			<th class="w-14 py-1 font-normal">Time</th>
			<th class="w-8 font-normal">Step</th>
			<th class="font-normal">On the screen</th>
			<th class="w-[34%] pl-4 font-normal">By voice, before it</th>
		</tr>
	</thead>
	<tbody>
		{#each lines as line, i (i)}
			<tr class="border-hair border-b align-top {i === here ? 'here' : ''} {line.kind}">
				<td class="py-1"
					><button
						type="button"
						class="min-h-6 underline decoration-dotted underline-offset-4"
						aria-label="Play from {clock(line.atSeconds)}"
						onclick={() => play(line.atSeconds)}>{clock(line.atSeconds)}</button
					></td
				>
				<td class="py-1">{line.kind === 'change' ? '' : line.placed.number}</td>
				<td class="py-1">
					{#if head(line)}<b class="font-semibold">{line.kind === 'change' ? 'Now: ' : ''}{head(line)}</b>{/if}
					{#each rest(line) as { slot, words } (slot)}
						<span class="inline-block pr-2"><span class="text-ink2">{SLOTS[slot].label}:</span> {words}.</span>
					{/each}
				</td>
				<td class="py-1 pl-4">{line.spoken.map((s) => s.words).join('. ')}</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	tr {
		break-inside: avoid;
	}
	.here {
		background: var(--wash);
		box-shadow: inset 4px 0 var(--ink);
	}
	.asked td {
		font-style: italic;
	}
	.step b {
		display: block;
	}
</style>
