import { listWords } from '../../listWords';
import { signsText } from '../../step/describe';
import { BREATHS, MOTIONS, MOUTHS, POSTURES, TOWARDS } from '../../vocabulary/vocabulary';
import { actWords, topUpWords } from '../supplies';
import { capital } from '../../capital';
import { LONG_PART_SECONDS } from '../longPart';
import type { Moment } from './moment';
import { plural, refNames, refWords, spokenTime } from './words';
import { joined, levelText, secondsText, type Telling } from './telling';

export function stopsWords({ step }: Moment): Telling {
	if (!step.stations) return '';
	const { places, hold } = step.stations;
	const at = listWords(places.map(refWords));
	const long = hold.kind === 'breaths' ? plural(hold.amount, 'breath') : secondsText(hold.amount);
	const said = hold.kind === 'breaths' ? long : spokenTime(hold.amount);
	return { words: `Stop at ${at}, ${long} each`, say: `${plural(places.length, 'stop')}, ${said} each` };
}

/** A breath that the stops have told already is not said again. */
export function breathWords({ step }: Moment): Telling {
	if (step.breath === 'free') return '';
	const words = BREATHS[step.breath];
	return { words, say: step.breath === 'one-a-station' && step.stations?.hold.kind === 'breaths' ? '' : words };
}

/** Glide that is added, and what of a skincare routine the step stands for. */
export function amountWords({ step, plan }: Moment): string {
	const more = step.medium && !actWords(step, plan.supplies) ? topUpWords(step.medium, plan.supplies) : '';
	return joined([more, step.replaces && `In place of ${step.replaces}`], '; ');
}

export function tapeWords({ step }: Moment): Telling {
	const { tape } = step;
	if (!tape) return '';
	const pieces = tape.pieces && tape.pieces > 1 ? `${tape.pieces} pieces of ` : '';
	const hours = tape.leastHours === undefined ? '' : `${tape.leastHours} to `;
	const words = joined([
		`${pieces}${tape.lengthMm} × ${tape.widthMm} mm`,
		tape.anchor && `anchor at ${refWords(tape.anchor)}`,
		tape.anchorMm !== undefined && `the first ${tape.anchorMm} mm without stretch`,
		tape.towards && `towards ${refWords(tape.towards)}`,
		`worn ${hours}${tape.wearHours} h`,
		tape.firstHours !== undefined && `the first time ${tape.firstHours} h`,
		tape.firstWear && 'first wear: a trial',
		tape.skin === 'absorbed' && 'skin: let it sink in first',
		tape.skin === 'blotted' && 'skin: blot it first'
	]);
	const say = joined([
		pieces ? `${tape.pieces} pieces` : 'one piece',
		tape.anchor && `from ${refWords(tape.anchor)}`,
		tape.towards && `to ${refWords(tape.towards)}`
	]);
	return { words, say };
}

export const bodyWords = ({ step }: Moment): string =>
	joined([
		step.posture !== 'neutral' && POSTURES[step.posture],
		step.towards && TOWARDS[step.towards],
		step.mouth !== 'closed' && MOUTHS[step.mouth],
		step.eyes === 'open' && 'Eyes open'
	]);

export function byWords({ step, plan }: Moment): string {
	if (step.by !== 'client') return '';
	return plan.performer === 'self' ? 'Your muscles do it' : 'The client does this';
}

export function untilWords({ step }: Moment): Telling {
	if (!step.until) return '';
	const signs = `Until ${signsText(step.until)}`;
	const { capSeconds } = step.until;
	return { words: `${signs}, ${capSeconds} s at most`, say: `${signs}, ${spokenTime(capSeconds)} at most` };
}

/** What it hangs on. That it may be skipped is read, not said. */
export function conditionWords({ step, placed }: Moment): Telling {
	const { steps } = placed.block;
	const condition = step.otherwise ? steps[steps.findIndex((s) => s.id === step.id) - 1]?.onlyIf : undefined;
	const say = joined(
		[
			step.otherwise && (condition ? `Otherwise: not ${condition}` : 'Otherwise'),
			step.onlyIf && `Only if ${step.onlyIf}`,
			step.choice && `Chosen for ${step.choice.group}: ${step.choice.option}`
		],
		'. '
	);
	return { words: joined([say, step.optional && 'May be skipped'], '. '), say };
}

/** The further strokes of a repetition, from the one that comes. */
export function thenWords({ event, step }: Moment): Telling {
	const rest = event.kind === 'link' ? [] : (step.parts ?? []).slice(event.part);
	const told = (say: boolean) =>
		rest
			.map(({ motion, places, pressure, seconds }) =>
				joined(
					[
						`then ${MOTIONS[motion].toLowerCase()}`,
						places && refNames(places).join(' to '),
						pressure !== undefined && levelText(pressure),
						say ? spokenTime(seconds) : secondsText(seconds)
					],
					', '
				)
			)
			.join('; ');
	const long = rest.some(({ seconds }) => seconds >= LONG_PART_SECONDS);
	const short = rest.map(({ motion }) => `then ${MOTIONS[motion].toLowerCase()}`).join(', ');
	return { words: capital(told(false)), say: capital(long ? told(true) : short) };
}

const ENDS = { none: '', wiggle: 'wiggle', lift: 'lift off', press: 'press' } as const;

export function endWords({ event, step }: Moment): Telling {
	if (event.kind === 'link') return '';
	const { end } = step;
	const finish = end.kind === 'link' ? (end.finish ?? 'none') : end.kind;
	const each = finish === 'none' ? '' : `${capital(ENDS[finish])} at the end of each`;
	const pose = step.poseSeconds === undefined ? '' : `Hold the end position ${secondsText(step.poseSeconds)}`;
	const link =
		end.kind === 'link'
			? `Then drain: ${refNames(end.places).join(', ')}${end.pumps ? `, ${plural(end.pumps, 'pump')}` : ''}`
			: '';
	const outlet = end.kind === 'link' ? 'then drain to the outlet' : '';
	return { words: joined([each, pose, link], '. '), say: joined([each, pose, outlet]) };
}

export function exitWords({ placed: { phase }, endsPhase }: Moment): string {
	if (!endsPhase || !phase.exitAfter) return '';
	return `You may end after this step${phase.exitTitle ? `: ${phase.exitTitle}` : ''}`;
}
