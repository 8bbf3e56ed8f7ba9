import { describe, expect, test } from 'vitest';
import { techniqueById, TECHNIQUES } from '../technique/library';
import { isOf, whichWords } from './which';
import { WhichSchema, type Which } from './limit.schema';
import { usualStep } from './ofTechnique';

const step = (id: string) => usualStep(techniqueById(id)!);

/** By hand: moves that a property means, and moves that it does not. */
const CASES: readonly (readonly [which: Which, words: string, of: string, notOf: string])[] = [
	[{ aims: ['point'] }, 'point', 'point-li20 stone-corner-point', 'light-stroke'],
	[{ throughNodes: true }, 'work through the nodes', 'open-neck light-stroke closing-pump', 'knuckle-knead'],
	[{ motion: 'slides' }, 'sliding moves', 'light-stroke stone-cheekbone', 'pinned-circles tap-eyes tap-along-jaw'],
	[{ motion: 'rubs' }, 'rubbing and kneading', 'pinned-circles knuckle-knead stone-cheekbone', 'light-stroke'],
	[{ motion: 'taps' }, 'tapping', 'tap-eyes tap-along-jaw jaw-flick', 'light-stroke'],
	[{ motion: 'bruises' }, 'scraping, pinching and lifting a fold', 'stone-cheekbone brow-pinch', 'stone-cheek-out'],
	[{ motion: 'stretches' }, 'stretching the skin', 'frown-stretch temple-stretch', 'light-stroke'],
	[{ motion: 'resists' }, 'working against resistance', 'chin-tuck masseter-resist', 'knuckle-knead'],
	[{ contact: 'inside' }, 'work inside the cheek', 'thumb-inside', 'masseter-circles'],
	[{ contact: 'strong' }, 'fist, knuckles and heel', 'shoulder-fist knuckle-knead cheek-heel', 'light-stroke'],
	[{ contact: 'pinch' }, 'pinching', 'ear-pull pinch-glow', 'light-stroke'],
	[{ tool: 'any' }, 'tools', 'stone-cheekbone roller-jaw-out tape-frown', 'light-stroke thumb-inside'],
	[{ tool: 'edged' }, 'the stone plate', 'stone-neck-down', 'roller-jaw-out spoon-lid'],
	[{ tool: 'cold' }, 'cold tools', 'globes-hold', 'cool-spoons cloth-warm'],
	[{ tool: 'warm' }, 'warmth', 'cloth-warm', 'globes-hold'],
	[{ tool: 'tape' }, 'tape', 'lay-tape', 'stone-brow'],
	[{ tool: 'worn' }, 'gloves', 'thumb-inside', 'stone-brow'],
	[{ tool: 'metal' }, 'metal tools', 'cool-spoons globes-jaw', 'stone-brow'],
	[{ tool: 'latex' }, 'latex: gloves and tape', 'thumb-inside tape-forehead', 'stone-brow'],
	[{ levelFrom: 3 }, 'level 3 and deeper', 'pinned-circles masseter-melt', 'masseter-circles'],
	[{ point: 'any' }, 'holding points', 'point-gb21', 'nape-thumbs'],
	[{ point: 'not-in-pregnancy' }, 'points that tradition leaves out in pregnancy', 'point-gb21', 'point-li20'],
	[{ postures: ['turned'] }, 'head turned', 'neck-side-pinch', 'neck-side-down'],
	[{ byClient: true }, 'work of her own', 'cheek-puff chin-tuck', 'light-stroke']
];

describe.each(CASES)('%o', (which, words, of, notOf) => {
	test('is data, is said in words, and means what it should', () => {
		expect(WhichSchema.parse(which)).toEqual(which);
		expect(whichWords(which)).toBe(words);
		expect(of.split(' ').filter((id) => !isOf(step(id), which))).toEqual([]);
		expect(notOf.split(' ').filter((id) => isOf(step(id), which))).toEqual([]);
	});
});

test('without a property all moves are meant, and none is named', () => {
	expect(TECHNIQUES.every((t) => isOf(usualStep(t), undefined))).toBe(true);
	expect(whichWords(undefined)).toBe('');
});

test('of several properties each must hold', () => {
	const scrapingStone: Which = { tool: 'edged', motion: 'bruises' };
	expect(isOf(step('stone-cheekbone'), scrapingStone)).toBe(true);
	expect(isOf(step('stone-cheek-out'), scrapingStone)).toBe(false);
	expect(isOf(step('brow-pinch'), scrapingStone)).toBe(false);
	expect(whichWords(scrapingStone)).toBe('scraping, pinching and lifting a fold, the stone plate');
});

test('what is taped is tape and what goes inside is gloved, whether the step names them or not', () => {
	const { tool: _tool, ...bare } = step('thumb-inside');
	expect(isOf(bare, { tool: 'latex' })).toBe(true);
	expect(isOf({ ...step('lay-tape'), tool: undefined }, { tool: 'tape' })).toBe(true);
});

test('a move that is added tomorrow answers for what it is', () => {
	const own = { ...techniqueById('light-stroke')!, id: 'own', motion: 'scrape' as const };
	expect(isOf(usualStep(own), { motion: 'bruises' })).toBe(true);
});
