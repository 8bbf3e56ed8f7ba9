<script lang="ts">
	import { capital } from '$lib/core/capital';
	import { readingOf, SETTLE_MS, type PressureResult } from '$lib/core/train/pressure';
	import { LEVEL_NAMES, LEVELS, levelRangeKPa, scaleGrams, type Level } from '$lib/core/step/levels';
	import { CONTACTS } from '$lib/core/vocabulary/vocabulary';
	import type { Contact } from '$lib/core/vocabulary/contacts';
	import { useApp } from '$lib/state/app.svelte';
	import { PEN_FULL_GRAMS, PenPad } from '$lib/state/force/penPad';
	import { Press } from '$lib/state/force/press.svelte';
	import { SerialScale, type Port } from '$lib/state/force/scale';
	import { HANDS, SimulatedPad, type HandId } from '$lib/state/force/simulatedPad';
	import type { ForceSource } from '$lib/state/force/source';
	import Select from '../../parts/controls/Select.svelte';
	import BandGauge from './BandGauge.svelte';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	const app = useApp();
	const working = $derived(app.context.working);
	const contacts = $derived(Object.keys(working.contactAreaCm2) as Contact[]);
	let contact = $state<Contact>('ring-finger');
	let level = $state<Level>(1);
	const areaCm2 = $derived((working.contactAreaCm2 as Partial<Record<string, number>>)[contact] ?? 1);
	const band = $derived(levelRangeKPa(level, working));
	const grams = $derived(band.map((k) => Math.round(scaleGrams(k, areaCm2))));

	const SOURCES = { simulated: 'Simulated pad', pen: 'Pen on this screen', scale: 'Scale on a cable', typed: 'Kitchen scale, typed in' };
	let kind = $state<keyof typeof SOURCES>('simulated');
	let hand = $state<HandId>('steady');
	let penGrams = $state(PEN_FULL_GRAMS);
	let pad: HTMLElement | undefined = $state();
	const simulated = new SimulatedPad({
		hand: () => hand,
		targetGrams: () => scaleGrams((band[0] + band[1]) / 2, areaCm2),
		clock: () => performance.now()
	});
	const press = new Press(
		() => areaCm2,
		() => level,
		() => working
	);
	let port = $state.raw<Port | null>(null);
	const source = $derived.by<ForceSource | null>(() => {
		if (kind === 'simulated') return simulated;
		if (kind === 'typed') return null;
		if (kind === 'pen') return pad ? new PenPad(pad, () => penGrams) : null;
		return port ? new SerialScale(port, () => performance.now()) : null;
	});
	$effect(() => (source ? press.listen(source) : undefined));
	const serial = (navigator as { serial?: { requestPort(): Promise<Port & { open(o: object): Promise<void> }> } }).serial;
	async function plugIn() {
		try {
			const chosen = await serial?.requestPort();
			await chosen?.open({ baudRate: 9600 });
			port = chosen ?? null;
		} catch {
			press.trouble = 'No scale was chosen, or it cannot be opened. The simulated pad works without one.';
		}
	}
	let running = $state(false);
	let result = $state.raw<PressureResult | null>(null);
	/** A press is so long. */
	const PRESS_MS = 6000;
	function begin() {
		result = null;
		running = true;
		press.samples = [];
		if (kind === 'simulated') simulated.press(true);
	}
	// A round is over when the hand has been on for so long.
	$effect(() => {
		const { samples } = press;
		if (!running || !samples.length || samples.at(-1)!.atMs - samples[0]!.atMs < PRESS_MS) return;
		running = false;
		if (kind === 'simulated') simulated.press(false);
		result = press.result();
		if (result)
			onround({
				value: result.offKPa,
				count: result.samples,
				what: `${CONTACTS[contact]}, ${LEVEL_NAMES[level]}`,
				simulated: source?.simulated ?? false
			});
	});
	/** How far the hand is off the middle of the level, and which way. */
	const offWords = (kPa: number) =>
		Math.abs(kPa) < 0.05 ? 'on the middle' : `${Math.abs(kPa).toFixed(1)} kPa ${kPa < 0 ? 'too light' : 'too heavy'}`;
	let typedGrams = $state<number | null>(null);
	let typed = $state('');
	/** What a kitchen scale showed, read by eye: one figure, so it has no spread. */
	function keepTyped(event: SubmitEvent) {
		event.preventDefault();
		if (typedGrams === null || !(typedGrams >= 0)) return void (typed = 'Type what the scale shows, in grams.');
		const { kPa, biasKPa: bias, within } = readingOf(typedGrams, areaCm2, level, working);
		typed = `${typedGrams} g are ${kPa.toFixed(1)} kPa: ${within ? 'within the level' : bias < 0 ? 'too light' : 'too heavy'}, ${offWords(bias)}.`;
		onround({
			value: Math.abs(bias),
			count: 1,
			what: `${CONTACTS[contact]}, ${LEVEL_NAMES[level]}, kitchen scale`,
			simulated: false
		});
	}
	const LEANS = { light: 'More of the rest was too light.', heavy: 'More of the rest was too heavy.', even: '' };
</script>

<div class="flex flex-wrap items-center gap-2">
	<Select
		label="What presses"
		value={kind}
		options={Object.entries(SOURCES).map(([value, label]) => ({ value: value as keyof typeof SOURCES, label }))}
		onchange={(k) => ((kind = k), (running = false))}
		class="min-h-11"
	/>
	{#if kind === 'simulated'}<Select
			label="Hand"
			value={hand}
			options={Object.entries(HANDS).map(([value, { label }]) => ({ value: value as HandId, label }))}
			onchange={(h) => (hand = h)}
			class="min-h-11"
		/>
	{:else if kind === 'pen'}<label class="flex items-center gap-2"
			>Grams at full pressure <input autocomplete="off" class="field w-24" type="number" min="50" max="5000" bind:value={penGrams} /></label
		>
	{:else if kind === 'scale' && serial}<button type="button" class="btn min-h-11" onclick={plugIn}>Choose the scale</button>
	{:else if kind === 'scale'}<span class="text-ink2">This browser reads no scale by cable. The simulated pad works everywhere.</span>{/if}
	<Select
		label="Hand or finger"
		value={contact}
		options={contacts.map((value) => ({ value, label: CONTACTS[value] }))}
		onchange={(c) => (contact = c)}
		class="min-h-11"
	/>
	<Select
		label="Level"
		value={String(level) as `${Level}`}
		options={LEVELS.map((l) => ({ value: String(l) as `${Level}`, label: `${l}, ${LEVEL_NAMES[l]}` }))}
		onchange={(l) => (level = Number(l) as Level)}
		class="min-h-11"
	/>
</div>
<p class="text-ink2 mt-2">
	{capital(LEVEL_NAMES[level])} with {CONTACTS[contact].toLowerCase()} ({areaCm2} cm²): {band[0]} to {band[1]}
	kPa, {grams[0]} to {grams[1]} g on a kitchen scale.
</p>
{#if kind === 'typed'}
	<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={keepTyped}>
		<label
			>What the scale shows, g
			<input autocomplete="off" class="field w-28" type="number" min="0" max="20000" step="1" bind:value={typedGrams} /></label
		>
		<button class="btn btn-large btn-primary">Record reading</button>
		<p role="status" class="w-full text-[19px] leading-7">{typed}</p>
	</form>
{/if}
{#if kind !== 'typed'}
	<div bind:this={pad} class="mt-3 max-w-[960px] touch-none">
		<BandGauge kPa={press.kPa} {band} samples={press.samples} {areaCm2} pressMs={PRESS_MS} settleMs={SETTLE_MS} />
	</div>
	<p class="mt-3 flex flex-wrap items-center gap-3">
		<button type="button" class="btn btn-large btn-primary" disabled={running || !source} onclick={begin}
			>{running ? 'Press, and stay' : 'Begin a press'}</button
		>
		<button type="button" class="btn btn-large" disabled={running || !source} onclick={() => press.tare()}>Set to nothing</button>
		{#if press.trouble}<span role="alert">{press.trouble}</span>{/if}
	</p>
{/if}
{#if result}
	<p class="mt-3 text-[19px] leading-7" role="status">
		{source?.simulated ? 'A simulated hand, not yours. ' : ''}<b>{Math.round(100 * result.inBand)} %</b> within the level after the first {SETTLE_MS /
			1000} s; mean {result.meanKPa.toFixed(1)} kPa, <b>{offWords(result.biasKPa)}</b>, spread
		<b>{result.sdKPa.toFixed(2)} kPa</b>. {result.lifted > 0
			? `Lifted off for ${Math.max(1, Math.round(100 * result.lifted))} % of the time.`
			: ''}
		{result.inBand < 1 ? LEANS[result.leans] : ''}
	</p>
{/if}
