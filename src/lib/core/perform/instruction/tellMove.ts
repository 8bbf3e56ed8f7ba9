import { ownSideOf, type PlaceRef } from '../../atlas/places';
import { spotWords, type SpotId } from '../../atlas/spots';
import { namedIn, spotsOf } from '../../step/spots';
import type { Step } from '../../step/step.schema';
import { pointByCode } from '../../point/points';
import { listWords } from '../../listWords';
import { AIMS, isStationary, motionRow, MOTIONS } from '../../vocabulary/vocabulary';
import { readyFor } from '../ready';
import { actWords } from '../supplies';
import { capital } from '../../capital';
import { LONG_PART_SECONDS } from '../longPart';
import type { Moment } from './moment';
import { ordinal, plural, refNames, refWords, sideCall, spokenTime } from './words';
import { joined, secondsText, type Telling } from './telling';

/** What is done before hands are laid on, and the side to go to. Only what is taken is said: the rest has its own words. */
export function readyWords({ event, step, before, begins, crosses, plan }: Moment): Telling {
	if (event.kind !== 'transition') return '';
	const all = readyFor(step, begins ? before : step, plan.supplies);
	const words = [crosses && capital(sideCall(event.side, plan.performer)), ...all.map((r) => r.words)];
	return {
		words: joined(words),
		say: joined(all.filter(({ kind }) => kind === 'contact').map((r) => r.words))
	};
}

/** Aim and movement, or what is done of one’s own: a wash, a hold, the way to the outlet. */
export function whatWords({ event, step, plan }: Moment): Telling {
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
	const say = seconds >= LONG_PART_SECONDS ? `${words}, ${spokenTime(seconds)}` : words;
	return { words: `${AIMS[step.aim]}${target}: ${words.toLowerCase()}`, say };
}

/** A spot with the side of its place, where that names one. */
const spotName = (id: SpotId, ref: PlaceRef): string => {
	const side = ownSideOf(ref);
	return `${side ? `${side} ` : ''}${spotWords(id)}`;
};
/** Places by name, or by the spots in them that are told: those stand for their places. */
const namesOf = (step: Step, places: readonly PlaceRef[]): string[] =>
	places
		.flatMap((ref) => {
			const here = namedIn(step, ref);
			return here.length ? here.map((id) => spotName(id, ref)) : [refWords(ref)];
		})
		.filter((name, i, all) => name !== all[i - 1]);
/** Whether a stretch is work on the places of the step itself, so that the spots within them are meant. */
const isOwn = ({ event }: Moment): boolean => event.kind === 'work' && !event.part && event.lane === 1;

/** Where the hands are: the place at hand, the point, the ends of a way, or all that is held together. */
export function placeWords(moment: Moment): Telling {
	const { event, step, at, plan } = moment;
	if (actWords(step, plan.supplies)) return '';
	if (step.point && event.places.length === 1 && event.kind !== 'link') {
		const spot = capital(pointByCode(step.point).spot);
		const zone = refWords(event.places[0]!);
		return ownSideOf(event.places[0]!) ? `${spot} (${zone})` : spot;
	}
	const names = isOwn(moment) && event.spot === undefined ? namesOf(step, event.places) : refNames(event.places);
	if (!names.length) return 'Whole face';
	const spot = event.spot === undefined ? undefined : spotsOf(step)[event.spot];
	if (spot) {
		const name = capital(spot.named ? spotName(spot.named, spot.place) : names[0]!);
		const all = spotsOf(step).length;
		return {
			words: all > 1 ? `${name}, spot ${event.spot! + 1} of ${all}` : name,
			say: spot.named ? name : `${name}, spot ${event.spot! + 1}`
		};
	}
	if (at !== null) {
		const of = step.places.length > 1 ? `, place ${at + 1} of ${step.places.length}` : '';
		return { words: capital(names[0]!) + of, say: capital(names[0]!) };
	}
	const spots = isOwn(moment) && step.spots && 'count' in step.spots ? `, ${plural(step.spots.count, 'spot')}` : '';
	const together = isStationary(event.part ? step.parts![event.part - 1]!.motion : step.motion);
	if (together && event.kind === 'work') return capital(listWords(names)) + spots;
	return capital(names.length === 1 ? names[0]! : `${names[0]} to ${names.at(-1)}`) + spots;
}

/** What lies between the ends of a way. */
export function wayWords(moment: Moment): string {
	const { event, step, at } = moment;
	if (at !== null || (isStationary(step.motion) && !event.part && event.kind !== 'link')) return '';
	const between = (isOwn(moment) ? namesOf(step, event.places) : refNames(event.places)).slice(1, -1);
	return between.length ? `By way of ${listWords(between)}` : '';
}

export function pointWords({ step }: Moment): Telling {
	if (!step.point) return '';
	const { code, name, spot } = pointByCode(step.point);
	// With one place it is called by where the point lies.
	const where = step.places.length === 1 ? '' : `: ${spot}`;
	return { words: `Point ${code}, ${name}${where}`, say: name };
}

export function laneWords({ event, step }: Moment): Telling {
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

export function directionWords({ event, step }: Moment): string {
	if (event.kind === 'link') return '';
	const ways = step.round ? ([step.round, step.round === 'inwards' ? 'outwards' : 'inwards'] as const) : null;
	if (!step.reverse) return ways ? `Circles ${ways[0]}` : '';
	if (ways) return event.direction === 'back' ? `Now ${ways[1]}` : `${capital(ways[0])}, then ${ways[1]}`;
	const round = motionRow(step.motion).circles;
	if (event.direction === 'back') return round ? 'Now the other way round' : 'Now back';
	return round ? 'One way round, then the other' : 'There, then back';
}
