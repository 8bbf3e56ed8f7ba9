<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { RULE_TEXTS } from '$lib/core/rules/texts';
	import { compareSchools } from '$lib/core/rules/byTwoSchools';
	import { sentenceOf } from '$lib/core/rules/wording';
	import { policiesOf } from '$lib/core/school/policies';
	import type { Severity } from '$lib/core/school/school.schema';
	import { SCHOOLS } from '$lib/core/school/schools';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { ifHere } from '$lib/state/rows';
	import { useSequences } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import Pennant from '$lib/ui/parts/glyphs/Pennant.svelte';

	const app = useApp();
	const rows = useSequences();
	let ready = $state.raw<readonly Sequence[]>([]);
	void import('$lib/core/template/templates').then((m) => (ready = m.TEMPLATES));
	const asked = page.url.searchParams;
	let sequenceId = $state(asked.get('sequence') ?? '');
	let [aId, bId] = $state([asked.get('a') ?? '', '']);
	let show = $state<'all' | 'differ'>('all');

	const sequences = $derived([...(ifHere(rows.current) ?? []).map((r) => r.sequence), ...ready]);
	const sequence = $derived(sequences.find((s) => s.id === sequenceId) ?? sequences[0] ?? null);
	const schools = $derived.by(() => {
		const known = [...app.own.schools, ...SCHOOLS];
		return sequence && !known.some((s) => s.id === sequence.school.id) ? [sequence.school, ...known] : known;
	});
	const a = $derived(schools.find((s) => s.id === aId) ?? sequence?.school ?? SCHOOLS[0]!);
	const b = $derived(
		schools.find((s) => s.id === bId) ?? schools.find((s) => s.id !== a.id && s.id === 'crown-down') ?? schools.find((s) => s.id !== a.id)!
	);
	const verdicts = $derived(sequence ? compareSchools(sequence, [a, b], app.context) : []);
	const differing = $derived(verdicts.filter((v) => !v.agree));
	const policies = $derived.by(() => {
		const [pa, pb] = [policiesOf(a), policiesOf(b)];
		return pa.map((p, i) => ({ name: p.name, a: p.text, b: pb[i]!.text })).filter((p) => p.a !== p.b);
	});
	const options = $derived(schools.map((s) => ({ value: s.id, label: s.title })));
	$effect(() => {
		// Opened from a sequence that is still being read from the database: take it once it is there.
		if (!sequenceId && sequences.length) untrack(() => (sequenceId = sequences[0]!.id));
	});
</script>

{#snippet mark(severity: Severity | null)}
	{#if severity}<span class="flex items-center gap-1.5"><Pennant {severity} size={14} />{severity}</span>{:else}<span class="text-ink3"
			>nothing</span
		>{/if}
{/snippet}

<section class="min-h-0 flex-1 overflow-y-auto px-4 pb-8" aria-label="Two schools">
	<h1 class="sr-only">One sequence judged by two schools</h1>
	<!-- The ready sequences can be judged without one’s own. -->
	{#if rows.current.state === 'failed'}<Awaited of={rows.current} what="Your own sequences" />{/if}
	{#if sequence && rows.current.state !== 'pending'}
		<div class="flex flex-wrap items-center gap-2 py-2">
			<Select
				label="Sequence"
				value={sequence.id}
				options={sequences.map((s) => ({ value: s.id, label: s.title }))}
				onchange={(id) => (sequenceId = id)}
			/>
			<span class="text-ink2 text-xs">judged by</span>
			<Select label="First school" value={a.id} {options} onchange={(id) => (aId = id)} />
			<span class="text-ink2 text-xs">and by</span>
			<Select label="Second school" value={b.id} {options} onchange={(id) => (bId = id)} />
			<Segmented
				label="Which findings"
				value={show}
				options={[
					{ value: 'all', label: `All ${verdicts.length}` },
					{ value: 'differ', label: `Where they differ ${differing.length}` }
				]}
				onchange={(v) => (show = v)}
			/>
			<span class="text-ink2 text-xs">The steps stay as they are.</span>
		</div>
		<div class="grid gap-8 xl:grid-cols-[minmax(0,1fr)_420px]">
			<table class="w-full self-start text-[13px] leading-[18px]">
				<thead class="text-left">
					<tr class="border-ink border-b">
						<th class="text-ink3 py-1.5 text-[11px] font-normal">Finding</th>
						<th class="w-40 font-[560]">{a.title}</th>
						<th class="w-40 font-[560]">{b.title}</th>
					</tr>
				</thead>
				<tbody>
					{#each show === 'differ' ? differing : verdicts as v (v.key)}
						<tr class="border-hair border-b align-top {v.agree ? 'text-ink2' : ''}">
							<td class="py-1.5 pr-4">
								<b class={v.agree ? 'font-normal' : 'font-semibold'}>{sentenceOf(v.finding).head}</b>
								<a class="dotted text-ink2 text-xs whitespace-nowrap" href="/library/rules?rule={v.finding.ruleId}"
									>{RULE_TEXTS[v.finding.ruleId]!.title}</a
								>
							</td>
							<td class="py-1.5 pr-3">
								{@render mark(v.severities[0])}
								{#if v.because && !v.agree}<span class="text-ink2 block text-xs leading-4">{v.because[0]}</span>{/if}
							</td>
							<td class="py-1.5">
								{@render mark(v.severities[1])}
								{#if v.because && !v.agree}<span class="text-ink2 block text-xs leading-4">{v.because[1]}</span>{/if}
							</td>
						</tr>
					{:else}
						<tr><td colspan="3" class="text-ink2 py-4">{verdicts.length ? 'They agree in everything.' : 'Neither finds anything.'}</td></tr>
					{/each}
				</tbody>
			</table>
			<aside aria-label="Where the schools differ by themselves">
				<h2 class="border-ink border-b py-1 text-[13.5px] font-semibold">Where they part</h2>
				<dl>
					{#each policies as p (p.name)}
						<div class="border-hair border-b py-1.5">
							<dt class="text-ink3 text-[11px]">{p.name}</dt>
							<dd class="grid grid-cols-2 gap-3 text-xs leading-4"><span>{p.a}</span><span>{p.b}</span></dd>
						</div>
					{:else}<p class="text-ink2 py-2 text-xs">In no policy.</p>{/each}
				</dl>
				{#each a.id === b.id ? [a] : [a, b] as school (school.id)}
					<p class="text-ink2 mt-3 text-xs leading-4">
						<b class="text-ink font-semibold">{school.title}.</b>
						{school.reason}
						{school.others}
					</p>
				{/each}
			</aside>
		</div>
	{/if}
</section>
