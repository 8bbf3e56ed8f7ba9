<script lang="ts">
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { ZONES } from '$lib/core/atlas/zones';
	import { sessionAccount, type Sides, type StepAccount } from '$lib/core/perform/account';
	import { MARKS } from '$lib/core/records/runMarks';
	import type { Correction, Session } from '$lib/core/records/session';
	import type { ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { clock } from '$lib/core/step/describe';

	interface Props {
		session: Session;
		planned: Sequence;
		performed: Sequence;
		context: ExpandContext;
		oncorrect: (corrections: Correction[]) => void;
		/** ISO time of a correction. */
		now: () => string;
	}
	let { session, planned, performed, context, oncorrect, now }: Props = $props();

	const account = $derived(sessionAccount(session, planned, performed, context));
	const { rows, zones, uneven, used, leftOut: left, otherwise: other } = $derived(account);
	const noted = $derived(session.happened.filter((h) => h.mark !== 'halt'));
	const halts = $derived(session.happened.filter((h) => h.mark === 'halt'));
	const count = ({ left: l, right: r, seconds }: Sides, unit: StepAccount['unit']) =>
		unit === 'seconds' ? clock(seconds) : l === r ? `${l} each` : `${l} left, ${r} right`;
	/** The step that is being put right. */
	let open = $state<string | null>(null);
	let wrong = $state('');
	function correct(e: SubmitEvent, row: StepAccount) {
		e.preventDefault();
		const form = new FormData(e.currentTarget as HTMLFormElement);
		const reason = String(form.get('reason') ?? '');
		const told = { stepId: row.stepId, reason, at: now() };
		const number = (name: string) => Number(String(form.get(name) ?? '').trim() || NaN);
		if (row.unit === 'seconds') {
			const seconds = number('seconds');
			if (!Number.isFinite(seconds) || seconds < 0 || seconds > 86_400) {
				wrong = 'Seconds: give a number from 0 to 86,400.';
				return;
			}
			keep({ ...told, leftReps: row.logged.left, rightReps: row.logged.right, seconds });
			return;
		}
		const [leftReps, rightReps] = [number('left'), number('right')];
		if (![leftReps, rightReps].every((n) => Number.isInteger(n) && n >= 0 && n <= 10_000)) {
			wrong = 'Repetitions on each side are whole numbers from 0 to 10,000.';
			return;
		}
		keep({ ...told, leftReps, rightReps });
	}
	function keep(correction: Correction) {
		oncorrect([...session.corrections.filter((c) => c.stepId !== correction.stepId), correction]);
		open = null;
		wrong = '';
	}
	const takeBack = (row: StepAccount) => {
		oncorrect(session.corrections.filter((c) => c.stepId !== row.stepId));
		open = null;
	};
</script>

<section aria-label="What was done">
	<h2 class="mb-1 text-[15px] font-semibold">Done{session.guided ? '' : ', as it was written down'}</h2>
	<dl class="text-ink2 grid grid-cols-[74px_1fr] gap-y-0.5 text-[13.5px]">
		<dt>Time</dt>
		<dd>
			<b class="text-ink">{clock(account.workedSeconds)}</b>{account.haltedSeconds
				? `, and a halt of ${clock(account.haltedSeconds)}`
				: ''}{halts.length > 1 ? ` in ${halts.length}` : ''}
		</dd>
		<dt>Steps</dt>
		<dd>
			<b class="text-ink">{account.stepsDone}</b> of {account.stepsPlanned}{left.length
				? `, without ${left.length > 9 ? `${left.length} of them` : left.map((r) => r.number).join(', ')}`
				: ''}
		</dd>
		{#if other.length}<dt>Otherwise</dt>
			<dd>
				{#each other as row (row.stepId)}
					<div>
						<span class="text-ink">{row.number}. {row.title}</span>: {row.became === 'added'
							? `added, ${count(row.done, row.unit)}`
							: `${count(row.done, row.unit)}, planned ${count(row.plan, row.unit)}`}
					</div>
				{/each}
			</dd>{/if}
		{#if uneven.length}<dt>Sides</dt>
			<dd>
				{#each uneven as { zone, done } (zone)}
					<div><span class="text-ink">{ZONES[zone].label}</span>: {done.left} left, {done.right} right, planned even</div>
				{/each}
			</dd>{/if}
		{#if used.length}<dt>With</dt>
			<dd>{used.join(', ')}{performed.performer === 'self' ? '; by her own hands' : ''}</dd>{/if}
		{#if noted.length}<dt>Noted</dt>
			<dd>
				{#each noted as mark, i (i)}
					<div>
						{clock(mark.seconds)}
						<span class="text-ink">{mark.words && mark.mark !== 'note' ? mark.words : MARKS[mark.mark]}</span>{mark.place &&
						mark.mark === 'tender'
							? `, ${labelOf(placeOf(mark.place)).toLowerCase()}${mark.side && mark.side !== 'midline' ? `, ${mark.side}` : ''}`
							: ''}{mark.words && mark.mark === 'note' ? `: ${mark.words}` : ''}
					</div>
				{/each}
			</dd>{/if}
	</dl>
	<details class="mt-2 text-[13.5px]">
		<summary class="min-h-8 cursor-pointer py-1">Every step, planned and done</summary>
		<table class="w-full tabular-nums">
			<thead class="text-ink2 text-left">
				<tr><th class="font-normal">Step</th><th class="font-normal">Planned</th><th class="font-normal">Done</th><td></td></tr>
			</thead>
			<tbody>
				{#each rows as row (row.stepId)}
					<tr class="border-hair border-t align-top">
						<td class="py-1 pr-2">{row.number}. {row.title}</td>
						<td class="py-1 pr-2">{row.became === 'added' ? '–' : count(row.plan, row.unit)}</td>
						<td class="py-1 pr-2 whitespace-nowrap"
							>{row.became === 'left out' ? 'left out' : count(row.done, row.unit)}{#if row.correction}<br /><span class="text-ink2"
									>logged {count(row.logged, row.unit)}{row.correction.reason ? `; ${row.correction.reason}` : ''}</span
								>{/if}</td
						>
						<td class="py-1 text-right"
							><button
								type="button"
								class="btn min-h-7 px-2 text-[13px]"
								aria-label="Correct {row.number}, {row.title}"
								aria-expanded={open === row.stepId}
								onclick={() => (open = open === row.stepId ? null : row.stepId)}>Correct</button
							></td
						>
					</tr>
					{#if open === row.stepId}
						<tr
							><td colspan="4" class="pb-2">
								<form class="flex flex-wrap items-end gap-2" novalidate onsubmit={(e) => correct(e, row)}>
									{#if row.unit === 'seconds'}<label class="w-24"
											>Seconds<input
												autocomplete="off"
												class="field w-full"
												name="seconds"
												inputmode="decimal"
												value={row.done.seconds}
											/></label
										>{:else}
										<label class="w-16"
											>Left<input autocomplete="off" class="field w-full" name="left" inputmode="numeric" value={row.done.left} /></label
										>
										<label class="w-16"
											>Right<input autocomplete="off" class="field w-full" name="right" inputmode="numeric" value={row.done.right} /></label
										>{/if}
									<label class="min-w-24 flex-1">Why<input autocomplete="off" class="field w-full" name="reason" maxlength="300" /></label>
									<button class="btn btn-primary">Save</button>
									{#if row.correction}<button type="button" class="btn" onclick={() => takeBack(row)}>As logged</button>{/if}
								</form>
								{#if wrong}<p class="text-flag" role="alert">{wrong}</p>{/if}
							</td></tr
						>
					{/if}
				{/each}
			</tbody>
		</table>
	</details>
	{#if zones.length}
		<details class="text-[13.5px]">
			<summary class="min-h-8 cursor-pointer py-1">Every zone, both sides</summary>
			<table class="w-full tabular-nums">
				<thead class="text-ink2 text-left">
					<tr
						><th class="font-normal">Zone</th><th class="font-normal">Planned right, left</th><th class="font-normal">Done right, left</th
						></tr
					>
				</thead>
				<tbody>
					{#each zones as { zone, plan, done } (zone)}
						<tr class="border-hair border-t">
							<td class="py-1 pr-2">{ZONES[zone].label}</td>
							<td class="py-1 pr-2">{plan.right}, {plan.left}</td>
							<td class="py-1 pr-2 {done.left === done.right ? '' : 'font-semibold'}">{done.right}, {done.left}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</details>
	{/if}
</section>
