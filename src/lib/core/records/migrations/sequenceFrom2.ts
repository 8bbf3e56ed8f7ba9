import { hasDoseAt, usualDoseAt } from '../../step/doseAt';
import { AIM_ROWS } from '../../vocabulary/aims';
import { MOTION_ROWS } from '../../vocabulary/motions';
import { isObject, type Raw } from '../record';

/** Signs of a move that goes on until one shows: several are possible now. What is no sign stays, and is named by the schema. */
const untilFrom2 = (raw: unknown): unknown => {
	if (!isObject(raw) || !('sign' in raw)) return raw;
	const { sign, ...rest } = raw;
	return { ...rest, signs: [sign] };
};

/** A technique of version 2, shipped or one's own. */
export function techniqueFrom2(raw: unknown): unknown {
	return isObject(raw) && raw.until !== undefined ? { ...raw, until: untilFrom2(raw.until) } : raw;
}

/** A count over several places was given to all of them together, a time or breaths to each: it keeps that, and says so. */
export function stepFrom2(raw: unknown): unknown {
	if (!isObject(raw)) return raw;
	const { aim, motion, places, dose, until } = raw;
	const known = typeof aim === 'string' && aim in AIM_ROWS && typeof motion === 'string' && motion in MOTION_ROWS;
	const step = { aim, motion, places: Array.isArray(places) ? places : [] } as Parameters<typeof hasDoseAt>[0] &
		Parameters<typeof usualDoseAt>[0];
	const meant = isObject(dose) && dose.kind === 'reps' ? 'over-all' : 'each-place';
	const told = known && hasDoseAt(step) && meant !== usualDoseAt(step) ? { doseAt: meant } : {};
	return { ...raw, ...(until === undefined ? {} : { until: untilFrom2(until) }), ...told };
}

/** What takes another time since then, in a sentence each. */
function changesOf(steps: readonly Raw[]): string[] {
	const waits = steps.some((s) => typeof s.breath === 'string' && s.breath !== 'free' && doseKind(s) !== 'breaths');
	const gloves = steps.some((s) => isObject(s.tool) && s.tool.id === 'gloves');
	const edges = new Set(
		steps.flatMap((s) => (isObject(s.tool) && s.tool.id === 'stone-plate' ? [String(s.tool.edge)] : []))
	);
	const capped = steps.some((s) => s.until !== undefined);
	return [
		waits ? 'What waits for the breath takes as long as the breath.' : '',
		gloves ? 'Gloves are paid for once, when they are put on.' : '',
		edges.size > 1 ? 'Turning a stone to another edge takes no time of its own.' : '',
		capped ? 'What goes on until a sign shows ends at its cap at the latest, also when the count would be longer.' : ''
	].filter(Boolean);
}
const doseKind = (step: Raw): unknown => (isObject(step.dose) ? step.dose.kind : undefined);

const mapList = (raw: unknown, f: (one: unknown) => unknown): unknown => (Array.isArray(raw) ? raw.map(f) : raw);
const mapSteps = (phase: unknown, f: (step: unknown) => unknown): unknown =>
	isObject(phase)
		? {
				...phase,
				blocks: mapList(phase.blocks, (block) =>
					isObject(block) ? { ...block, steps: mapList(block.steps, f) } : block
				)
			}
		: phase;

/** Doses that say where they hold, several signs, and what else practitioners say; what changed in time is named once. */
export function sequenceFrom2(raw: Raw): Raw {
	const steps: Raw[] = [];
	const phases = mapList(raw.phases, (phase) =>
		mapSteps(phase, (step) => {
			if (isObject(step)) steps.push(step);
			return stepFrom2(step);
		})
	);
	const changed = changesOf(steps);
	return {
		...raw,
		version: 3,
		techniques: mapList(raw.techniques, techniqueFrom2),
		phases,
		...(changed.length ? { changed } : {})
	};
}

/** How deep a patch of the history reaches, by what stands in its path. */
type Patch = Record<string, unknown>;

/**
 * A value that undo would bring back: a sign inside of `until`, a whole step, block or phase, the list of techniques.
 * A patch of `until.sign` itself becomes one of `until.signs`.
 */
function patchFrom2(raw: unknown): unknown {
	if (!isObject(raw) || !Array.isArray(raw.path)) return raw;
	const patch: Patch = raw;
	const path = raw.path as (string | number)[];
	const last = path.at(-1);
	if (last === 'sign') return { ...patch, path: [...path.slice(0, -1), 'signs'], value: [patch.value] };
	if (last === 'until') return { ...patch, value: untilFrom2(patch.value) };
	return 'value' in patch ? { ...patch, value: valueFrom2(patch.value) } : patch;
}

/** Whatever was put in by an edit: a step is told by its dose, a technique by its shape, lists and blocks by what is in them. */
function valueFrom2(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(valueFrom2);
	if (!isObject(value)) return value;
	if ('shape' in value && 'sides' in value) return techniqueFrom2(value);
	if ('dose' in value && 'motion' in value) return stepFrom2(value);
	if (Array.isArray(value.steps)) return { ...value, steps: value.steps.map(valueFrom2) };
	if (Array.isArray(value.blocks)) return { ...value, blocks: value.blocks.map(valueFrom2) };
	return value;
}

/** Steps back in the history bring back steps of today's form. */
export function historyFrom2(raw: unknown): unknown {
	if (!isObject(raw)) return raw;
	const edits = (list: unknown): unknown =>
		mapList(list, (edit) =>
			isObject(edit)
				? { ...edit, patch: mapList(edit.patch, patchFrom2), inverse: mapList(edit.inverse, patchFrom2) }
				: edit
		);
	return { ...raw, past: edits(raw.past), future: edits(raw.future) };
}
