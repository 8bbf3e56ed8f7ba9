<script lang="ts">
	import { LEFT_OUT, mappingOf } from '$lib/core/flow/mapping';
	import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS } from '$lib/core/flow/parameterTable';
	import { MODEL_SAYS, SHARE_SAYS } from '$lib/core/flow/words';
	import ModelClaims from '$lib/ui/views/library/ModelClaims.svelte';
	import { HOW, LIMITS } from '$lib/core/flow/explanation';
	import { MOTIONS, type Motion } from '$lib/core/vocabulary/vocabulary';
	import ToyTide from '$lib/ui/views/library/ToyTide.svelte';

	const motions = Object.keys(MOTIONS) as Motion[];
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-10" tabindex="0" role="region" aria-label="How the tide is modelled">
	<div class="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
		<div>
			<h1 class="py-3 text-xl font-[520]">Where the fluid goes, in a model</h1>
			<p class="max-w-[640px] text-[14px] leading-[21px]">
				{MODEL_SAYS} It shows whether order, direction and pressure of a sequence make sense to one another. None of its numbers was fitted to
				measurements: each is a working value, and what is shown beside a face in Compose is what these values make of your sequence. It is no
				forecast for a client.
			</p>
			<dl class="mt-4 max-w-[640px]">
				{#each HOW as [title, text] (title)}
					<div class="border-hair border-t py-2">
						<dt class="font-semibold">{title}</dt>
						<dd class="text-ink2 leading-[19px]">{text}</dd>
					</div>
				{/each}
			</dl>
			<h2 class="flare mt-4 text-[17px] font-[520]">How sure it is</h2>
			<p class="text-ink2 max-w-[640px] py-1 leading-[19px]">
				Two sequences can be run over a thousand faces that could be: other capacities, other half-lives, other ways. {SHARE_SAYS}
			</p>
			<ModelClaims />
			<h2 class="flare mt-5 text-[17px] font-[520]">What hangs on what, and what it cannot know</h2>
			<ul class="text-ink2 max-w-[640px] list-disc space-y-1 py-1 pl-5 leading-[19px]">
				{#each LIMITS as limit (limit)}<li>{limit}</li>{/each}
			</ul>
		</div>
		<div class="pt-3 lg:sticky lg:top-0 lg:self-start"><ToyTide /></div>
	</div>
	<details class="border-hair mt-6 border-t pt-2">
		<summary class="min-h-6 cursor-pointer font-semibold">What the model makes of each motion</summary>
		<table class="mt-1 w-full max-w-[860px] text-xs">
			<tbody
				>{#each motions as motion (motion)}<tr class="border-hair border-t align-top"
						><th scope="row" class="w-40 py-1 text-left font-[560]">{MOTIONS[motion]}</th><td class="text-ink2">{mappingOf(motion).why}</td
						></tr
					>{/each}</tbody
			>
		</table>
		<p class="text-ink2 max-w-[860px] pt-2 text-xs leading-[18px]">
			Named and left out, while their time goes by: {Object.values(LEFT_OUT).join('; ')}. Hand and tool do not change what is moved; cold
			globes cool and carry. Counted breaths, and moves that wait for the breath, count as deep breathing.
		</p>
	</details>
	<details class="border-hair mt-3 border-t pt-2">
		<summary class="min-h-6 cursor-pointer font-semibold">All parameters: shown, not edited</summary>
		<table class="mt-1 w-full max-w-[860px] text-xs">
			<thead class="text-ink3 text-[11px]"
				><tr
					><th class="text-left font-normal">Name</th><th class="text-left font-normal">Meaning</th><th class="text-right font-normal"
						>working value</th
					><th class="text-right font-normal">drawn from</th><th class="pl-3 text-left font-normal">unit</th></tr
				></thead
			>
			<tbody
				>{#each FLOW_PARAMETER_NAMES as name (name)}
					{@const p = FLOW_PARAMETERS[name]}
					<tr class="border-hair border-t"
						><th scope="row" class="py-0.5 text-left font-[560]">{name}</th><td class="text-ink2">{p.meaning}</td><td class="text-right"
							>{+p.default.toPrecision(4)}</td
						><td class="text-right whitespace-nowrap">{+p.min.toPrecision(3)} to {+p.max.toPrecision(3)}</td><td class="pl-3">{p.unit}</td
						></tr
					>
				{/each}</tbody
			>
		</table>
	</details>
</div>
