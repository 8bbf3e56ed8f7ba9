// @vitest-environment happy-dom
import { createRawSnippet } from 'svelte';
import { afterEach, describe, expect, test } from 'vitest';
import { basicTechnique } from '$lib/core/technique/basics';
import { techniqueById } from '$lib/core/technique/library';
import { makeStep } from '$lib/core/technique/makeStep';
import type { Technique } from '$lib/core/technique/technique.schema';
import { pressingAreaCm2 } from '$lib/core/pressure/area';
import { DEFAULT_WORKING } from '$lib/core/working/defaultWorking';
import type { Working } from '$lib/core/working/working.schema';
import { positionAt } from '$lib/core/perform/position';
import { expand } from '$lib/core/sequence/expand';
import { sequenceOf } from '$lib/core/testing';
import { clear, show } from '../testing';
import PressureKeys from './compose/inspector/PressureKeys.svelte';
import TechniqueDetail from './library/TechniqueDetail.svelte';
import StageFacts from './session/StageFacts.svelte';

afterEach(clear);
const notch = techniqueById('stone-jaw-out')!;
const stroke = basicTechnique('light-stroke');
const firm = { min: 3, default: 3, max: 3 } as const;
/** By hand: kPa × cm² × 10.2 g. Only what presses counts: of a plate its edge, not its face. */
const CASES: readonly { title: string; technique: Technique; grams: string | null }[] = [
	{ title: 'the notch, 1 cm², light', technique: notch, grams: '7–31 g' },
	{
		title: 'its corner, 0.8 cm², light',
		technique: { ...notch, tool: { id: 'stone-plate', edge: 'corner' } },
		grams: '6–24 g'
	},
	{ title: 'its face, 6 cm², light', technique: { ...notch, tool: { id: 'stone-plate' } }, grams: '43–184 g' },
	{
		title: 'the fist, 12 cm², firm',
		technique: { ...stroke, contact: 'fist', pressure: firm },
		grams: '734–1468 g'
	},
	{ title: 'nothing that presses', technique: { ...stroke, contact: 'none' }, grams: null }
];
const stepOf = (technique: Technique) => makeStep(technique, { id: 'x', places: ['chin', 'jawline'] });
const gramsIn = (root: HTMLElement): string | null =>
	root.innerHTML.replace(/<[^>]*>/g, ' ').match(/\d+–\d+ g/)?.[0] ?? null;

/** The same step as Library, inspector and stage show it. */
const SHOWN: Record<string, (technique: Technique, working: Working) => HTMLElement> = {
	Library: (technique, working) =>
		show(TechniqueDetail, {
			technique,
			own: false,
			working,
			sequences: [],
			actions: createRawSnippet(() => ({ render: () => '<i></i>' }))
		}),
	inspector: (technique, working) =>
		show(PressureKeys, {
			level: technique.pressure.default,
			cap: null,
			areaCm2: pressingAreaCm2(stepOf(technique), working),
			working,
			onchange: () => {}
		}),
	stage: (technique, working) => {
		const step = stepOf(technique);
		const position = positionAt(expand(sequenceOf([step]), { working }), 0);
		return show(StageFacts, {
			step,
			position,
			hands: 'practitioner',
			side: null,
			then: null,
			midline: false,
			working,
			act: '',
			performer: 'client',
			screen: 'laptop'
		});
	}
};

describe.each(Object.entries(SHOWN))('grams in the %s', (_place, shown) => {
	test.each(CASES)('$title: $grams', ({ technique, grams }) =>
		expect(gramsIn(shown(technique, DEFAULT_WORKING))).toBe(grams)
	);
	test('follow the working values: a notch of 2 cm² takes twice as many', () => {
		const area = { ...DEFAULT_WORKING.edgeAreaCm2, notch: 2 };
		expect(gramsIn(shown(notch, { ...DEFAULT_WORKING, edgeAreaCm2: area }))).toBe('14–61 g');
	});
});
