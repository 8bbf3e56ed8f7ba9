<script lang="ts">
	import { untrack } from 'svelte';
	import { NODE_IDS, NODES, type NodeId } from '$lib/core/atlas/nodes';
	import { LEVEL_NAMES, LEVELS, type Level } from '$lib/core/step/levels';
	import { DRAIN_POLICIES } from '$lib/core/school/policies';
	import { SchoolSchema, type School, type Severity } from '$lib/core/school/school.schema';
	import { RULES } from '$lib/core/rules';
	import { allowedSeverities } from '$lib/core/rules/rule';
	import { RULE_TEXTS } from '$lib/core/rules/texts';
	import { AIMS, type Aim } from '$lib/core/vocabulary/vocabulary';
	import { FormDraft } from './formDraft.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import Problems from './Problems.svelte';

	interface Props {
		school: School;
		onsave: (school: School) => void;
		oncancel: () => void;
	}
	let { school, onsave, oncancel }: Props = $props();
	const form = new FormDraft<School>(
		untrack(() => school),
		SchoolSchema
	);
	const draft = $derived(form.draft);
	const { set } = form;
	const LEVEL_OPTIONS = LEVELS.map((l) => ({ value: String(l), label: `${l} ${LEVEL_NAMES[l].toLowerCase()}` }));
	const opened = $derived(draft.opening.nodes);
	const setOpening = (change: Partial<School['opening']>) => set({ opening: { ...draft.opening, ...change } });
	const toggle = (node: NodeId) => setOpening({ nodes: opened.includes(node) ? opened.filter((n) => n !== node) : [...opened, node] });
	const later = (node: NodeId) => {
		const at = opened.indexOf(node);
		if (at < 0 || at === opened.length - 1) return;
		const next = [...opened];
		[next[at], next[at + 1]] = [next[at + 1]!, next[at]!];
		setOpening({ nodes: next });
	};
	/** Rules that a school may raise or lower. */
	const movable = RULES.filter((r) => r.floor !== r.ceiling);
	function setSeverity(ruleId: string, wish: string) {
		const { [ruleId]: _old, ...rest } = draft.severities;
		set({ severities: wish === 'own' ? rest : { ...rest, [ruleId]: wish as Severity } });
	}
	function setCount(aim: Aim, value: number) {
		const { [aim]: _old, ...rest } = draft.doses;
		set({ doses: Number.isFinite(value) && value > 0 ? { ...rest, [aim]: Math.round(value) } : rest });
	}
	const CHOICES = [
		{
			key: 'order',
			label: 'Order',
			options: {
				'exit-first': 'from the exit backwards',
				'chest-up': 'from the chest up',
				'crown-down': 'from the crown down',
				'nape-first': 'nape first',
				'muscle-first': 'muscle first'
			}
		},
		{ key: 'neckDirection', label: 'Neck', options: { down: 'neck down', up: 'neck may go up' } },
		{ key: 'drainPolicy', label: 'Drains', options: DRAIN_POLICIES },
		{ key: 'layering', label: 'Layers', options: { mixed: 'layers mixed', separate: 'layers apart' } },
		{ key: 'cheekRoute', label: 'Cheek', options: { outward: 'cheek outwards', downward: 'cheek downwards', either: 'cheek either way' } },
		{
			key: 'underChin',
			label: 'Under the chin',
			options: { outward: 'under the chin outwards', 'straight-down': 'under the chin straight down' }
		},
		{ key: 'mouthFinish', label: 'Mouth', options: { free: 'mouth finishes anyhow', up: 'mouth finishes up' } },
		{ key: 'glide', label: 'Skin', options: { oil: 'with oil', dry: 'dry for muscle' } },
		{ key: 'tape', label: 'Tape', options: { hours: 'tape some hours', overnight: 'tape overnight', none: 'no tape' } }
	] as const;
	function submit(e: SubmitEvent) {
		e.preventDefault();
		form.keep(onsave);
	}
</script>

<form class="max-w-[640px] space-y-3" onsubmit={submit} aria-label="Your school">
	<label class="block"
		><span class="label">Name</span><input
			autocomplete="off"
			class="field"
			maxlength="120"
			required
			value={draft.title}
			oninput={(e) => set({ title: e.currentTarget.value })}
		/></label
	>
	<label class="block"
		><span class="label">What it holds</span><textarea
			autocomplete="off"
			class="field"
			rows="2"
			maxlength="2000"
			value={draft.reason}
			oninput={(e) => set({ reason: e.currentTarget.value })}></textarea></label
	>
	<label class="block"
		><span class="label">What others say</span><textarea
			autocomplete="off"
			class="field"
			rows="2"
			maxlength="2000"
			value={draft.others}
			oninput={(e) => set({ others: e.currentTarget.value })}></textarea></label
	>
	<fieldset>
		<legend class="label">Opens, in this order</legend>
		<label class="flex items-center gap-2 text-xs"
			><input type="checkbox" checked={draft.opening.required} onchange={(e) => setOpening({ required: e.currentTarget.checked })} /> it
			opens on purpose, before
			<Select
				label="Opens before"
				value={draft.opening.before}
				options={[
					{ value: 'everything', label: 'everything' },
					{ value: 'face', label: 'the face' }
				]}
				onchange={(before) => setOpening({ before })}
			/></label
		>
		<div class="mt-1.5 flex flex-wrap gap-1.5">
			{#each [...opened, ...NODE_IDS.filter((n) => !opened.includes(n))] as node (node)}
				{@const at = opened.indexOf(node)}
				<span class="flex items-center">
					<button type="button" class="btn {at >= 0 ? 'border-ink bg-wash' : ''}" aria-pressed={at >= 0} onclick={() => toggle(node)}
						>{at >= 0 ? `${at + 1} ` : ''}{NODES[node].where}</button
					>
					{#if at >= 0 && at < opened.length - 1}<button
							type="button"
							class="icon-btn h-6 w-5"
							aria-label="Open {NODES[node].where} later"
							onclick={() => later(node)}>›</button
						>{/if}
				</span>
			{/each}
		</div>
	</fieldset>
	<div class="flex flex-wrap gap-2">
		{#each CHOICES as { key, label, options } (key)}
			<Select
				{label}
				value={draft[key] as string}
				options={Object.entries(options).map(([value, text]) => ({ value, label: text }))}
				onchange={(v) => set({ [key]: v } as Partial<School>)}
			/>
		{/each}
		{#each ['fluid', 'muscle'] as const as cap (cap)}
			<Select
				label="{cap} cap"
				value={String(draft.caps[cap])}
				options={LEVEL_OPTIONS.map((o) => ({ value: o.value, label: `${cap} up to ${o.label}` }))}
				onchange={(v) => set({ caps: { ...draft.caps, [cap]: Number(v) as Level } })}
			/>
		{/each}
	</div>
	<div class="flex flex-wrap gap-4 text-xs">
		<label class="flex items-center gap-2"
			><input type="checkbox" checked={draft.neckFirst} onchange={(e) => set({ neckFirst: e.currentTarget.checked })} /> clears the neck first</label
		>
		<label class="flex items-center gap-2"
			><input type="checkbox" checked={draft.mayEndAfterNeck} onchange={(e) => set({ mayEndAfterNeck: e.currentTarget.checked })} /> a short version
			may end after the neck</label
		>
	</div>
	<details>
		<summary class="cursor-pointer text-xs">Counts by aim</summary>
		<div class="mt-1.5 flex flex-wrap gap-2">
			{#each Object.keys(AIMS) as Aim[] as aim (aim)}
				<label class="flex items-center gap-1 text-xs"
					>{AIMS[aim].toLowerCase()}
					<input
						autocomplete="off"
						class="field w-16"
						type="number"
						min="1"
						max="1000"
						value={draft.doses[aim] ?? ''}
						oninput={(e) => setCount(aim, e.currentTarget.valueAsNumber)}
					/></label
				>
			{/each}
		</div>
	</details>
	<details>
		<summary class="cursor-pointer text-xs">Severity of each rule</summary>
		<ul class="mt-1.5 grid gap-1.5 sm:grid-cols-2">
			{#each movable as rule (rule.id)}
				<li class="flex items-center gap-2 text-xs">
					<span class="min-w-0 flex-1 truncate">{RULE_TEXTS[rule.id]!.title}</span>
					<Select
						label="Severity of {RULE_TEXTS[rule.id]!.title}"
						value={draft.severities[rule.id] ?? 'own'}
						options={[{ value: 'own', label: `as is: ${rule.severity}` }, ...allowedSeverities(rule).map((s) => ({ value: s, label: s }))]}
						onchange={(wish) => setSeverity(rule.id, wish)}
					/>
				</li>
			{/each}
		</ul>
	</details>
	<Problems problems={form.problems} />
	<div class="flex gap-2">
		<button class="btn btn-primary">Save</button>
		<button type="button" class="btn" onclick={oncancel}>Cancel</button>
	</div>
</form>
