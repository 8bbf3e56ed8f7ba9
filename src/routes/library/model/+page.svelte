<script lang="ts">
	import { LEFT_OUT, mappingOf } from '$lib/core/flow/mapping';
	import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS } from '$lib/core/flow/parameterTable';
	import { MODEL_SAYS, SHARE_SAYS } from '$lib/core/flow/words';
	import { MOTIONS, type Motion } from '$lib/core/vocabulary/vocabulary';
	import ToyTide from '$lib/ui/views/library/ToyTide.svelte';

	const HOW = [
		[
			'Pools and gates',
			'Each of 34 zones a side holds some mobile fluid; each of 11 node groups a side is a narrow passage that holds little. A zone gives to its node groups, these pass it on, and at the collarbone and the armpit it returns to the veins. What left the face but waits in the neck or in a node group is not gone.'
		],
		[
			'What a stroke does',
			'It takes a small part of each place it passes along to the next, most when it is light and runs as the drainage does. A place that is full, or a node group that is nearly closed, takes less than the hand brings: the rest is dammed and stays where it was.'
		],
		[
			'What a pump does',
			'It opens its node group a little more each time and passes some of its content on. An opening fades: half of it is gone after ten minutes.'
		],
		[
			'What depth costs',
			'Firm work moves less with each repetition and warms the tissue, and warm tissue fills faster. Tapping and rubbing warm too; cold holds the filling back. That light beats deep is put in, not found: in some people deep work may move more.'
		]
	] as const;
	const SURE = [
		['Draining at all, towards the nodes instead of only upwards or straight down the throat', 'practically every face', 'large'],
		['Lifting with a drain after each move, rather than lifting alone', 'practically every face', 'large'],
		['Opening first, rather than one long drain at the end', 'about 80 % of the faces', 'small: under 1 % of the fluid'],
		['This order rather than the same steps in reverse', 'about 80 % of the faces', 'small: under 1 % of the fluid']
	] as const;
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
			<table class="w-full max-w-[640px] text-xs">
				<thead class="text-ink3 text-[11px]"
					><tr
						><th class="py-1 text-left font-normal">Leaves less</th><th class="text-left font-normal">holds in</th><th
							class="text-left font-normal">size</th
						></tr
					></thead
				>
				<tbody
					>{#each SURE as [what, often, size] (what)}<tr class="border-hair border-t align-top"
							><td class="py-1 pr-4">{what}</td><td class="pr-4 whitespace-nowrap">{often}</td><td>{size}</td></tr
						>{/each}</tbody
				>
			</table>
			<h2 class="flare mt-5 text-[17px] font-[520]">What hangs on what, and what it cannot know</h2>
			<ul class="text-ink2 max-w-[640px] list-disc space-y-1 py-1 pl-5 leading-[19px]">
				<li>
					Both small answers above hang on one assumption: that node groups are a narrow passage and not a store. With two to three times
					their capacity both turn over. The assumption was chosen after an earlier form of the model had given the opposite, so they are a
					consequence of it, no finding.
				</li>
				<li>
					The measure decides. By the face alone, strokes without any opening often come first: the fluid then sits in node groups or in the
					neck. So look at where it went, too.
				</li>
				<li>
					Under the eye, whoever strokes there most often comes first. How strokes lie to the drainage matters little for one pair of zones;
					the way as a whole matters.
				</li>
				<li>One side treated gives about half of it, and leaves the other side as it was.</li>
				<li>
					It knows no pain, no pressure on the eye, no illness, no medicine, no sleep and no salt. Cautions and local rules come before it.
				</li>
				<li>
					One thing rests on literature: fluid of the tissue is taken up by the lymph vessels and not, in the steady state, by the
					capillaries (Levick and Michel, Cardiovascular Research 2010, 87, 198–210).
				</li>
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
			Named and left out, while their time goes by: {Object.values(LEFT_OUT).join('; ')}. Contact and tool do not change what is moved; cold
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
