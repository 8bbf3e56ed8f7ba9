import { stepsOf, type PlacedStep } from '../../sequence/walk';
import { insertStep } from '../../sequence/edits';
import { placeOf } from '../../atlas/places';
import { zoneOf } from '../../atlas/regionOf';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { freeId } from '../../sequence/freeId';
import type { Step } from '../../step/step.schema';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';

/** What takes the tape off: a cleansing of its skin after it was laid. */
function removalOf(context: JudgeContext, tape: PlacedStep): PlacedStep | undefined {
	const zones = new Set(tape.step.places.map(zoneOf));
	return stepsOf(context.sequence).find(
		({ step, number }) =>
			number > tape.number &&
			step.aim === 'cleanse' &&
			(step.target ?? 'skin') === 'skin' &&
			(!step.places.length || step.places.some((ref) => zones.has(zoneOf(ref))))
	);
}

const soakSeconds = ({ dose }: Step): number => (dose.kind === 'seconds' ? dose.target : 0);

/** How a removal goes wrong: before it was worn, without the time that loosens it, or never said. */
function wrongWith(removal: PlacedStep | undefined, context: JudgeContext): 'never' | 'early' | 'dry' | null {
	if (!removal) return 'never';
	if (!removal.step.later) return 'early';
	return soakSeconds(removal.step) < context.working.tapeSoakSeconds ? 'dry' : null;
}

/** Tape comes off soaked, in another sitting, and the sequence says so. */
export const tapeRemoval: Rule = {
	id: 'tape-removal',
	kind: 'tape',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: (context) =>
		context.steps.flatMap((placed): RawFinding[] => {
			const { step, number } = placed;
			if (step.aim !== 'fix') return [];
			const removal = removalOf(context, placed);
			const how = wrongWith(removal, context);
			if (!how) return [];
			const params = { number, how, removal: removal?.number ?? 0, minutes: context.working.tapeSoakSeconds / 60 };
			// That it is not said is no harm yet.
			return [{ stepIds: [step.id], params, severity: how === 'never' ? 'advice' : 'caution' }];
		}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const last = context.sequence.phases.at(-1);
		if (!step || !last || finding.params.how !== 'never') return null;
		const { tapeSoakSeconds } = context.working;
		const soak = makeStep(basicTechnique('remove-oil'), {
			id: freeId(context, 'remove-tape'),
			places: step.places.map(placeOf),
			overrides: {
				later: true,
				dose: { kind: 'seconds', min: tapeSoakSeconds, target: tapeSoakSeconds, max: 2 * tapeSoakSeconds },
				note: 'Soak with oil, then peel at a low angle, never dry.'
			}
		});
		return insertStep(
			context.sequence,
			soak,
			{ phase: last.id },
			`Say how the tape of step ${finding.params.number} comes off`
		);
	}
};
