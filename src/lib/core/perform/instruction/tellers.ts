import { ownSideOf } from '../../atlas/places';
import { pointByCode } from '../../point/points';
import { listWords } from '../../listWords';
import { turnsOf } from '../../sequence/workedSide';
import { contactText, signsText } from '../../step/describe';
import { doseAtOf, hasDoseAt } from '../../step/doseAt';
import { LEVEL_NAMES, type Level } from '../../step/levels';
import type { Step } from '../../step/step.schema';
import {
	AIMS,
	BREATHS,
	isStationary,
	motionRow,
	MOTIONS,
	MOUTHS,
	POSTURES,
	STONE_EDGES,
	toolRow
} from '../../vocabulary/vocabulary';
import { endedWords } from '../ended';
import { readyFor } from '../ready';
import { actWords, topUpWords } from '../supplies';
import type { Moment } from './moment';
import type { SlotId } from './slots';
import { capital, ordinal, plural, refNames, refWords, sideCall, spokenTime } from './words';

/** What one slot tells: as it is read, and as it is said where that is shorter. Empty: nothing. */
export type Telling = string | { readonly words: string; readonly say: string };
type Teller = (moment: Moment) => Telling;

const joined = (parts: readonly (string | false | undefined)[], by = ', '): string => parts.filter(Boolean).join(by);
const secondsText = (n: number): string => `${Number(n.toFixed(1))} s`;
const levelText = (level: Level): string => LEVEL_NAMES[level];

/** What is done before hands are laid on; else over to the other side. Only what is taken is said: the rest has its own words. */
function readyWords({ event, step, before, begins, crosses, plan }: Moment): Telling {
	if (event.kind !== 'transition') return '';
	const all = readyFor(step, begins ? before : step, plan.supplies);
	const words = [crosses && 'Other side', ...all.map((r) => r.words)];
	return {
		words: joined(words) || 'Get ready',
		say: joined(all.filter(({ kind }) => kind === 'contact').map((r) => r.words))
	};
}

/** A part of a repetition that lasts so long is told with its time. Working value. */
const PART_CLOCK_SECONDS = 6;

/** Aim and movement, or what is done of one’s own: a wash, a hold, the way to the outlet. */
function whatWords({ event, step, plan }: Moment): Telling {
	if (event.kind === 'link') return 'Drain to the outlet';
	if (event.kind === 'station') {
		if (step.aim === 'exercise') return 'Hold it';
		const { stations } = step;
		if (!stations || event.places.length !== 1 || !stations.places.includes(event.places[0]!))
			return 'Hold the end position';
		const { kind, amount } = stations.hold;
		const breaths = kind === 'breaths' ? plural(amount, 'breath') : null;
		return {
			words: `Press and wait, ${breaths ?? secondsText(amount)}`,
			say: `Press, ${breaths ?? spokenTime(amount)}`
		};
	}
	const act = actWords(step, plan.supplies);
	if (act) return act;
	const motion = event.part ? step.parts![event.part - 1]!.motion : step.motion;
	const target = step.target ? ` (${step.target})` : '';
	if (motion === 'none') return AIMS[step.aim] + target;
	const words = MOTIONS[motion];
	const seconds = event.part ? step.parts![event.part - 1]!.seconds : 0;
	const say = seconds >= PART_CLOCK_SECONDS ? `${words}, ${spokenTime(seconds)}` : words;
	return { words: `${AIMS[step.aim]}${target}: ${words.toLowerCase()}`, say };
}

/** Where the hands are: the place at hand, the point, the ends of a way, or all that is held together. */
function placeWords({ event, step, at, plan }: Moment): Telling {
	if (actWords(step, plan.supplies)) return '';
	if (step.point && event.places.length === 1 && event.kind !== 'link') {
		const spot = capital(pointByCode(step.point).spot);
		const zone = refWords(event.places[0]!);
		return ownSideOf(event.places[0]!) ? `${spot} (${zone})` : spot;
	}
	const names = refNames(event.places);
	if (!names.length) return 'Whole face';
	if (at !== null) {
		const of = step.places.length > 1 ? `, place ${at + 1} of ${step.places.length}` : '';
		return { words: capital(names[0]!) + of, say: capital(names[0]!) };
	}
	const together = isStationary(event.part ? step.parts![event.part - 1]!.motion : step.motion);
	if (together && event.kind === 'work') return capital(listWords(names));
	return capital(names.length === 1 ? names[0]! : `${names[0]} to ${names.at(-1)}`);
}

/** What lies between the ends of a way. */
function wayWords({ event, step, at }: Moment): string {
	if (at !== null || (isStationary(step.motion) && !event.part && event.kind !== 'link')) return '';
	const between = refNames(event.places).slice(1, -1);
	return between.length ? `By way of ${listWords(between)}` : '';
}

function pointWords({ step }: Moment): Telling {
	if (!step.point) return '';
	const { code, name, spot } = pointByCode(step.point);
	// With one place it is called by where the point lies.
	const where = step.places.length === 1 ? '' : `: ${spot}`;
	return { words: `Point ${code}, ${name}${where}`, say: name };
}

function laneWords({ event, step }: Moment): Telling {
	if (step.lanes === 1 || event.kind === 'link') return '';
	const { lane } = event;
	const last = lane === step.lanes;
	const lies =
		step.laneRun === 'diagonal'
			? ', diagonal'
			: step.laneRun === 'inner-outer'
				? `, ${lane === 1 ? 'inner' : last ? 'outer' : 'further out'}`
				: '';
	return { words: `Lane ${lane} of ${step.lanes}${lies}`, say: `${capital(ordinal(lane))} lane${lies}` };
}

function directionWords({ event, step }: Moment): string {
	if (!step.reverse || event.kind === 'link') return '';
	const round = motionRow(step.motion).circles;
	if (event.direction === 'back') return round ? 'Now the other way round' : 'Now back';
	return round ? 'One way round, then the other' : 'There, then back';
}

function sideTold({ event, step, plan, placed }: Moment): Telling {
	const { side } = event;
	const turns = turnsOf(side);
	const other = step.side;
	const inTurn = typeof other === 'object' && 'alternate' in other ? other : null;
	const call = sideCall(turns ? turns[0] : side, plan.performer);
	if (inTurn) {
		const every = inTurn.every && inTurn.every > 1 ? ` every ${inTurn.every}` : '';
		return { words: `${capital(call)}, in turn${every}, ${inTurn.first} first`, say: `${call}, in turn${every}` };
	}
	const each = typeof other === 'object' ? other : placed.block.sides === 'asSteps' ? null : placed.block.sides;
	if (each && side === each.first) return { words: `${capital(call)}, then ${otherName(each.first)}`, say: call };
	if (side === other && (side === 'left' || side === 'right')) return { words: `${capital(call)} only`, say: call };
	return { words: capital(call), say: call };
}
const otherName = (side: 'left' | 'right'): string => (side === 'left' ? 'right' : 'left');

/** To what a dose is given: each place, side, lane and direction has its own. */
function scopeText({ step, placed }: Moment): string {
	if (hasDoseAt(step)) return doseAtOf(step) === 'each-place' ? ' at each place' : ' over all places';
	const each = [
		(typeof step.side === 'object' || placed.block.sides !== 'asSteps') && 'side',
		step.lanes > 1 && 'lane',
		step.reverse && 'way'
	].filter(Boolean) as string[];
	return each.length ? ` each ${each.join(' and ')}` : step.places.length && step.dose.kind === 'reps' ? ' in all' : '';
}
function countWords(moment: Moment): Telling {
	const { event, step } = moment;
	if (event.kind === 'link') return step.end.kind === 'link' && step.end.pumps ? plural(step.end.pumps, 'pump') : '';
	const { kind, min, target, max } = step.dose;
	const range = min === max ? '' : ` (${min} to ${max})`;
	const scope = scopeText(moment);
	// One repetition of long parts is not counted: each part has its time.
	if (step.parts && kind === 'reps' && target === 1 && event.kind === 'work') {
		const long = event.endSeconds - event.startSeconds;
		return { words: secondsText(long) + scope.replace(' in all', ''), say: spokenTime(long) };
	}
	if (kind === 'seconds') return { words: `${secondsText(target)}${range}${scope}`, say: spokenTime(target) + scope };
	const unit = kind === 'breaths' ? ` breath${target === 1 ? '' : 's'}` : target === 1 ? ' time' : ' times';
	return { words: `${target}${unit}${range}${scope}`, say: `${target}${kind === 'breaths' ? unit : ''}${scope}` };
}

function handWords({ step }: Moment): Telling {
	if (step.contact === 'none' && !step.tool) return '';
	const { tool } = step;
	const worn = tool && toolRow(tool.id).worn ? 'gloves on' : '';
	const edge = tool?.edge ? STONE_EDGES[tool.edge].toLowerCase() : '';
	const angle = tool?.tiltDegrees === undefined ? '' : `${tool.tiltDegrees}°`;
	const say = joined([
		edge || contactText(step).toLowerCase(),
		tool?.tiltDegrees === undefined ? '' : tool.tiltDegrees ? `${tool.tiltDegrees} degrees` : 'flat on the skin'
	]);
	return { words: joined([contactText(step), worn, edge, angle]), say: capital(say) };
}

function supportWords({ step, plan }: Moment): string {
	const { support } = step;
	if (!support) return '';
	const at = support.place ? ` at ${refWords(support.place)}` : '';
	const head = plan.performer === 'self' ? 'Your head' : 'The client’s head';
	return (
		capital(
			joined([
				support.thumb ? `own thumb anchors${at}` : at && `other hand${at}`,
				support.stays && 'one hand always stays on',
				support.moves && 'the anchor goes along',
				support.head === 'resists' && `${head.toLowerCase()} resists`,
				support.head === 'pushed' && `${head.toLowerCase()} is pushed`
			])
		) || 'Both hands may lift'
	);
}

function levelWords({ event, step }: Moment): Telling {
	if (step.contact === 'none') return '';
	const along = event.levels.filter((level, i, all) => level !== all[i - 1]).map(levelText);
	const rises = step.risesTo === undefined || event.part ? '' : `, rising to ${levelText(step.risesTo)}`;
	return { words: capital(along.join(', then ')) + rises, say: along.join(', then ') + rises };
}

function paceWords({ event, step }: Moment): Telling {
	if (event.kind === 'link' || event.kind === 'station') return '';
	const far = step.amplitudeMm === undefined ? '' : `${step.amplitudeMm} mm to and fro`;
	const { holds } = motionRow(step.motion);
	const once = step.parts !== undefined && step.dose.kind === 'reps' && step.dose.target === 1;
	const paced = !event.part && !once && (step.dose.kind === 'reps' || (step.dose.kind === 'seconds' && !holds));
	const pace = !paced
		? ''
		: holds
			? `${secondsText(step.paceSeconds)} each`
			: `One in ${secondsText(step.paceSeconds)}`;
	return {
		words: joined([pace, far]),
		say: joined([
			pace && (holds ? `${spokenTime(step.paceSeconds)} each` : `one in ${spokenTime(step.paceSeconds)}`),
			far && `${plural(step.amplitudeMm!, 'millimetre')} to and fro`
		])
	};
}

function stopsWords({ step }: Moment): Telling {
	if (!step.stations) return '';
	const { places, hold } = step.stations;
	const at = listWords(places.map(refWords));
	const long = hold.kind === 'breaths' ? plural(hold.amount, 'breath') : secondsText(hold.amount);
	const said = hold.kind === 'breaths' ? long : spokenTime(hold.amount);
	return { words: `Stop at ${at}, ${long} each`, say: `${plural(places.length, 'stop')}, ${said} each` };
}

/** A breath that the stops have told already is not said again. */
function breathWords({ step }: Moment): Telling {
	if (step.breath === 'free') return '';
	const words = BREATHS[step.breath];
	return { words, say: step.breath === 'one-a-station' && step.stations?.hold.kind === 'breaths' ? '' : words };
}

/** Glide that is added, and what of a skincare routine the step stands for. */
function amountWords({ step, plan }: Moment): string {
	const more = step.medium && !actWords(step, plan.supplies) ? topUpWords(step.medium, plan.supplies) : '';
	return joined([more, step.replaces && `In place of ${step.replaces}`], '; ');
}

function tapeWords({ step }: Moment): Telling {
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

const bodyWords = ({ step }: Moment): string =>
	joined([
		step.posture !== 'neutral' && POSTURES[step.posture],
		step.mouth !== 'closed' && MOUTHS[step.mouth],
		step.eyes === 'open' && 'Eyes open'
	]);

function byWords({ step, plan }: Moment): string {
	if (step.by !== 'client') return '';
	return plan.performer === 'self' ? 'Your muscles do it' : 'The client does this';
}

function untilWords({ step }: Moment): Telling {
	if (!step.until) return '';
	const signs = `Until ${signsText(step.until)}`;
	const { capSeconds } = step.until;
	return { words: `${signs}, ${capSeconds} s at most`, say: `${signs}, ${spokenTime(capSeconds)} at most` };
}

/** What it hangs on. That it may be skipped is read, not said. */
function conditionWords({ step }: Moment): Telling {
	const say = joined(
		[step.onlyIf && `Only if ${step.onlyIf}`, step.choice && `Chosen for ${step.choice.group}: ${step.choice.option}`],
		'. '
	);
	return { words: joined([say, step.optional && 'May be skipped'], '. '), say };
}

/** The further strokes of a repetition, from the one that comes. */
function thenWords({ event, step }: Moment): Telling {
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
	const long = rest.some(({ seconds }) => seconds >= PART_CLOCK_SECONDS);
	const short = rest.map(({ motion }) => `then ${MOTIONS[motion].toLowerCase()}`).join(', ');
	return { words: capital(told(false)), say: capital(long ? told(true) : short) };
}

const ENDS = { none: '', wiggle: 'wiggle', lift: 'lift off', press: 'press' } as const;
function endWords({ event, step }: Moment): Telling {
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

function exitWords({ placed: { phase }, endsPhase }: Moment): string {
	if (!endsPhase || !phase.exitAfter) return '';
	return `You may end after this step${phase.exitTitle ? `: ${phase.exitTitle}` : ''}`;
}

/** How each slot is told. A new slot does not compile until it is told here. */
export const TELLERS: { readonly [S in SlotId]: Teller } = {
	ended: ({ step, before, opens }) => (opens ? endedWords(step, before).join('. ') : ''),
	ready: readyWords,
	phase: ({ placed, opens, newPhase }) => (opens && newPhase ? placed.phase.title : ''),
	round: ({ round, rounds }) => (rounds > 1 ? `Round ${round} of ${rounds}` : ''),
	what: whatWords,
	place: placeWords,
	point: pointWords,
	lane: laneWords,
	way: wayWords,
	beside: ({ event, step }) =>
		step.beside && event.kind === 'work' ? `Beside it: ${refNames(step.beside).join(' to ')}` : '',
	direction: directionWords,
	side: sideTold,
	count: countWords,
	hand: handWords,
	support: supportWords,
	level: levelWords,
	pace: paceWords,
	stops: stopsWords,
	breath: breathWords,
	amount: amountWords,
	tape: tapeWords,
	body: bodyWords,
	by: byWords,
	around: ({ step }) => (step.around ? `Work around ${step.around}` : ''),
	until: untilWords,
	condition: conditionWords,
	then: thenWords,
	end: endWords,
	note: ({ step }: { readonly step: Step }) => step.note,
	exit: exitWords,
	why: ({ step }) => joined([step.reason && `One side only: ${step.reason}`, step.why], '. ')
};
