import type { Step } from '../../step/step.schema';
import { endedWords } from '../ended';
import type { SlotId } from './slots';
import { joined, type Teller } from './telling';
import { readyWords, whatWords, placeWords, wayWords, pointWords, laneWords, directionWords } from './tellMove';
import { besideWords, sideTold, countWords, handWords, supportWords, levelWords, paceWords } from './tellHands';
import {
	stopsWords,
	breathWords,
	amountWords,
	tapeWords,
	bodyWords,
	byWords,
	untilWords,
	conditionWords,
	thenWords,
	endWords,
	exitWords
} from './tellRest';

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
	beside: besideWords,
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
