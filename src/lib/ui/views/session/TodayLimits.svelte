<script lang="ts">
	import { saidDay } from '$lib/core/client/saidDay';
	import { isOfClient } from '$lib/core/rules/rule';
	import { sentenceOf } from '$lib/core/rules/wording';
	import type { Finding } from '$lib/core/rules/rule';
	import type { Fitted } from '$lib/core/fitted/makeItFit';
	import type { Client } from '$lib/core/records/client';
	import { allowedLines } from '$lib/core/screening/allowed';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import { visitQuestions } from '$lib/core/screening/questions';
	import { openReactions } from '$lib/core/screening/reactions';
	import { isRefused, refusals } from '$lib/core/screening/start';
	import type { Session } from '$lib/core/records/session';
	import type { Step } from '$lib/core/step/step.schema';
	import { clientAt } from '../../parts/shell/addresses';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';

	interface Props {
		client: Client;
		limits: readonly Limit[];
		today: string;
		sessions: readonly Session[];
		steps: readonly Step[];
		/** What making it fit would change; null where nothing is planned. */
		fitted: Fitted | null;
		fit: boolean;
		onfit: (fit: boolean) => void;
		/** Stops of hers that are left in what would be performed. */
		stops: readonly Finding[];
		/** Why one begins all the same. */
		reason: string;
		onreason: (reason: string) => void;
		onredflags: () => void;
	}
	let { client, limits, today, sessions, steps, fitted, fit, onfit, stops, reason, onreason, onredflags }: Props = $props();
	const lines = $derived(allowedLines(limits, today));
	const open = $derived(visitQuestions(client, today, steps).filter((q) => !q.done).length);
	const reactions = $derived(openReactions(sessions, client.followUps, today));
	const uid = $props.id();
	const changed = $derived(new Set(fitted?.changes.map((c) => c.stepId) ?? []).size);
</script>

<section aria-label="What today allows">
	<h2 class="mb-1.5 flex items-baseline justify-between gap-2 text-[15px] font-semibold">
		What today allows <button type="button" class="dotted text-[13px] font-normal" onclick={onredflags}>Red flags</button>
	</h2>
	{#if isRefused(limits)}
		<div class="border-flag rounded-lg border-2 p-2.5 text-[13.5px] leading-5" role="alert">
			<b class="text-flag font-semibold">No massage today. Refer.</b>
			{#each refusals(limits) as r (r.id)}<p><b class="font-semibold">{r.name}.</b> {r.reason}</p>{/each}
			<a class="dotted" href={clientAt(client.id)}>Her record, with a note for the doctor</a>
		</div>
	{:else}
		<ul class="text-[13px] leading-[18px]">
			{#each lines as line (line.key)}
				<li class="flex gap-1.5 py-0.5">
					<Pennant severity={line.severity} /><span
						><b class="font-[560]">{line.effects[0]}</b> <span class="text-ink2">{line.name}</span></span
					>
				</li>
			{:else}<li class="text-ink2">
					{client.answers.length ? 'Nothing that she answered limits the work.' : 'She was never asked.'}
				</li>{/each}
		</ul>
		{#each reactions as s (s.id)}<p class="text-ink2 text-[13px]">
				After {saidDay(s.startedAt.slice(0, 10))}: {s.sideEffects} Ask how it went.
			</p>{/each}
		<p class="mt-1 text-[13px]">
			<a class="dotted" href={clientAt(client.id)}
				>{open ? `Ask what has changed, ${open} ${open === 1 ? 'question' : 'questions'}` : 'Asked today; look again'}</a
			>
		</p>
		{#if fitted?.edit}
			<div class="mt-2">
				<Segmented
					large
					label="Which version is performed"
					value={fit ? 'fit' : 'plan'}
					options={[
						{ value: 'fit', label: `Made to fit, ${changed} changed` },
						{ value: 'plan', label: 'As planned' }
					]}
					onchange={(v) => onfit(v === 'fit')}
				/>
				<p class="text-ink2 mt-1 text-[12.5px] leading-[17px]">
					{fit
						? 'The session carries the fitted copy; her sequence stays as it is.'
						: 'As planned it goes against what she may have today.'}
					{#each fitted.unsaved as u (u.what)}<span class="text-flag block">{u.what}</span>{/each}
				</p>
			</div>
		{/if}
		{#if stops.length}
			<div class="border-flag mt-2 border-l-2 pl-2.5">
				<ul class="text-[13px] leading-[18px]">
					{#each stops.filter(isOfClient).slice(0, 5) as f (f.key)}<li><b class="font-semibold">{sentenceOf(f).head}</b></li>{/each}
				</ul>
				<label class="label mt-1.5" for={uid}>Begin all the same, because</label>
				<textarea
					autocomplete="off"
					id={uid}
					class="field w-full"
					rows="2"
					maxlength="2000"
					placeholder="For example: her doctor has allowed it by telephone, name and hour"
					value={reason}
					oninput={(e) => onreason(e.currentTarget.value)}></textarea>
				<p class="text-ink2 text-[12.5px]">The reason is kept with the session.</p>
			</div>
		{/if}
	{/if}
</section>
