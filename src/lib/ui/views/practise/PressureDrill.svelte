<script lang="ts">
	import { SETTLE_MS, type PressureResult } from '$lib/core/train/pressure';
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

	const SOURCES = { simulated: 'Simulated pad', pen: 'Pen on this screen', scale: 'Scale on a cable' };
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
				value: result.sdKPa,
				count: result.samples,
				what: `${CONTACTS[contact]}, ${LEVEL_NAMES[level]}: ${Math.round(100 * result.inBand)} % within`,
				simulated: source?.simulated ?? false
			});
	});
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
	{:else if serial}<button type="button" class="btn min-h-11" onclick={plugIn}>Choose the scale</button>
	{:else}<span class="text-ink2">This browser reads no scale by cable. The simulated pad works everywhere.</span>{/if}
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
	{LEVEL_NAMES[level][0]!.toUpperCase() + LEVEL_NAMES[level].slice(1)} with {CONTACTS[contact].toLowerCase()} ({areaCm2} cm²): {band[0]} to {band[1]}
	kPa, {grams[0]} to {grams[1]} g on a kitchen scale.
</p>
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
{#if result}
	<p class="mt-3 text-[19px] leading-7" role="status">
		<b>{Math.round(100 * result.inBand)} %</b> within the level after the first {SETTLE_MS / 1000} s; mean {result.meanKPa.toFixed(1)} kPa, spread
		<b>{result.sdKPa.toFixed(2)} kPa</b>. {result.inBand < 1 ? LEANS[result.leans] : ''}
	</p>
{/if}
