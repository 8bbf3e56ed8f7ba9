import type { StepSide } from '$lib/core/step/step.schema';
import { isMidlinePlace } from '$lib/core/atlas/midline';
import type { PlaceRef } from '$lib/core/atlas/places';

export type SideChoice = 'both' | 'midline' | 'leftRight' | 'rightLeft' | 'turns' | 'left' | 'right';

const CHOICES: Record<SideChoice, { label: string; side: StepSide }> = {
	both: { label: 'Both at once', side: 'both' },
	midline: { label: 'Midline', side: 'midline' },
	leftRight: { label: 'Left, then right', side: { each: true, first: 'left' } },
	rightLeft: { label: 'Right, then left', side: { each: true, first: 'right' } },
	turns: { label: 'In turn', side: { alternate: true, first: 'left' } },
	left: { label: 'Left only', side: 'left' },
	right: { label: 'Right only', side: 'right' }
};

/** The choices that these places allow: the midline only where they reach it. */
export const sideOptions = (places: readonly PlaceRef[]): { value: SideChoice; label: string }[] =>
	(Object.keys(CHOICES) as SideChoice[])
		.filter((c) => c !== 'midline' || places.every(isMidlinePlace))
		.map((value) => ({ value, label: CHOICES[value].label }));

export const sideOf = (choice: SideChoice): StepSide => CHOICES[choice].side;

export function choiceOf(side: StepSide | undefined): SideChoice {
	if (side === undefined) return 'both';
	if (typeof side === 'string') return side;
	if ('alternate' in side) return 'turns';
	return side.first === 'left' ? 'leftRight' : 'rightLeft';
}
