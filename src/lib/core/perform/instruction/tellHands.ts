import { otherSide } from '../../atlas/places';
import { turnsOf } from '../../sequence/workedSide';
import { contactText } from '../../step/describe';
import { doseAtOf, hasDoseAt } from '../../step/doseAt';
import { CONTACTS, motionRow, MOTIONS, STONE_EDGES, toolRow } from '../../vocabulary/vocabulary';
import { capital } from '../../capital';
import type { Moment } from './moment';
import { plural, refNames, refWords, sideCall, spokenTime } from './words';
import { joined, levelText, secondsText, type Telling } from './telling';

export function sideTold({ event, step, plan, placed }: Moment): Telling {
	// Hands that are washed and tools that are cleaned have no side.
	if (!step.places.length) return '';
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
	if (each && side === each.first) return { words: `${capital(call)}, then ${otherSide(each.first)}`, say: call };
	if (side === other && (side === 'left' || side === 'right')) return { words: `${capital(call)} only`, say: call };
	return { words: capital(call), say: call };
}

/** To what a dose is given: each place, side, lane and direction has its own. */
function scopeText({ step, placed }: Moment): string {
	if (hasDoseAt(step)) {
		if (doseAtOf(step) === 'over-all') return ' over all places';
		return step.spots ? ' at each spot' : ' at each place';
	}
	const each = [
		(typeof step.side === 'object' || placed.block.sides !== 'asSteps') && 'side',
		step.lanes > 1 && 'lane',
		step.reverse && 'way'
	].filter(Boolean) as string[];
	return each.length ? ` each ${each.join(' and ')}` : step.places.length && step.dose.kind === 'reps' ? ' in all' : '';
}

export function countWords(moment: Moment): Telling {
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

export function handWords({ step }: Moment): Telling {
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

export function supportWords({ step, plan }: Moment): string {
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

/** The second path, and what the hand there does otherwise. */
export function besideWords({ event, step }: Moment): string {
	if (!step.beside || event.kind !== 'work') return '';
	const { contact, motion, pressure } = step.besideWork ?? {};
	const otherwise = joined([
		contact && CONTACTS[contact].toLowerCase(),
		motion && MOTIONS[motion].toLowerCase(),
		pressure !== undefined && levelText(pressure)
	]);
	return joined([`Beside it: ${refNames(step.beside).join(' to ')}`, otherwise]);
}

export function levelWords({ event, step }: Moment): Telling {
	if (step.contact === 'none') return '';
	const along = event.levels.filter((level, i, all) => level !== all[i - 1]).map(levelText);
	const rises = event.part
		? ''
		: step.swellsTo !== undefined
			? `, swelling to ${levelText(step.swellsTo)}, then ${levelText(event.levels.at(-1)!)} again`
			: step.risesTo === undefined
				? ''
				: `, rising to ${levelText(step.risesTo)}`;
	return { words: capital(along.join(', then ')) + rises, say: along.join(', then ') + rises };
}

export function paceWords({ event, step }: Moment): Telling {
	if (event.kind === 'link' || event.kind === 'station') return '';
	const far = step.amplitudeMm === undefined ? '' : `${step.amplitudeMm} mm to and fro`;
	const { holds } = motionRow(step.motion);
	const once = step.parts !== undefined && step.dose.kind === 'reps' && step.dose.target === 1;
	const paced = !event.part && !once && (step.dose.kind === 'reps' || (step.dose.kind === 'seconds' && !holds));
	const pace = !paced
		? ''
		: holds
			? `${secondsText(step.paceSeconds)} each`
			: step.returnSeconds === undefined
				? `One in ${secondsText(step.paceSeconds)}`
				: `Out in ${secondsText(step.paceSeconds)}, back in ${secondsText(step.returnSeconds)}`;
	return {
		words: joined([pace, far]),
		say: joined([
			pace &&
				(holds
					? `${spokenTime(step.paceSeconds)} each`
					: step.returnSeconds === undefined
						? `one in ${spokenTime(step.paceSeconds)}`
						: `out in ${spokenTime(step.paceSeconds)}, back in ${spokenTime(step.returnSeconds)}`),
			far && `${plural(step.amplitudeMm!, 'millimetre')} to and fro`
		])
	};
}
