import { placeOf } from '../../atlas/places';
import { contactText } from '../../step/describe';
import type { Step } from '../../step/step.schema';
import { makeStep } from '../../technique/makeStep';
import { techniquesFor } from '../../technique/library';
import { MOTIONS } from '../../vocabulary/vocabulary';
import { stepName } from '../placeAtHand';
import { firstOf, replaced, settled, type Adapted, type Moment } from './moment';

/** Most moves that are tried: the first of them that brings nothing grave is taken. Working value. */
const TRIED = 12;

/** The step that comes after the one at hand. */
function nextOf({ judgement, position }: Moment): Step | null {
	const { events, context } = judgement;
	const here = position.event?.stepId;
	const next = events.slice(position.index).find((e) => e.stepId !== here);
	// What was done before, as in a block that goes over, is not changed any more.
	const fresh = next && !events.slice(0, position.index + 1).some((e) => e.stepId === next.stepId);
	return fresh ? context.byId.get(next.stepId)!.step : null;
}

/**
 * The step that comes next as another move with the same aim at the same places: the first of those that suit which brings
 * no stop and no caution that was not there.
 */
export function swapNext(moment: Moment): Adapted {
	const next = nextOf(moment);
	if (!next?.places.length) return { refused: 'No step comes next that could be another move.' };
	const { school, techniques = [] } = moment.sequence;
	const like = techniquesFor(next.places.map(placeOf), techniques)
		.filter(
			(t) => t.aim === next.aim && t.id !== next.techniqueId && (t.motion !== next.motion || t.contact !== next.contact)
		)
		.slice(0, TRIED);
	if (!like.length) return { refused: `No other move for ${stepName(next).toLowerCase()} is known.` };
	return firstOf(
		like.map((technique) => () => {
			const made = makeStep(technique, {
				id: next.id,
				school,
				places: next.places,
				side: next.side ?? null
			});
			const words = `${stepName(made)}: ${MOTIONS[made.motion].toLowerCase()}, ${contactText(made).toLowerCase()}, comes next.`;
			return settled(moment, replaced(moment.sequence, next.id, [made]), words, { offered: true });
		})
	);
}
