import { needsFilm } from '../step/levelsOf';
import type { Step } from '../step/step.schema';
import { isStationary } from '../vocabulary/vocabulary';

/** The parts of a step that not every move has. */
export const FIELDS = [
	'end',
	'stations',
	'lanes',
	'reverse',
	'until',
	'support',
	'posture',
	'mouth',
	'eyes',
	'breath',
	'by',
	'medium',
	'replaces',
	'tape',
	'optional'
] as const;
export type Field = (typeof FIELDS)[number];

/** Whether a part of a step says something: it differs from what goes without saying. */
const SET: Record<Field, (step: Step) => boolean> = {
	end: (s) => s.end.kind !== 'none',
	stations: (s) => s.stations !== undefined,
	lanes: (s) => s.lanes > 1,
	reverse: (s) => s.reverse,
	until: (s) => s.until !== undefined,
	support: (s) => s.support !== undefined,
	posture: (s) => s.posture !== 'neutral',
	mouth: (s) => s.mouth !== 'closed',
	eyes: (s) => s.eyes !== 'closed',
	breath: (s) => s.breath !== 'free',
	by: (s) => s.by !== 'practitioner',
	medium: (s) => s.medium !== undefined,
	replaces: (s) => s.replaces !== undefined,
	tape: (s) => s.tape !== undefined,
	optional: (s) => s.optional
};

/** Parts that a move of this kind is usually told with, set or not. */
function usualFor(step: Step): Field[] {
	const stroke = step.places.length > 1 && !isStationary(step.motion);
	const fields: Field[] = [];
	if (step.places.length && step.aim !== 'open' && step.aim !== 'fix') fields.push('end');
	if (stroke && step.contact === 'tool') fields.push('lanes');
	if (step.motion === 'pinned-circle') fields.push('reverse');
	if (step.aim === 'release' || step.aim === 'point') fields.push('breath');
	if (step.aim === 'release' && step.dose.kind === 'seconds') fields.push('until');
	if (step.motion === 'hand-over-hand' || step.motion === 'opposed-stretch') fields.push('support');
	if (step.aim === 'exercise') fields.push('by', 'mouth');
	if (step.places.includes('masseter') || step.contact === 'thumb-inside') fields.push('mouth');
	if (step.aim === 'prepare' || needsFilm(step)) fields.push('medium');
	if (step.aim === 'prepare' || (step.aim === 'cleanse' && step.target === 'skin')) fields.push('replaces');
	if (step.aim === 'fix') fields.push('tape');
	return fields;
}

/** The parts that matter for this step, in a fixed order, and the rest. */
export function fieldsFor(step: Step): { readonly shown: readonly Field[]; readonly more: readonly Field[] } {
	const usual = usualFor(step);
	const shown = FIELDS.filter((f) => usual.includes(f) || SET[f](step));
	return { shown, more: FIELDS.filter((f) => !shown.includes(f) && allowed(step, f)) };
}

/** What would contradict the step is not offered: stations and lanes want a way, tape an aim, a place is needed to end. */
function allowed(step: Step, field: Field): boolean {
	const stroke = step.places.length > 1 && !isStationary(step.motion);
	if (field === 'stations' || field === 'lanes') return stroke;
	if (field === 'tape') return step.aim === 'fix';
	if (field === 'end' || field === 'support') return step.places.length > 0;
	return true;
}
