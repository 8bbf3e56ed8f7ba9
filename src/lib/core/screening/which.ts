import { peakLevel } from '../step/levelsOf';
import type { Step } from '../step/step.schema';
import type { Which } from './limit.schema';
import { pointByCode } from '../point/points';
import { aimRow, AIMS, contactRow, isStationary, motionRow, POSTURES, toolRow } from '../vocabulary/vocabulary';

const STRETCHES: readonly string[] = ['opposed-stretch', 'skin-stretch', 'skin-lift'];

const MOTIONS: Record<NonNullable<Which['motion']>, (step: Step) => boolean> = {
	slides: ({ motion }) => !isStationary(motion) && !motionRow(motion).lands,
	rubs: ({ motion }) => motionRow(motion).flow === 'rub' || motion === 'scrape' || motion === 'sliding-circle',
	taps: ({ motion }) => motionRow(motion).flow === 'tap' || motion === 'flick',
	bruises: ({ motion }) => motionRow(motion).bruises,
	stretches: ({ motion }) => STRETCHES.includes(motion),
	resists: ({ motion }) => motion === 'resisted'
};
const CONTACTS: Record<NonNullable<Which['contact']>, (step: Step) => boolean> = {
	inside: ({ contact }) => contactRow(contact).inside,
	strong: ({ contact }) => contactRow(contact).strong,
	pinch: ({ contact }) => contact === 'pinch'
};
type Tool = NonNullable<Step['tool']>;
const TOOLS: Record<NonNullable<Which['tool']>, (tool: Tool) => boolean> = {
	any: ({ id }) => !toolRow(id).worn,
	edged: ({ id }) => toolRow(id).edged,
	cold: ({ id }) => toolRow(id).cold,
	warm: ({ id }) => toolRow(id).warm,
	tape: ({ id }) => toolRow(id).staysOn,
	worn: ({ id }) => toolRow(id).worn,
	metal: ({ id }) => toolRow(id).metal,
	latex: ({ id }) => toolRow(id).latex
};
/** What goes inside the cheek may be gloved, what is taped is tape, whether the step names them or not. */
const toolOf = (step: Step): Tool | undefined => {
	if (step.tool) return step.tool;
	if (step.aim === 'fix') return { id: 'tape' };
	return contactRow(step.contact).inside ? { id: 'gloves' } : undefined;
};

/** Whether a stroke of a step is of these. Its level is asked at its deepest place. */
export function isOf(stroke: Step, which: Which | undefined): boolean {
	if (!which) return true;
	const { aims, throughNodes, motion, contact, tool, levelFrom, point, postures, byClient } = which;
	if (aims && !aims.includes(stroke.aim)) return false;
	if (throughNodes && !aimRow(stroke.aim).throughNodes) return false;
	if (motion && !MOTIONS[motion](stroke)) return false;
	if (contact && !CONTACTS[contact](stroke)) return false;
	if (levelFrom !== undefined && peakLevel(stroke) < levelFrom) return false;
	if (postures && !postures.includes(stroke.posture)) return false;
	if (byClient && stroke.by !== 'client') return false;
	if (tool) {
		const held = toolOf(stroke);
		if (!held || !TOOLS[tool](held)) return false;
	}
	if (point) {
		if (!stroke.point) return false;
		if (point === 'not-in-pregnancy' && !pointByCode(stroke.point).notInPregnancy) return false;
	}
	return true;
}

const MOTION_WORDS = {
	slides: 'sliding moves',
	rubs: 'rubbing and kneading',
	taps: 'tapping',
	bruises: 'scraping, pinching and lifting a fold',
	stretches: 'stretching the skin',
	resists: 'working against resistance'
} as const;
const CONTACT_WORDS = {
	inside: 'work inside the cheek',
	strong: 'fist, knuckles and heel',
	pinch: 'pinching'
} as const;
const TOOL_WORDS = {
	any: 'tools',
	edged: 'the stone plate',
	cold: 'cold tools',
	warm: 'warmth',
	tape: 'tape',
	worn: 'gloves',
	metal: 'metal tools',
	latex: 'latex: gloves and tape'
} as const;

/** Which moves are meant, in words; empty for all. */
export function whichWords(which: Which | undefined): string {
	if (!which) return '';
	const parts = [
		which.aims?.map((aim) => AIMS[aim].toLowerCase()).join(', '),
		which.throughNodes && 'work through the nodes',
		which.motion && MOTION_WORDS[which.motion],
		which.contact && CONTACT_WORDS[which.contact],
		which.tool && TOOL_WORDS[which.tool],
		which.point && (which.point === 'any' ? 'holding points' : 'points that tradition leaves out in pregnancy'),
		which.postures?.map((p) => POSTURES[p].toLowerCase()).join(', '),
		which.byClient && 'work of her own',
		which.levelFrom !== undefined && `level ${which.levelFrom} and deeper`
	];
	return parts.filter(Boolean).join(', ');
}
