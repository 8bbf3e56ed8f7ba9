import { isOutlet, otherSide, placeOf } from '../atlas/places';
import { linkRoute } from '../atlas/route';
import { sided, sideIn, zoneIn, type SidedZone } from '../client/sidedZone';
import { fitTo } from '../fit/fit';
import { adaptStep, mediumFor, type Adapting } from '../screening/adapt/step';
import type { Limit } from '../screening/limit.schema';
import { limitsThat } from '../screening/limit';
import { meetings } from '../screening/meets';
import { isAllOver } from '../screening/touch';
import { differences, headDifferences, type Difference } from '../sequence/difference';
import { editTo } from '../sequence/editTo';
import { edited } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import type { Sequence } from '../sequence/sequence.schema';
import { mapSteps, stepsOf } from '../sequence/walk';
import { clock } from '../step/describe';
import { endPlace } from '../step/levelsOf';
import { isMeantOneSided } from '../step/meant';
import type { Step } from '../step/step.schema';
import { newlyGrave } from '../rules/newlyGrave';
import { findingsOf, fixIn, judge, type JudgeInput, type Judgement } from '../rules/judge';
import { isOfClient, type Finding } from '../rules/rule';
import { at } from '../rules/words/phrases';
import { sentenceOf } from '../rules/wording';

/** A part that cannot be saved, and why. */
export interface Unsaved {
	readonly what: string;
	readonly why: string;
}
export interface Fitted {
	/** Nothing is left in it that she must not have. */
	readonly fits: boolean;
	readonly sequence: Sequence;
	/** All of it as one edit; null where nothing changes. */
	readonly edit: Edit | null;
	/** What is different, line by line: the head, then the steps. */
	readonly head: readonly string[];
	readonly changes: readonly Difference[];
	readonly unsaved: readonly Unsaved[];
	/** Findings that it has and the plan had not: what the fit costs. */
	readonly costs: readonly Finding[];
}

const twin = (place: SidedZone): SidedZone => sided(zoneIn(place), otherSide(sideIn(place)));

/** Limits on both sides alike, so that what falls away on one falls away on the other: sides stay even. */
function evened(limits: readonly Limit[]): Limit[] {
	return limits.map((limit) =>
		(limit.does === 'leave-out' || limit.does === 'level') && limit.where !== 'everywhere'
			? { ...limit, where: [...new Set([...limit.where, ...limit.where.map(twin)])] }
			: limit
	);
}
/** A sequence on its way, with what was lost. */
class Fitting {
	readonly unsaved: Unsaved[] = [];
	readonly #even: readonly Limit[];
	constructor(
		readonly before: Sequence,
		readonly was: Judgement,
		readonly limits: readonly Limit[],
		readonly given: JudgeInput,
		public now: Sequence
	) {
		this.#even = evened(limits);
	}

	#adapting = (step: Step): Adapting => ({
		// What goes over the whole face names the places that it spares: these alone.
		limits: isMeantOneSided(step) || isAllOver(step) ? this.limits : this.#even,
		media: this.before.media,
		pumps: this.given.working.linkPumps
	});
	adapted = (step: Step): Step | null => adaptStep(step, this.#adapting(step));
	adaptAll = (): void => {
		this.now = mapSteps(this.now, this.adapted);
	};
	judged = (): Judgement => judge(this.now, this.given);
	without = (ids: readonly string[]): void => {
		this.now = mapSteps(this.now, (step) => (ids.includes(step.id) ? null : step));
	};
	/** Findings of some rules that were not there before, by what they speak of. */
	fresh(judgement: Judgement, wanted: (finding: Finding) => boolean): Finding[] {
		const about = (f: Finding) => `${f.ruleId} ${f.place ?? ''} ${f.side ?? ''} ${f.stepIds[0] ?? ''}`;
		const had = new Set(this.was.findings.map(about));
		return judgement.findings.filter((f) => wanted(f) && !had.has(about(f)));
	}
	lose(what: string, why: string): void {
		if (!this.unsaved.some((u) => u.what === what)) this.unsaved.push({ what, why });
	}
	mayTouch = (step: Step): boolean => !meetings(step, this.before.media, this.#adapting(step).limits).length;
}

const namesOf = (limits: readonly Limit[]): string => [...new Set(limits.map((l) => l.name))].join(', ');

/** The head: medium, way of lying, and who keeps the links. */
function fitHead(fitting: Fitting): void {
	const { limits, now } = fitting;
	const adapting = { limits, media: now.media };
	let { medium, orientation, links } = now;
	if (medium) {
		const id = mediumFor(medium.id, adapting);
		if (!id)
			fitting.lose(
				'The medium',
				`Every medium known here holds what she does not bear: ${namesOf(limitsThat(limits, 'media'))}.`
			);
		medium = id ? { ...medium, id } : null;
	}
	if (limitsThat(limits, 'upright').length && orientation === 'head-end' && now.performer === 'client')
		orientation = 'facing';
	// The policy would lead its links over what is left out.
	if (limits.some((l) => (l.does === 'leave-out' && !l.which) || (l.does === 'level' && l.level === 0))) links = 'hand';
	fitting.now = { ...now, medium, orientation, links };
}

/** Rounds of mending: each may call for the next. */
const ROUNDS = 6;

/** Fluid that now waits somewhere is led on over what may be touched; where that is not possible it is said. */
function keepDrain(fitting: Fitting): void {
	for (let round = 0; round < ROUNDS; round++) {
		const judgement = fitting.judged();
		const stranded = fitting.fresh(judgement, (f) => f.ruleId === 'stranded');
		let mended = false;
		for (const id of new Set(stranded.map((f) => f.stepIds[0]!))) {
			const { step } = judgement.context.byId.get(id)!;
			const places = linkRoute(endPlace(step), fitting.now.school.cheekRoute).filter((place) =>
				fitting.mayTouch({ ...step, end: { kind: 'link', places: [place], pumps: 1, by: 'hand' } })
			);
			const outlet = places.at(-1);
			const end: Step['end'] = { kind: 'link', places, pumps: fitting.given.working.linkPumps, by: 'hand' };
			if (!outlet || !isOutlet(placeOf(outlet)) || JSON.stringify(end) === JSON.stringify(step.end)) continue;
			fitting.now = mapSteps(fitting.now, (s) => (s.id === id ? { ...s, end } : s));
			mended = true;
		}
		if (mended) continue;
		for (const f of stranded)
			fitting.lose(
				`The drain: fluid stays ${at(f.params.waitsAt)}.`,
				'The way from there to the outlet is left out today.'
			);
		return;
	}
}

/** The outlet is pumped once more at the end, where that was so before. */
function keepClose(fitting: Fitting): void {
	const judgement = fitting.judged();
	const [open] = fitting.fresh(judgement, (f) => f.ruleId === 'closing-pump');
	const edit = open && fixIn(judgement.context, open);
	if (!open) return;
	const closed = edit ? edited(fitting.now, edit) : null;
	if (closed && stepsOf(closed).every(({ step }) => fitting.mayTouch(step))) fitting.now = closed;
	else fitting.lose('The closing pump', 'The outlet is left out today.');
}

/** Stops and cautions that the plan had not. */
const brought = (fitting: Fitting, judgement: Judgement): Finding[] =>
	newlyGrave(findingsOf(fitting.was.context), judgement.findings).filter((f) => !isOfClient(f));

/** What brings a caution that the plan had not is mended where that is sound, else left out: a fit makes nothing worse. */
function dropWhatWorsens(fitting: Fitting): void {
	for (let round = 0; round < 4 * ROUNDS; round++) {
		const judgement = fitting.judged();
		const worse = brought(fitting, judgement);
		if (!worse.length) return;
		// The gravest alone: what is mended with it is looked at in the next round.
		const edit = fixIn(judgement.context, worse[0]!);
		const mended = edit ? edited(fitting.now, edit) : null;
		if (mended && stepsOf(mended).every(({ step }) => fitting.mayTouch(step))) {
			fitting.now = mended;
			continue;
		}
		const ids = worse.flatMap((f) => f.stepIds);
		if (!ids.length) return;
		fitting.without(ids);
	}
}

/** What has become uneven, or may hurt where it did not, is left out. */
function dropWhatHurts(fitting: Fitting): void {
	for (let round = 0; round < ROUNDS; round++) {
		const judgement = fitting.judged();
		const wrong = [
			...judgement.findings.filter((f) => isOfClient(f) && f.stepIds.length > 0),
			...fitting.fresh(judgement, (f) => f.severity === 'stop' || f.ruleId === 'uneven-sides')
		].filter((f) => f.stepIds.length > 0);
		if (!wrong.length) return;
		fitting.without(wrong.flatMap((f) => f.stepIds));
	}
}

/** Shorter than half a minute is left as it is. */
const WORTH_REFITTING_SECONDS = 30;

/** Back to the minutes that it had, or to those that she may have; counts keep to their ranges. */
function refitTime(fitting: Fitting): void {
	const most = Math.min(...limitsThat(fitting.limits, 'minutes').map((l) => l.minutes * 60), Infinity);
	const had = fitting.was.timing.expectedSeconds;
	const judgement = fitting.judged();
	const has = judgement.timing.expectedSeconds;
	// Longer than it was, it may be as long as the plan has minutes for; shorter, it is filled up to what it was.
	const longest = Math.min(most, Math.max(had, fitting.before.budgetSeconds));
	const wanted = has > longest ? longest : Math.min(most, had);
	if (!has || (has <= longest && has > wanted - WORTH_REFITTING_SECONDS)) return;
	const fit = fitTo(fitting.now, wanted, fitting.given);
	if (!fit.fits) {
		if (has > wanted) fitting.lose(`The time: it takes ${clock(has)}, ${clock(wanted)} were wanted.`, fit.why);
		return;
	}
	if (!fit.edit) return;
	const refitted = edited(fitting.now, fit.edit);
	const grave = (j: Judgement) => j.findings.filter((f) => f.severity !== 'advice').length;
	// Longer counts that bring a new fault are not worth their minutes.
	if (has > wanted || grave(judge(refitted, fitting.given)) <= grave(judgement)) fitting.now = refitted;
}

/**
 * A sequence as a client may have it today: places left out on both sides alike, moves by hand or gentler, lighter, round
 * what is gone round, another medium, the drain led over what may be touched, the time fitted again. One edit, with a
 * readable difference; what cannot be saved is said with the reason. What ends the day is not undone by it.
 */
export function makeItFit(sequence: Sequence, given: JudgeInput): Fitted {
	const limits = given.client?.limits ?? [];
	const was = judge(sequence, given);
	const fitting = new Fitting(sequence, was, limits, given, sequence);
	for (const limit of [...limitsThat(limits, 'refer'), ...limitsThat(limits, 'clearance')])
		fitting.lose(
			limit.does === 'refer' ? `The day: ${limit.name}` : `Before a doctor’s word: ${limit.name}`,
			limit.reason
		);
	if (was.context.over.length) fitting.lose('All of it', 'It asks for more than can be judged: make it shorter first.');
	else if (was.findings.some(isOfClient)) {
		fitHead(fitting);
		fitting.adaptAll();
		keepDrain(fitting);
		fitting.adaptAll();
		dropWhatHurts(fitting);
		keepDrain(fitting);
		keepClose(fitting);
		refitTime(fitting);
		dropWhatHurts(fitting);
		dropWhatWorsens(fitting);
		dropWhatHurts(fitting);
	}
	return answerOf(fitting);
}

function answerOf(fitting: Fitting): Fitted {
	const { before, limits } = fitting;
	const edit = fitting.now === before ? null : editTo(before, fitting.now, 'Make it fit this client');
	const after = edit ? edited(before, edit) : before;
	const judgement = judge(after, fitting.given);
	const ends = limits.some((l) => l.does === 'refer' || l.does === 'clearance');
	const left = judgement.findings.filter((f) => isOfClient(f) && f.stepIds.length > 0);
	for (const f of left) fitting.lose(sentenceOf(f).head, sentenceOf(f).body);
	return {
		fits: !ends && !judgement.findings.some(isOfClient),
		sequence: after,
		edit,
		head: edit ? headDifferences(before, after) : [],
		changes: edit ? differences(before, after) : [],
		unsaved: fitting.unsaved,
		costs: fitting.fresh(judgement, (f) => f.severity !== 'advice' && !isOfClient(f))
	};
}
