import { LEVEL_NAMES } from '$lib/core/step/levels';
import { clock, doseText, sideText, stepTitle } from '$lib/core/step/describe';
import { AIMS, CONTACTS, TOOLS } from '$lib/core/vocabulary/vocabulary';
import type { ScoreStep } from './scoreLayout';

/** A swell in words: all that its drawing says. */
export function scoreWords(s: ScoreStep): string {
	const { step, number } = s.placed;
	const hand = step.tool && step.contact === 'tool' ? TOOLS[step.tool.id] : CONTACTS[step.contact];
	const link = step.end.kind === 'link' ? ', then drained on' : '';
	return `${number}. ${AIMS[step.aim]}: ${stepTitle(step)}, ${hand.toLowerCase()}, ${LEVEL_NAMES[s.level]}, ${doseText(step.dose)}, ${sideText(step.side)}${link}, from ${clock(s.startSeconds)} to ${clock(s.endSeconds)}`;
}
