import { labelOf, placeOf } from '../atlas/places';
import { originOf } from '../perform/adapting/moment';
import type { SessionAccount } from '../perform/account';
import { ENDED_BECAUSE } from '../records/endedBecause';
import type { Happened, Session } from '../records/session';
import type { Step } from '../step/step.schema';

/** Something that a visit taught about a client, for the next one. */
export interface Learnt {
	readonly what: 'tender' | 'lighter' | 'firmer' | 'left-out' | 'note' | 'ended';
	/** The step of the plan that it belongs to; absent: the whole visit. */
	readonly stepId?: string;
	readonly place?: Happened['place'];
	readonly side?: Happened['side'];
	readonly words: string;
}

const SAID = { tender: 'Tender', lighter: 'Pressed lighter', firmer: 'Pressed firmer' } as const;
const isFelt = (mark: Happened['mark']): mark is keyof typeof SAID => mark in SAID;
const sideWord = (side: Happened['side']): string => (side === 'left' || side === 'right' ? `, ${side}` : '');

/**
 * What a visit taught: what was tender, pressed otherwise or left out, why it was ended, and the note for the next time. Said
 * once each.
 * @param account of the session; null where nothing was performed
 */
export function learntFrom(session: Session, account: SessionAccount | null): Learnt[] {
	const felt = session.happened.flatMap(({ mark, stepId, place, side }): Learnt[] => {
		if (!isFelt(mark)) return [];
		const where = place ? `${labelOf(placeOf(place)).toLowerCase()}${sideWord(side)}` : '';
		return [
			{
				what: mark,
				...(stepId ? { stepId: originOf(stepId) } : {}),
				...(place ? { place } : {}),
				...(side ? { side } : {}),
				words: [SAID[mark], where].filter(Boolean).join(': ')
			}
		];
	});
	const out = (account?.leftOut ?? []).map(({ stepId, title }): Learnt => ({
		what: 'left-out',
		stepId,
		words: `Left out: ${title}`
	}));
	const ended: Learnt[] = session.endedBecause
		? [{ what: 'ended', words: `Ended early: ${ENDED_BECAUSE[session.endedBecause].toLowerCase()}` }]
		: [];
	const note: Learnt[] = session.note.trim() ? [{ what: 'note', words: session.note.trim() }] : [];
	const seen = new Set<string>();
	return [...note, ...ended, ...felt, ...out].filter(({ words, stepId }) => {
		const key = `${words} ${stepId ?? ''}`;
		return !seen.has(key) && seen.add(key);
	});
}

/** The visit that teaches the next one: the last one with a sequence that is over. */
export const lastPerformed = (sessions: readonly Session[], but: string | null = null): Session | null =>
	sessions.findLast((s) => s.id !== but && s.sequence !== null && s.endedAt !== null) ?? null;

/** What of it belongs to a step: by the step itself, and what is tender by its place. */
export function learntAt(learnt: readonly Learnt[], step: Pick<Step, 'id' | 'places'>): Learnt[] {
	const places = new Set(step.places.map(placeOf));
	return learnt.filter(
		({ what, stepId, place }) =>
			stepId === originOf(step.id) || (what === 'tender' && place !== undefined && places.has(placeOf(place)))
	);
}

/** As it is said on the stage. */
export const learntWords = ({ words }: Learnt): string => `${words}, last time`;
