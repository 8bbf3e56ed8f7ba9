import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { TEMPLATES } from '../template/templates';
import type { Sequence } from '../sequence/sequence.schema';
import { MAX_STEPS } from '../sequence/format';
import { type Step } from '../step/step.schema';
import { techniqueById } from '../technique/library';
import { AIMS, BREATHS, MOUTHS, POSTURES, STONE_EDGES, TOOLS, TOWARDS, UNTIL_SIGNS } from '../vocabulary/vocabulary';
import { schoolById } from '../school/schools';
import { anySequence, pump, sequenceOf, step } from '../testing';
import { withText } from './align';
import { CLAUSES } from './clauses';
import { HEAD_LINES } from './headLines';
import { NOTATION_VERSION, parse, troubleText } from './parse';
import { print, printSteps } from './print';
import { readStepLine } from './stepLine';
import { CONTACT_WORDS, LEVEL_WORDS, MOTION_WORDS } from './words';

const CONTEXT = { cheekRoute: 'either' as const, inBlock: false, techniqueOf: techniqueById };
let n = 0;
const newId = () => `new-${n++}`;
const bare = <T extends { id: string }>({ id: _id, ...rest }: T) => rest;
/** A sequence without what the notation leaves out: ids, revision, date, mutes. */
const said = (s: Sequence) => ({
	...bare(s),
	revision: 0,
	updatedAt: '',
	mutes: [],
	phases: s.phases.map((p) => ({ ...bare(p), blocks: p.blocks.map((b) => ({ ...bare(b), steps: b.steps.map(bare) })) }))
});
const readBack = (s: Sequence, previous: Sequence = sequenceOf([])) => {
	const parsed = parse(print(s));
	expect(parsed.troubles.map(troubleText)).toEqual([]);
	return withText(previous, parsed, newId);
};
const trouble = (text: string) => parse(text).troubles.map(troubleText);

describe('a line', () => {
	test('of the practitioner becomes a step: the gap is filled, the rest follows from the aim', () => {
		const made = readStepLine('drain chin > n:submandibular, index hook, light, 8 each side', CONTEXT);
		expect(made).toMatchObject({
			aim: 'drain',
			places: ['chin', 'jawline', 'under-jaw', 'n:submandibular'],
			contact: 'index-hook',
			motion: 'stroke',
			pressure: 1,
			dose: { kind: 'reps', min: 5, target: 8, max: 12 },
			side: { each: true, first: 'left' },
			paceSeconds: 2.5
		});
	});
	test('knows places and contacts by their labels, in any order of clauses', () => {
		const made = readStepLine(
			'Open Nodes under the jaw + collarbone nodes, 10 x, three pads, in turn from right',
			CONTEXT
		);
		expect(made.places).toEqual(['n:submandibular', 'n:terminus']);
		expect(made).toMatchObject({ motion: 'pump', contact: 'pads-3', side: { alternate: true, first: 'right' } });
	});
	test('takes a whole move of the library by `as`, and changes what it says besides', () => {
		const technique = techniqueById('jaw-scoop')!;
		const made = readStepLine('drain, as jaw-scoop, firm', CONTEXT);
		expect(made).toMatchObject({
			techniqueId: 'jaw-scoop',
			contact: technique.contact,
			motion: technique.motion,
			pressure: 3
		});
		expect(made.places.length).toBeGreaterThan(0);
	});
	test.each(CLAUSES)('$id: its example is read, written and read again', (clause) => {
		const start =
			clause.id === 'target' ? 'cleanse' : clause.id === 'strip' ? 'fix chin' : 'drain chin > jawline > under-jaw';
		const [line, below] = clause.below ? [start, `\n.. ${clause.example}`] : [`${start}, ${clause.example}`, ''];
		const parsed = parse(line + below);
		expect(parsed.troubles.map(troubleText)).toEqual([]);
		const made = { ...parsed.phases[0]!.blocks[0]!.steps[0]!.step, id: 'a' } as Step;
		for (const field of clause.fields.slice(0, 1)) expect(made[field]).toBeDefined();
		const again = parse(printSteps([made])).phases[0]!.blocks[0]!.steps[0]!.step;
		expect({ ...again, id: 'a' }).toEqual(made);
	});
	test.each(CLAUSES.filter((c) => !c.below))('$id: every word that is offered for it is understood', (clause) => {
		const unfinished = ['then', 'stops', 'levels'];
		for (const word of clause.words.filter((w) => !unfinished.includes(w)))
			expect(trouble(`cleanse jawline, of skin, ${word}`).filter((t) => /no part of a step/.test(t))).toEqual([]);
	});
});

describe('what is doubled, contradicted or misspelt', () => {
	const start = (id: string) =>
		id === 'target' ? 'cleanse' : id === 'strip' ? 'fix chin' : 'drain chin > jawline > under-jaw';
	test.each(CLAUSES.filter((c) => !c.below && !['next', 'lane'].includes(c.id)))(
		'$id: said twice it is named with its column, and nothing is dropped',
		(clause) => {
			const once = `${start(clause.id)}, ${clause.example}`;
			expect(trouble(once)).toEqual([]);
			const [first] = parse(`${once}, ${clause.example}`).troubles;
			expect(first, clause.id).toMatchObject({ line: 1, column: once.length + 3 });
			expect(first!.message).toMatch(/said twice|contradicts/);
		}
	);
	test.each([
		['drain malar > zygoma, light, levels 1 2', /contradicts.*pressure/],
		['drain malar > zygoma, index hook, with stone plate', /contradicts.*hand/],
		['drain malar > zygoma, 8 each side, both', /contradicts.*side/],
		['release temple + malar, pinned circle, 8 at each place, over all', /contradicts.*repeats at/],
		['drain malar > zygoma, end lift, end wiggle', /said twice/],
		['lift malar > zygoma, 3 lanes, lane chin > jawline', /path for each further lane is needed: 2, not 1/]
	])('%s', (line, message) => {
		const [first] = parse(line).troubles;
		expect(first!.message).toMatch(message);
		expect(first!.column).toBe(line.lastIndexOf(', ') + 3);
	});
	test('a wiggle and a drain link go together, whichever is said first', () => {
		const end = { kind: 'link', places: ['n:terminus'], pumps: 3, by: 'hand', finish: 'wiggle' };
		expect(readStepLine('drain malar > zygoma, end wiggle, then n:terminus 3 pumps', CONTEXT).end).toEqual(end);
		expect(readStepLine('drain malar > zygoma, then n:terminus 3 pumps, end wiggle', CONTEXT).end).toEqual(end);
	});
	test.each(CLAUSES.filter((c) => !c.below && /^[a-z]/.test(c.example)))(
		'$id: misspelt it is named where it stands',
		(clause) => {
			const line = `${start(clause.id)}, q${clause.example}`;
			const [first] = parse(line).troubles;
			expect(first).toMatchObject({ line: 1 });
			expect(first!.column).toBeGreaterThan(start(clause.id).length);
		}
	);
	test('a medium that nobody knows is asked about; in quotes it is one’s own', () => {
		expect(trouble('drain malar > zygoma, glide camellia 3 drops')[0]).toMatch(/“camellia” is no medium.*quotes/);
		expect(readStepLine('drain malar > zygoma, glide "camellia" 3 drops', CONTEXT).medium).toEqual({
			id: 'camellia',
			ml: 0.15
		});
		expect(readStepLine('drain malar > zygoma, glide light oil 2 pumps', CONTEXT).medium).toEqual({
			id: 'light-oil',
			ml: 0.2
		});
	});
	test('plain words mean nodes, skin or the main place; minutes and ranges are understood', () => {
		const said = (line: string) => readStepLine(line, CONTEXT);
		expect(said('open collarbone + jaw').places).toEqual(['n:terminus', 'n:submandibular']);
		expect(said('prepare neck').places).toEqual(['throat', 'sternocleidomastoid', 'nape']);
		expect(said('drain under the eyes > temple').places[0]).toBe('lower-eyelid');
		expect(said('release base of the skull').places).toEqual(['nape']);
		expect(said('open base of the skull, 5').places).toEqual(['n:occipital']);
		expect(said('lift smile lines > cheekbones').places).toEqual(['nasolabial', 'malar', 'zygoma']);
		expect(said('drain neck > n:terminus').places[0]).toBe('sternocleidomastoid');
		expect(said('release masseter, 2 min').dose).toMatchObject({ kind: 'seconds', target: 120 });
		expect(said('release chin + jaw, half a minute a place')).toMatchObject({
			dose: { kind: 'seconds', target: 30 },
			doseAt: 'each-place'
		});
		expect(said('drain malar > zygoma, 8-10').dose).toEqual({ kind: 'reps', min: 8, target: 9, max: 10 });
		expect(said('drain malar > zygoma, 8 to 10 each side').side).toEqual({ each: true, first: 'left' });
		expect(said('drain malar > zygoma, 8 each').side).toEqual({ each: true, first: 'left' });
		expect(said('drain jawline > masseter, split fingers').contact).toBe('split-jaw');
		expect(said('drain temple > preauricular, split fingers').contact).toBe('split-ear');
	});
	test('a comment stays with the step or the phase below it, and the last with the sequence', () => {
		const { troubles, head, phases } = parse('# why\n~ Face\n#once\n#\n# twice\ndrain malar > zygoma\n# the end');
		expect(troubles).toEqual([]);
		expect(phases[0]!.comment).toBe('why');
		expect(phases[0]!.blocks[0]!.steps[0]!.step.comment).toBe('once\n\ntwice');
		expect(head.comment).toBe('the end');
		const long = parse(`# ${'a'.repeat(1500)}\n# ${'a'.repeat(600)}\ndrain malar > zygoma`).troubles;
		expect(long.map(troubleText)).toEqual([expect.stringMatching(/Line 2, column 1: At most 2000 characters/)]);
	});
});

describe('a whole sequence', () => {
	test('of any kind is read back as it was, up to ids, history and mutes', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				expect(said(readBack(sequence))).toEqual(said(sequence));
			}),
			{ numRuns: 150 }
		);
	});
	test('keeps every field of a step, with any text in any of them', () => {
		const text = fc.string({ unit: 'binary', maxLength: 40 });
		const filled = fc.record(
			{
				note: text,
				why: text,
				comment: fc.constantFrom('slowly here', 'first\n\n  then', '# twice marked'),
				reason: text,
				replaces: text,
				techniqueId: fc.string({ minLength: 1, maxLength: 20 }),
				paceSeconds: fc.double({ min: 0.1, max: 120, noNaN: true }),
				posture: fc.constantFrom(...(Object.keys(POSTURES) as Step['posture'][])),
				mouth: fc.constantFrom(...(Object.keys(MOUTHS) as Step['mouth'][])),
				breath: fc.constantFrom(...(Object.keys(BREATHS) as Step['breath'][])),
				eyes: fc.constantFrom('open' as const, 'closed' as const),
				by: fc.constantFrom('client' as const, 'practitioner' as const),
				until: fc.record({
					signs: fc.uniqueArray(fc.constantFrom(...(Object.keys(UNTIL_SIGNS) as (keyof typeof UNTIL_SIGNS)[])), {
						minLength: 1
					}),
					own: fc.constantFrom('the colour is “even”', 'or softer'),
					capSeconds: fc.integer({ min: 1, max: 3600 })
				}),
				two: fc.constantFrom<Pick<Step, 'beside' | 'besideWork'>>(
					{ beside: ['ear'], besideWork: { contact: 'heel', motion: 'sweep', pressure: 2 } },
					{ beside: ['ear'], besideWork: { motion: 'press-hold' } },
					{ beside: ['ear'], besideWork: { pressure: 0 } }
				),
				spots: fc.constantFrom<Step['spots']>({ count: 3 }, { count: 24 }),
				round: fc.constantFrom('inwards' as const, 'outwards' as const),
				towards: fc.constantFrom(...(Object.keys(TOWARDS) as NonNullable<Step['towards']>[])),
				returnSeconds: fc.double({ min: 0.1, max: 60, noNaN: true }),
				swellsTo: fc.constant(4 as const),
				otherwise: fc.constant(true),
				stations: fc.constantFrom(
					{ places: ['malar' as const], hold: { kind: 'breaths' as const, amount: 1.5 } },
					{ places: ['zygoma' as const, 'malar' as const], hold: { kind: 'seconds' as const, amount: 2 } }
				),
				support: fc.constantFrom({ stays: true }, { place: 'temple:left' as const, stays: false }, { stays: false }),
				end: fc.constantFrom<Step['end']>(
					{ kind: 'wiggle' },
					{ kind: 'link', places: ['n:preauricular', 'n:terminus'], pumps: 0, by: 'hand' },
					{ kind: 'link', places: ['n:terminus'], pumps: 4, by: 'policy' }
				),
				tool: fc.constantFrom<Step['tool']>({ id: 'gloves' }),
				medium: fc.record({
					id: fc.string({ minLength: 1, maxLength: 9 }),
					ml: fc.double({ min: 0, max: 50, noNaN: true })
				}),
				point: fc.constant('ST3' as const)
			},
			{ requiredKeys: [] }
		);
		fc.assert(
			fc.property(filled, text, ({ two, ...change }, notes) => {
				const sequence = sequenceOf(
					[step('a', ['malar', 'zygoma'], { aim: 'drain', ...(change as Partial<Step>), ...two })],
					{
						notes
					}
				);
				expect(said(readBack(sequence))).toEqual(said(sequence));
			}),
			{ numRuns: 250 }
		);
	});
	test('with a school, moves and media of its own, goals, blocks and an empty phase', () => {
		const own = { ...techniqueById('jaw-scoop')!, id: 'my own', title: 'Mine, "so"' };
		const sequence = sequenceOf(
			[
				pump('a', 'terminus'),
				step('b', ['temple'], { contact: 'tool', tool: { id: 'stone-plate', edge: 'comb', tiltDegrees: 20 } })
			],
			{
				title: 'Title, with “marks”',
				school: { ...schoolById('crown-down'), id: 'mine', title: 'Mine' },
				techniques: [own],
				media: [{ id: 'm 1', title: 'M', halfLifeSeconds: 60, allergens: ['nuts'], note: '' }],
				medium: { id: 'm 1', ml: 1e-7 },
				goals: [{ id: 'under-eye', weight: 0.25 }],
				budgetSeconds: 605,
				orientation: 'head-end',
				performer: 'self',
				links: 'policy',
				comment: 'behind the last step'
			}
		);
		const first = sequence.phases[0]!;
		const all = {
			...sequence,
			phases: [
				{ ...first, exitAfter: true, title: ' spaced', comment: 'what the neck is for' },
				{ id: 'p2', title: 'Nothing', exitAfter: false, blocks: [] },
				{
					id: 'p3',
					title: 'Two',
					exitAfter: false,
					blocks: [
						{ id: 'x', title: 'A "b"', sides: { each: true as const, first: 'right' as const }, steps: [] },
						{ id: 'y', title: '', sides: 'asSteps' as const, steps: [] }
					]
				}
			]
		};
		expect(said(readBack(all))).toEqual(said(all));
		expect(Object.keys(STONE_EDGES).length * Object.keys(TOOLS).length).toBeGreaterThan(0);
	});
	test('all ready sequences', () => {
		for (const ready of TEMPLATES) expect(said(readBack(ready))).toEqual(said(ready));
	});
	test('survives what a mail does to it: quotation signs, spaces that do not break, curly marks, line ends', () => {
		const mail =
			'> soft-tide notation 1\r\n> \r\n> ~ Face\r\n>> drain\u00a0chin → jawline → under-jaw, light, 8 each side\r\n> .. note “slowly”\r\n';
		const parsed = parse(mail);
		expect(parsed.troubles).toEqual([]);
		expect(parsed.phases[0]!.blocks[0]!.steps[0]!.step).toMatchObject({
			note: 'slowly',
			places: ['chin', 'jawline', 'under-jaw']
		});
	});
});

describe('troubles', () => {
	test.each([
		['rub chin', /Line 1, column 1: “rub” was not expected here\. Expected: settle, or prepare/],
		['drain chim > jawline', /column 7: “chim” is no place that we know. Did you mean chin/],
		['drain chin > , light', /column 14: A place is missing here/],
		['drain chin, 8 every', /column 15: “every” was not expected here/],
		['drain chin, feather', /column 13: “feather” is no part of a step that we know/],
		['drain chin, light, firm', /column 20: This is said twice/],
		['drain chin, , light', /column 13: A comma with nothing behind it/],
		['drain chin, 9 (10 to 12)', /column 13: Repeats: min ≤ target ≤ max is needed: 10, 9, 12/],
		['drain malar, midline', /column 14: Side: midline is possible only on places/],
		['drain chin, pace fast', /column 18: “fast” was not expected here. Expected: seconds of one repetition/],
		['drain chin, light;', /column 18: “;” means nothing here/],
		['drain chin, as no-such-move', /column 16: “no-such-move” is no move of the library/],
		[
			'drain chin\n.. note slowly',
			/Line 2, column 9: “slowly” was not expected here. Expected: what it says in "quotes"/
		],
		['.. note "x"', /Line 1, column 1: A line that begins with two dots belongs under a step/],
		['drain chin\n.. note "x', /Line 2, column 9: This text is opened and never closed/],
		['school my-own', /Line 1, column 8: “my-own” is no school/],
		['time 9 hours', /A time between 0:30 and 240:00/],
		['goals sparkle', /“sparkle” is no goal/],
		['~ ', /A title is missing here/],
		['~ A\n~~ round', /Line 2, column 4: “round” was not expected here. Expected: side by side/],
		['~ A\n~~ side by side\ndrain chin, both', /Line 3, column 13: A step of this block has no side of its own/]
	])('%j', (text, expected) => {
		expect(trouble(text).join('\n')).toMatch(expected);
	});
	test('a text of a newer version is refused with the remedy', () => {
		expect(trouble(`soft-tide notation ${NOTATION_VERSION + 1}\ndrain chin`)[0]).toMatch(
			/newer version.*Update Soft Tide/
		);
	});
	test('it reads on: each line tells its own trouble, the good ones stand', () => {
		const parsed = parse('drain chin\nrub it\ndrain jawline\nlift nowhere');
		expect(parsed.troubles.map((t) => t.line)).toEqual([2, 4]);
		expect(parsed.phases[0]!.blocks[0]!.steps.map((s) => s.line)).toEqual([1, 3]);
	});
	test('any text at all gives troubles with places inside it, and never throws', () => {
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
				const lines = text.split('\n');
				for (const t of parse(text).troubles) {
					expect(t.line).toBeLessThanOrEqual(lines.length);
					expect(t.column).toBeGreaterThan(0);
					expect(t.column).toBeLessThanOrEqual(lines[t.line - 1]!.length + 2);
					expect(t.endColumn).toBeGreaterThan(t.column);
				}
			}),
			{ numRuns: 400 }
		);
	});
	test(`more than ${MAX_STEPS} steps are refused by name, and a stranger's text stops after a hundred troubles`, () => {
		expect(trouble('drain chin\n'.repeat(MAX_STEPS + 1)).join()).toMatch(/At most 2000 steps/);
		expect(parse('lorem ipsum\n'.repeat(5000)).troubles.length).toBeLessThan(102);
	});
});

test('no word means two things', () => {
	const all = [...CONTACT_WORDS.keys(), ...MOTION_WORDS.keys(), ...LEVEL_WORDS.keys()];
	expect(new Set(all).size).toBe(all.length);
	const aims = Object.keys(AIMS);
	expect(HEAD_LINES.filter((h) => aims.includes(h.key))).toEqual([]);
});
