<script lang="ts">
	import { toolFor } from '$lib/core/technique/toolFor';
	import { untrack } from 'svelte';
	import { placeOf } from '$lib/core/atlas/places';
	import { LEVELS } from '$lib/core/step/levels';
	import { TechniqueSchema, type Technique } from '$lib/core/technique/technique.schema';
	import { AIMS, type Aim, type Contact, type Motion } from '$lib/core/vocabulary/vocabulary';
	import { FormDraft } from './formDraft.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import {
		BREATH_OPTIONS,
		CONTACT_OPTIONS,
		DOSE_OPTIONS,
		EDGE_OPTIONS,
		MOTION_OPTIONS,
		MOUTH_OPTIONS,
		POSTURE_OPTIONS,
		TOOL_OPTIONS
	} from '../../parts/steps/options';
	import Problems from './Problems.svelte';
	import WayEditor from '../../parts/controls/WayEditor.svelte';

	interface Props {
		technique: Technique;
		onsave: (technique: Technique) => void;
		oncancel: () => void;
	}
	let { technique, onsave, oncancel }: Props = $props();
	const form = new FormDraft<Technique>(
		untrack(() => technique),
		TechniqueSchema
	);
	const draft = $derived(form.draft);
	const { set } = form;
	const AIM_OPTIONS = (Object.keys(AIMS) as Aim[]).map((value) => ({ value, label: AIMS[value] }));
	const SHAPES = [
		{ value: 'stroke', label: 'A path from place to place' },
		{ value: 'spot', label: 'One place' },
		{ value: 'none', label: 'No place' }
	] as const;
	const GLIDE = [
		{ value: 'slide', label: 'Slides, needs a medium' },
		{ value: 'none', label: 'Needs no medium' },
		{ value: 'dry', label: 'Wants dry skin' }
	] as const;
	const SIDES = [
		{ value: 'both', label: 'Both at once' },
		{ value: 'each', label: 'One side, then the other' },
		{ value: 'alternate', label: 'In turn' },
		{ value: 'midline', label: 'Midline' }
	] as const;
	const LEVEL = (['min', 'default', 'max'] as const).map((key) => ({ key, label: { min: 'from', default: 'usual', max: 'to' }[key] }));
	const DOSE = (['min', 'target', 'max'] as const).map((key) => ({ key, label: { min: 'from', target: 'usual', max: 'to' }[key] }));

	function setContact(contact: Contact) {
		set({ contact, tool: contact === 'tool' && draft.tool ? draft.tool : toolFor(contact) });
	}
	/** Where it may start follows from its way; a move without one may be done everywhere. */
	function whole(move: Technique): Technique {
		const [way] = move.paths;
		const places = way ? (move.shape === 'stroke' ? [placeOf(way[0]!)] : [...new Set(way.map(placeOf))]) : [];
		const contra = move.contra.map((c) => c.trim()).filter(Boolean);
		return { ...move, places, contra, paths: move.shape === 'none' ? [] : move.paths };
	}
	function submit(e: SubmitEvent) {
		e.preventDefault();
		form.keep(onsave, whole);
	}
</script>

<form class="space-y-2.5" onsubmit={submit} aria-label="Your move">
	<h2 class="text-[15px] font-[560]">Your move</h2>
	<label class="block"
		><span class="label">Name</span><input
			autocomplete="off"
			class="field"
			maxlength="200"
			required
			value={draft.title}
			oninput={(e) => set({ title: e.currentTarget.value })}
		/></label
	>
	<div class="flex flex-wrap gap-2">
		<Select label="Aim" value={draft.aim} options={AIM_OPTIONS} onchange={(aim) => set({ aim })} />
		<Select label="Motion" value={draft.motion} options={MOTION_OPTIONS} onchange={(motion: Motion) => set({ motion })} />
		<Select label="Hand or tool" value={draft.contact} options={CONTACT_OPTIONS} onchange={setContact} />
		{#if draft.contact === 'tool' && draft.tool}
			{@const tool = draft.tool}
			<Select
				label="Tool"
				value={tool.id}
				options={TOOL_OPTIONS.filter((t) => t.value !== 'gloves')}
				onchange={(id) => set({ tool: id === 'stone-plate' ? { id, edge: 'long-convex', tiltDegrees: 15 } : { id } })}
			/>
			{#if tool.id === 'stone-plate'}
				<Select
					label="Edge"
					value={tool.edge ?? 'long-convex'}
					options={EDGE_OPTIONS}
					onchange={(edge) => set({ tool: { ...tool, edge } })}
				/>
			{/if}
		{/if}
	</div>
	<div>
		<span class="label">Where</span>
		<Select label="Where" value={draft.shape} options={SHAPES} onchange={(shape) => set({ shape })} />
		{#if draft.shape !== 'none'}
			<div class="mt-1.5">
				<WayEditor
					way={draft.paths[0] ?? []}
					onchange={(way) => set({ paths: way.length ? [way, ...draft.paths.slice(1)] : draft.paths.slice(1) })}
				/>
			</div>
		{/if}
	</div>
	<fieldset class="flex flex-wrap items-center gap-2">
		<legend class="label">Pressure, 0 touch to 4 deep</legend>
		{#each LEVEL as { key, label } (key)}
			<label class="flex items-center gap-1 text-xs"
				>{label}
				<input
					autocomplete="off"
					class="field w-14"
					type="number"
					min={LEVELS[0]}
					max={LEVELS.at(-1)}
					value={draft.pressure[key]}
					oninput={(e) => set({ pressure: { ...draft.pressure, [key]: e.currentTarget.valueAsNumber } })}
				/></label
			>
		{/each}
	</fieldset>
	<fieldset class="flex flex-wrap items-center gap-2">
		<legend class="label">Repeats a side</legend>
		{#each DOSE as { key, label } (key)}
			<label class="flex items-center gap-1 text-xs"
				>{label}
				<input
					autocomplete="off"
					class="field w-16"
					type="number"
					min="0.1"
					step="any"
					value={draft.dose[key]}
					oninput={(e) => set({ dose: { ...draft.dose, [key]: e.currentTarget.valueAsNumber } })}
				/></label
			>
		{/each}
		<Select label="Counted in" value={draft.dose.kind} options={DOSE_OPTIONS} onchange={(kind) => set({ dose: { ...draft.dose, kind } })} />
		<label class="flex items-center gap-1 text-xs"
			>every <input
				autocomplete="off"
				class="field w-16"
				type="number"
				min="0.1"
				step="any"
				value={draft.paceSeconds}
				oninput={(e) => set({ paceSeconds: e.currentTarget.valueAsNumber })}
			/> s</label
		>
	</fieldset>
	<div class="flex flex-wrap gap-2">
		<Select
			label="Sides"
			value={draft.sides[0]!}
			options={SIDES}
			onchange={(side) => set({ sides: [side, ...draft.sides.filter((s) => s !== side)] })}
		/>
		<Select label="Skin" value={draft.glide} options={GLIDE} onchange={(glide) => set({ glide })} />
		<Select label="Mouth" value={draft.mouth} options={MOUTH_OPTIONS} onchange={(mouth) => set({ mouth })} />
		<Select label="Posture" value={draft.posture} options={POSTURE_OPTIONS} onchange={(posture) => set({ posture })} />
		<Select label="Breath" value={draft.breath} options={BREATH_OPTIONS} onchange={(breath) => set({ breath })} />
	</div>
	<label class="block"
		><span class="label">Why</span><textarea
			autocomplete="off"
			class="field"
			rows="2"
			maxlength="2000"
			value={draft.why}
			oninput={(e) => set({ why: e.currentTarget.value })}></textarea></label
	>
	<label class="block"
		><span class="label">Take care, one sentence a line</span><textarea
			autocomplete="off"
			class="field"
			rows="2"
			value={draft.contra.join('\n')}
			oninput={(e) => set({ contra: e.currentTarget.value.split('\n') })}></textarea></label
	>
	<Problems problems={form.problems} />
	<div class="flex gap-2">
		<button class="btn btn-primary">Save</button>
		<button type="button" class="btn" onclick={oncancel}>Cancel</button>
	</div>
</form>
