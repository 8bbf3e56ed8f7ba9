import type { Sequence } from '../sequence/sequence.schema';
import type { Working } from '../working/working.schema';
import { CLAIM_OUTCOMES, type ClaimOutcome } from './claimOutcomes';
import { planOfSequence } from './compile';
import { programmeOf, startGrade, type ProgrammeName } from './fixtures';
import { faceNetwork } from './network';
import type { OutcomeId } from './outcomeIds';
import { PairedRun, type PairedInput } from './paired';
import type { Programme } from './programme';
import type { Contest } from './share';
import { gradesOfStart } from './starts';
import { contestOf, spreadOf, verdictOf } from './verdict';
import { variantOf, variantsFor, type VariantId } from './variants';

/*
 * What is said of the model in general, worked out and not written by hand: the figures lie in claims.json, made by
 * `npm run docs`, and a test holds them to the present core.
 */

/** Worked programmes that are set against one another, with what the pair is about; see docs/model.md. */
const PAIRS = [
	['a', 'e', 'Strokes towards the nodes, rather than lifting strokes only'],
	['f', 'e', 'Lifting with a drain after each move, rather than lifting alone'],
	['a', 'b2', 'Opening the nodes first, rather than resting for as long'],
	['a', 'h', 'Towards the nodes, rather than straight down the throat'],
	['a', 'c', 'Opening first, rather than one long drain at the end'],
	['a', 'g', 'This order, rather than the same steps in reverse'],
	['a', 'b', 'Opening the nodes, rather than more strokes in its time'],
	['a', 'i', 'Both sides, rather than one side only'],
	['a', 'd', 'Light pressure, rather than deep: put into the model, no finding']
] as const satisfies (readonly [ProgrammeName, ProgrammeName, string])[];
/** Ways in which each sequence is set against itself. */
const AGAINST = ['reverse-order', 'opening-last', 'no-openings', 'no-links', 'deeper'] as const satisfies VariantId[];
export type ClaimVariant = (typeof AGAINST)[number];

const WORKED_DRAWS = 1000;
const READY_DRAWS = 100;
const SEED = 20261126;

/** The two pairs that hang on node groups being a narrow passage; and node capacities that make them a store. */
const PASSAGE_PAIRS = [
	['a', 'c'],
	['a', 'g']
] as const satisfies (readonly [ProgrammeName, ProgrammeName])[];
const STORE_TIMES = 4;

interface Claim extends Contest {
	/** Middle of the difference as a share of what the measure holds at the start. */
	readonly middle: number;
}
export interface WorkedClaim {
	/** The two programmes, as docs/model.md names them. */
	readonly pair: string;
	readonly words: string;
	readonly by: Readonly<Record<ClaimOutcome, Claim>>;
}
/** One way against the sequence as it is, over many sequences, by all fluid. */
export interface ReadyClaim {
	readonly variant: ClaimVariant;
	/** Sequences in which the way changes anything. */
	readonly sequences: number;
	/** Per cent of the faces in which the sequence as it is leaves less: the lowest, the middle and the highest of them. */
	readonly percent: readonly [low: number, middle: number, high: number];
	/** Middle of the difference as a share of all fluid: the same three. */
	readonly ofStart: readonly [low: number, middle: number, high: number];
}
export interface Claims {
	readonly workedDraws: number;
	readonly readyDraws: number;
	readonly worked: readonly WorkedClaim[];
	readonly ready: readonly ReadyClaim[];
	/** The two small answers again, by all fluid, with node groups as they are and with so many times their capacity. */
	readonly passage: { readonly times: number; readonly asIs: readonly Claim[]; readonly store: readonly Claim[] };
}

/** Four digits are kept: more would say more than the draws do. */
const digits = (x: number): number => +x.toPrecision(4);

function runOf(
	programmes: readonly Programme[],
	grades: ArrayLike<number>,
	draws: number,
	fixed: PairedInput['fixed'] = {}
): PairedRun {
	const run = new PairedRun({ programmes, grades, draws, seed: SEED, fixed });
	run.advance(draws);
	return run;
}

const workedStart = () => Float64Array.from({ length: faceNetwork().zoneCount }, (_, zone) => startGrade(zone));

/** The small answers with node groups that hold so many times as much. */
function passageClaims(times: number): Claim[] {
	const names = [...new Set(PASSAGE_PAIRS.flat())];
	const { figures } = runOf(names.map(programmeOf), workedStart(), WORKED_DRAWS, { scK: 1, scC: times });
	return PASSAGE_PAIRS.map(([a, b]) => {
		const { lessIn, moreIn, ofHeld } = verdictOf(figures, 'all', names.indexOf(a), names.indexOf(b));
		return { lessIn, moreIn, middle: digits(ofHeld!.median) };
	});
}

function workedClaims(): WorkedClaim[] {
	const names = [...new Set<ProgrammeName>(PAIRS.flatMap(([a, b]) => [a, b]))];
	const { figures } = runOf(names.map(programmeOf), workedStart(), WORKED_DRAWS);
	const claim = (outcome: OutcomeId, a: ProgrammeName, b: ProgrammeName): Claim => {
		const { lessIn, moreIn, ofHeld } = verdictOf(figures, outcome, names.indexOf(a), names.indexOf(b));
		return { lessIn, moreIn, middle: digits(ofHeld!.median) };
	};
	return PAIRS.map(([a, b, words]) => ({
		pair: `${a} > ${b}`,
		words,
		by: Object.fromEntries(CLAIM_OUTCOMES.map((m) => [m, claim(m, a, b)])) as Record<ClaimOutcome, Claim>
	}));
}

function readyClaims(sequences: readonly Sequence[], working: Working): ReadyClaim[] {
	const found = new Map<ClaimVariant, { percent: number; ofStart: number }[]>(AGAINST.map((v) => [v, []]));
	for (const sequence of sequences) {
		const offered = variantsFor(sequence, working);
		const ways = AGAINST.filter((v) => offered.includes(v));
		const all = [sequence, ...ways.map((v) => variantOf(sequence, v, v, working))];
		const programmes = all.map((s) => planOfSequence(s, { working }).programme);
		const { figures } = runOf(programmes, gradesOfStart('morning'), READY_DRAWS);
		ways.forEach((variant, k) => {
			const { lessIn, moreIn } = contestOf(figures, 'all', 0, k + 1);
			const [own, other] = [figures.fallMl.all[0]!, figures.fallMl.all[k + 1]!];
			const ofStart = own.map((x, i) => (x - other[i]!) / figures.startMl[i]!);
			const percent = lessIn + moreIn ? (100 * lessIn) / (lessIn + moreIn) : 50;
			found.get(variant)!.push({ percent, ofStart: spreadOf(ofStart).median });
		});
	}
	const three = (list: readonly number[]): [number, number, number] => [
		digits(Math.min(...list)),
		digits(spreadOf(list).median),
		digits(Math.max(...list))
	];
	return [...found].map(([variant, list]) => ({
		variant,
		sequences: list.length,
		percent: three(list.map((x) => x.percent)),
		ofStart: three(list.map((x) => x.ofStart))
	}));
}

/** All claims, from the worked programmes and from sequences as they are. */
export const claimsOf = (sequences: readonly Sequence[], working: Working): Claims => ({
	workedDraws: WORKED_DRAWS,
	readyDraws: READY_DRAWS,
	worked: workedClaims(),
	ready: readyClaims(sequences, working),
	passage: { times: STORE_TIMES, asIs: passageClaims(1), store: passageClaims(STORE_TIMES) }
});
