<script lang="ts">
	import { subDays } from 'date-fns';
	import { practiceOf, type Of, type PracticeRow } from '$lib/core/perform/practice';
	import { HEADLINE_MEASURED } from '$lib/core/assess/registry';
	import { followTapeErrors } from '$lib/state/tapeErrors.svelte';
	import ErrorFunnel from '$lib/ui/views/progress/ErrorFunnel.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import { composeAt } from '$lib/ui/parts/shell/addresses';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';

	const app = useApp();
	const tape = followTapeErrors(app);
	const SPANS = { weeks: { label: 'Eight weeks', days: 56 }, year: { label: 'A year', days: 365 } } as const;
	type Span = keyof typeof SPANS;
	let span = $state<Span>('weeks');
	const found = liveRows(
		() => span,
		async (s) => {
			const sessions = await app.repo.sessionsSince(subDays(new Date(app.repo.stamp().now), SPANS[s].days).toISOString());
			return { sessions, performed: await app.repo.performedIn(sessions) };
		}
	);
	type Found = Extract<typeof found.current, { state: 'here' }>['rows'];
	const rowsOf = ({ sessions, performed }: Found) => practiceOf(sessions, (s) => performed.get(s.sequence!.snapshot) ?? null, app.context);
	const totalOf = (rows: readonly PracticeRow[]) => rows.reduce((n, row) => n + row.sessions, 0);
	const of = ({ n, of: all }: Of) => (all ? `${n} of ${all}` : '–');
	const COLUMNS: readonly { readonly label: string; readonly says: string; readonly of: (row: PracticeRow) => string }[] = [
		{ label: 'Sessions', says: 'that were ended', of: (r) => String(r.sessions) },
		{ label: 'Clients', says: '', of: (r) => String(r.clients) },
		{ label: 'Minutes', says: 'worked, on average', of: (r) => r.minutes.toFixed(1) },
		{ label: 'Sides even', says: 'as planned, within 5 in 100', of: (r) => of(r.even) },
		{ label: 'Closing drain', says: 'done, where there is one', of: (r) => of(r.closed) },
		{ label: 'Reactions', says: 'noted afterwards', of: (r) => String(r.reactions) }
	];
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="border-hair flex flex-wrap items-center gap-x-3 gap-y-2 border-b py-2.5">
		<h1 class="flex-1 text-xl leading-7 font-[520]">The practice</h1>
		<a class="dotted text-[13px]" href="/progress">One client</a>
		<Segmented
			label="How far back"
			value={span}
			options={(Object.keys(SPANS) as Span[]).map((value) => ({ value, label: SPANS[value].label }))}
			onchange={(s) => (span = s)}
		/>
	</div>
	<Awaited of={found.current} what="The sessions of this time">
		{#snippet children(here)}
			{@const rows = rowsOf(here)}
			{@const total = totalOf(rows)}
			{#if rows.length}
				<p class="py-3 text-[16px] leading-[22px]">
					<b class="font-semibold">{total} {total === 1 ? 'session' : 'sessions'}</b>
					<span class="text-ink2">with {rows.length} {rows.length === 1 ? 'sequence' : 'sequences'}.</span>
				</p>
				<div class="-mx-1 overflow-x-auto px-1">
					<table class="w-full max-w-[1000px] text-[13.5px]">
						<caption class="sr-only">What was done with each sequence</caption>
						<thead>
							<tr class="align-bottom">
								<th class="py-1 text-left font-normal">Sequence</th>
								{#each COLUMNS as column (column.label)}<th class="px-2 py-1 text-right font-semibold"
										>{column.label}<br /><span class="text-ink2 text-[11.5px] font-normal">{column.says}</span></th
									>{/each}
							</tr>
						</thead>
						<tbody>
							{#each rows as row (row.id)}<tr class="border-hair border-t">
									<th scope="row" class="py-1.5 pr-3 text-left font-normal"><a class="dotted" href={composeAt(row.id)}>{row.title}</a></th>
									{#each COLUMNS as column (column.label)}<td class="px-2 text-right whitespace-nowrap">{column.of(row)}</td>{/each}
								</tr>{/each}
						</tbody>
					</table>
				</div>
				<p class="text-ink2 max-w-[80ch] pt-3 text-[12px] leading-4">
					Counts of what was logged, nothing more: they do not say which sequence does more good. A session that was stopped early is even
					as far as it went only if both sides got as much.
				</p>
			{:else}<p class="text-ink2 max-w-[56ch] py-6 text-[13.5px] leading-5">
					No session ended in this time. <a class="dotted" href="/session">Begin a session</a>
				</p>{/if}
		{/snippet}
	</Awaited>
	<section class="border-hair mt-5 max-w-[1000px] border-t pt-3">
		<h2 class="pb-1 text-[13.5px] font-semibold">How exactly you measure by tape</h2>
		<ErrorFunnel repeated={tape.repeated} observed={HEADLINE_MEASURED} working={app.working} />
	</section>
</div>
