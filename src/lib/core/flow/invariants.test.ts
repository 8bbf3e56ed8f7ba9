import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { NODE_CONTACTS } from '../atlas/graph';
import { FlowEngine } from './engine';
import { faceEngine, programmeOf, reliefMl, REST_600, startGrade } from './fixtures';
import { faceIndex, faceNetwork, networkOf, NOT_ADJACENT } from './network';
import { FlowParametersSchema } from './parameters.schema';
import {
	DEFAULT_FLOW,
	FLOW_PARAMETER_NAMES,
	FLOW_PARAMETERS,
	type FlowParameterName,
	type FlowParameters
} from './parameterTable';
import { compileProgramme, type FlowTechnique, type ProgrammeStep } from './programme';

const net = faceNetwork();
const RUNS = { numRuns: 100 };
const names = (from: number, to: number) => net.ids.slice(from, to);
const ZONES = names(0, net.zoneCount);
const NODES = names(net.zoneCount, net.count);
const step = (
	technique: FlowTechnique,
	paths: readonly (readonly string[])[],
	rest: Partial<ProgrammeStep> = {}
): ProgrammeStep => ({ technique, paths, levels: 1, reps: 1, seconds: 0, ...rest });
const run = (engine: FlowEngine, ...steps: ProgrammeStep[]) => {
	engine.run(compileProgramme(net, steps));
	return engine;
};
const rest = (seconds: number) => step('rest', [], { seconds });
const at = (engine: FlowEngine, id: string) => engine.ml[net.indexOf.get(id)!]!;

const level = fc.integer({ min: 0, max: 4 });
/** Parameters anywhere in their ranges, often at their ends. */
const parameters: fc.Arbitrary<FlowParameters> = fc
	.tuple(
		...FLOW_PARAMETER_NAMES.map((name) => {
			const { min, max } = FLOW_PARAMETERS[name];
			return fc.oneof(fc.constantFrom(min, max), fc.double({ min, max, noNaN: true }));
		})
	)
	.map(
		(values) => Object.fromEntries(FLOW_PARAMETER_NAMES.map((n, i) => [n, values[i]!])) as unknown as FlowParameters
	);
/** A walk over neighbours. */
const walk = fc.tuple(fc.nat(net.count - 1), fc.array(fc.nat(1000), { maxLength: 6 })).map(([first, turns]) => {
	let here = first;
	const path = [net.ids[here]!];
	for (const turn of turns) {
		const next = net.ids.flatMap((_, v) => (net.alignment[here * net.count + v] === NOT_ADJACENT ? [] : [v]));
		if (!next.length) break;
		here = next[turn % next.length]!;
		path.push(net.ids[here]!);
	}
	return path;
});
const anyStep: fc.Arbitrary<ProgrammeStep> = fc
	.record({
		kind: fc.constantFrom<FlowTechnique>('stroke', 'stroke', 'stroke', 'pump', 'hold', 'tap', 'rub', 'cold', 'rest'),
		walk,
		node: fc.constantFrom(...NODES),
		levels: level,
		reps: fc.integer({ min: 0, max: 12 }),
		seconds: fc.constantFrom(0, 0.7, 1, 3, 4, 9),
		deep: fc.boolean()
	})
	.map(({ kind, walk: path, node, levels, reps, seconds, deep }) =>
		step(kind, kind === 'rest' ? [] : [kind === 'pump' ? [node] : path], { levels, reps, seconds, deep })
	);
const programme = fc.array(anyStep, { minLength: 1, maxLength: 8 });
const grades = fc.array(fc.double({ min: 0, max: 4, noNaN: true }), {
	minLength: net.zoneCount,
	maxLength: net.zoneCount
});

describe('the graph', () => {
	test('shares sum to 1, every compartment has a neighbour, fluid always gets to the veins, without a circle', () => {
		for (let i = 0; i < net.count; i++) {
			let sum = net.veinShare[i]!;
			for (let e = net.edgeStart[i]!; e < net.edgeStart[i + 1]!; e++) sum += net.edgeShare[e]!;
			expect(Math.abs(sum - 1)).toBeLessThan(1e-9);
			expect(net.ids.some((_, v) => net.alignment[i * net.count + v] !== NOT_ADJACENT)).toBe(true);
		}
		const reaches = (i: number, seen: readonly number[]): boolean => {
			expect(seen).not.toContain(i);
			const on = [...net.edgeTo.slice(net.edgeStart[i], net.edgeStart[i + 1])];
			return net.veinShare[i]! > 0 || (on.length > 0 && on.every((v) => reaches(v, [...seen, i])));
		};
		for (let i = 0; i < net.count; i++) expect(reaches(i, [])).toBe(true);
	});
	test('a stroke enters a node group only where fluid goes there by itself; left is the mirror image of right', () => {
		for (const [node, zones] of Object.entries(NODE_CONTACTS))
			for (const zone of zones) {
				const [z, n] = [net.indexOf.get(`${zone}:left`)!, net.indexOf.get(`n:${node}:left`)!];
				expect([...net.edgeTo.slice(net.edgeStart[z], net.edgeStart[z + 1])]).toContain(n);
			}
		const flip = (i: number) =>
			net.indexOf.get(net.ids[i]!.replace(/(left|right)$/, (s) => (s === 'left' ? 'right' : 'left')))!;
		for (let u = 0; u < net.count; u++)
			for (let v = 0; v < net.count; v++)
				expect(net.alignment[u * net.count + v]).toBe(net.alignment[flip(u) * net.count + flip(v)]);
		expect([net.zoneCount, net.nodeCount, net.edgeFrom.length]).toEqual([68, 22, 172]);
	});
	test('parts that make no network are refused with the name', () => {
		const zones = [{ id: 'a', capacityMl: 1 }];
		const nodes = [{ id: 'n', capacityMl: 1 }];
		const make = (edges: [string, string, number][]) => () => networkOf({ zones, nodes, edges, pairs: [] });
		expect(make([['a', 'n', 0.5]])).toThrow(/shares of a sum to 0.5/);
		expect(make([['a', 'x', 1]])).toThrow(/unknown compartment: x/);
		expect(make([['n', 'a', 1]])).toThrow(/node groups only: n to a/);
		expect(make([['a', 'vein', 1]])).toThrow(/node groups only: a to vein/);
		expect(() => networkOf({ zones: [...zones, ...zones], nodes, edges: [], pairs: [] })).toThrow(/named twice/);
	});
});

describe('whatever is done', () => {
	test('no fluid is made or lost, and everything stays in its bounds, after every repetition', () => {
		fc.assert(
			fc.property(programme, parameters, grades, (steps, p, start) => {
				const engine = faceEngine(p, { grades: (z) => start[z]! });
				const before = engine.totalMl();
				engine.run(compileProgramme(net, steps), () => {
					const lost = before + engine.filteredMl - engine.totalMl() - engine.veinMl;
					if (Math.abs(lost) >= 1e-9) throw new Error(`${lost} ml are lost`);
					engine.ml.forEach((ml, i) => {
						if (!(ml >= 0 && ml <= engine.ceilingMl[i]! + 1e-12)) throw new Error(`${net.ids[i]} holds ${ml}`);
					});
					engine.open.forEach((g) => {
						if (!(g >= p.g0 - 1e-12 && g <= 1)) throw new Error(`openness ${g}`);
					});
					for (const part of [engine.warm, engine.cold])
						if (part.some((x) => !(x >= 0 && x <= 1))) throw new Error('warmth or cold out of bounds');
					if (engine.tension.some((t) => !(t >= p.tauMin - 1e-12 && t <= 1))) throw new Error('tension out of bounds');
				});
			}),
			{ numRuns: 400 }
		);
	});
	test('a face that is not puffy and not touched stays as it is; with hold 1 a puffy one too', () => {
		fc.assert(
			fc.property(parameters, grades, (p, start) => {
				for (const [held, gradesOf] of [
					[p, () => 0],
					[{ ...p, hold: 1 }, (z: number) => start[z]!]
				] as const) {
					const engine = faceEngine(held, { grades: gradesOf });
					const before = engine.ml.slice();
					engine.rest(900);
					engine.ml.forEach((ml, i) => expect(Math.abs(ml - before[i]!)).toBeLessThan(1e-8));
				}
			}),
			{ numRuns: 40 }
		);
	});
	test('a symmetric start worked on both sides stays symmetric; the mirror image gives the mirror image', () => {
		const mirrored = (id: string) => id.replace(/(left|right)$/, (s) => (s === 'left' ? 'right' : 'left'));
		fc.assert(
			fc.property(programme, parameters, (steps, p) => {
				const flipped = steps.map((s) => ({ ...s, paths: s.paths.map((path) => path.map(mirrored)) }));
				const one = run(faceEngine(p), ...steps);
				const other = run(faceEngine(p), ...flipped);
				net.ids.forEach((id) => expect(Math.abs(at(one, id) - at(other, mirrored(id)))).toBeLessThan(1e-9));
			}),
			RUNS
		);
		const both = faceEngine();
		both.run(programmeOf('a'));
		net.ids.forEach((id) => expect(Math.abs(at(both, id) - at(both, mirrored(id)))).toBeLessThan(1e-12));
	});
	test('left only: the right zones are as if nothing were done, but for the way that crosses under the chin', () => {
		const [left, nothing] = [faceEngine(), faceEngine()];
		left.run(programmeOf('i'));
		nothing.run(programmeOf('j'));
		for (const zone of ZONES.filter((id) => id.endsWith('right')))
			expect(Math.abs(at(left, zone) - at(nothing, zone))).toBeLessThan(2e-3);
	});
	test('strokes that take no time keep the total; counts and rests can be split; the same input, the same output', () => {
		fc.assert(
			fc.property(anyStep, fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 }), (s, m, n) => {
				const timeless = faceEngine();
				const before = timeless.totalMl();
				if (s.technique !== 'pump') {
					run(timeless, { ...s, seconds: 0 });
					expect(Math.abs(timeless.totalMl() - before)).toBeLessThan(1e-12 * before);
					expect(timeless.veinMl).toBe(0);
				}
				const whole = run(faceEngine(), { ...s, reps: m + n });
				expect(run(faceEngine(), { ...s, reps: m }, { ...s, reps: n }).ml).toEqual(whole.ml);
				expect(run(faceEngine(), { ...s, reps: m + n }).ml).toEqual(whole.ml);
			}),
			RUNS
		);
		expect(run(faceEngine(), rest(10), rest(20)).ml).toEqual(run(faceEngine(), rest(30)).ml);
	});
});

describe('what each thing does', () => {
	const moved = (path: string[], levels: number) => {
		const engine = faceEngine({ alpha: 0.8 });
		const from = at(engine, path[0]!);
		run(engine, step('stroke', [path], { levels }));
		return (from - at(engine, path[0]!)) / from;
	};
	test('light moves most; less with every level of depth; with the drainage more than against it', () => {
		const by = [0, 1, 2, 3, 4].map((p) => moved(['buccal:left', 'jawline:left'], p));
		expect(by[1]).toBeGreaterThan(by[0]!);
		for (const p of [2, 3, 4]) expect(by[p]!).toBeLessThan(by[p - 1]!);
		expect(by[4]).toBeGreaterThan(0);
		expect(by[1]).toBeCloseTo(DEFAULT_FLOW.phiZ, 12);
		const along = moved(['buccal:left', 'masseter:left'], 1);
		const neutral = moved(['marionette:left', 'buccal:left'], 1);
		const against = moved(['masseter:left', 'buccal:left'], 1);
		const valve = moved(['n:submandibular:left', 'under-jaw:left'], 1);
		expect(along).toBeGreaterThan(neutral);
		expect(neutral).toBeGreaterThan(against);
		expect(against).toBeGreaterThan(valve);
	});
	test('a pump opens, less each time, never beyond 1; the opening halves in its half-life', () => {
		const engine = faceEngine();
		const j = faceIndex('n:terminus', 'left') - net.zoneCount;
		let before = engine.open[j]!;
		let gain = Infinity;
		for (let i = 0; i < 30; i++) {
			run(engine, step('pump', [['n:terminus:left']]));
			expect(engine.open[j]! - before).toBeGreaterThan(0);
			expect(engine.open[j]! - before).toBeLessThan(gain);
			gain = engine.open[j]! - before;
			before = engine.open[j]!;
		}
		expect(before).toBeLessThanOrEqual(1);
		engine.rest(DEFAULT_FLOW.tG);
		expect(engine.open[j]! - DEFAULT_FLOW.g0).toBeCloseTo((before - DEFAULT_FLOW.g0) / 2, 9);
	});
	test('what is full takes nothing: it dams, and the giver keeps its fluid; a full face filters nothing in', () => {
		const engine = faceEngine();
		const full = engine.ml.slice();
		const [from, to] = [net.indexOf.get('buccal:left')!, net.indexOf.get('n:facial:left')!];
		full[to] = engine.ceilingMl[to]!;
		engine.setState(full, new Float64Array(net.zoneCount));
		run(engine, step('stroke', [['buccal:left', 'n:facial:left']]));
		expect(engine.ml[from]).toBe(full[from]);
		expect(engine.dammedMl).toBeCloseTo(DEFAULT_FLOW.phiZ * full[from]!, 12);
		expect(engine.dammedAtMl[to]).toBe(engine.dammedMl);
		engine.setState(engine.ceilingMl, new Float64Array(net.zoneCount).fill(0.01));
		run(engine, step('rest', [], { seconds: 2 }));
		expect(engine.filteredMl).toBe(0);
	});
	test('deep work, tapping and rubbing draw fluid in, light work does not, cold holds it back; tension falls ever less', () => {
		const filtered = (s: ProgrammeStep | null) => {
			const engine = faceEngine();
			if (s) run(engine, s);
			engine.rest(300);
			return engine.filteredMl;
		};
		const [path, nothing] = [[['masseter:left']], filtered(null)];
		for (const s of [step('hold', path, { levels: 4 }), step('tap', path), step('rub', path)])
			expect(filtered({ ...s, reps: 10 })).toBeGreaterThan(nothing + 1e-4);
		expect(Math.abs(filtered(step('hold', path, { reps: 10 })) - nothing)).toBeLessThan(1e-12);
		expect(filtered(step('cold', path, { reps: 10 }))).toBeLessThan(nothing - 1e-6);
		const engine = faceEngine();
		const zone = faceIndex('masseter', 'left');
		let [last, change] = [1, Infinity];
		for (let i = 0; i < 40; i++) {
			run(engine, step('hold', path, { levels: 4 }));
			expect(last - engine.tension[zone]!).toBeLessThan(change);
			change = last - engine.tension[zone]!;
			last = engine.tension[zone]!;
			expect(change).toBeGreaterThan(0);
		}
	});
	test('lifting only fills the lids beyond doing nothing; down the throat fills the throat', () => {
		const after = (name: 'e' | 'h' | 'j', zone: string) => {
			const engine = faceEngine();
			engine.run(programmeOf(name));
			return at(engine, zone);
		};
		expect(after('e', 'lower-eyelid:left')).toBeGreaterThan(after('j', 'lower-eyelid:left'));
		expect(after('h', 'throat:left')).toBeGreaterThan(after('j', 'throat:left') + 0.5);
	});
	test('the order of the worked programmes at the defaults', () => {
		const relief = (name: Parameters<typeof programmeOf>[0]) => {
			const engine = faceEngine();
			engine.run(programmeOf(name));
			engine.run(REST_600);
			return reliefMl(engine);
		};
		for (const pair of ['a>c', 'c>e', 'a>b', 'a>b2', 'a>d', 'a>g', 'a>h', 'f>e', 'a>i', 'a>j']) {
			const [more, less] = pair.split('>') as ['a', 'c'];
			expect(relief(more), pair).toBeGreaterThan(relief(less));
		}
	});
	test('steps of 2 s are fine enough: within half a per cent of steps of a quarter', () => {
		for (const name of ['a', 'c', 'f'] as const) {
			const [coarse, fine] = [2, 0.25].map((step) => {
				const engine = faceEngine({}, { step });
				engine.run(programmeOf(name));
				engine.run(REST_600);
				return reliefMl(engine);
			}) as [number, number];
			expect(Math.abs(coarse / fine - 1)).toBeLessThan(0.005);
		}
	});
});

describe('what is refused', () => {
	const refused = (...steps: ProgrammeStep[]) => expect(() => compileProgramme(net, steps));
	test('paths, counts and times that cannot be, with the place', () => {
		refused(step('stroke', [['chin:left', 'temple:left']])).toThrow('not adjacent: chin:left -> temple:left');
		refused(step('stroke', [['chin:left', 'n:submental:left']])).toThrow(/not adjacent/);
		refused(step('stroke', [['chin:left', 'nowhere:left']])).toThrow('unknown place: nowhere:left');
		refused(step('pump', [['chin:left']])).toThrow('only node groups can be pumped: chin:left');
		refused(step('hold', [['chin:left']], { levels: 5 })).toThrow(/level of chin:left.*5/);
		refused(step('stroke', [['chin:left', 'jawline:left']], { levels: [1] })).toThrow(/level of jawline:left/);
		refused(step('rest', [], { reps: 1.5 })).toThrow(/1.5/);
		refused(step('rest', [], { seconds: NaN })).toThrow(/seconds/);
		refused(step('rest', [], { reps: 200_001 })).toThrow(/split the sequence/);
	});
	test('parameters out of their range, each with its name and range; a step that is too long; a start above the ceiling', () => {
		expect(FlowParametersSchema.parse({})).toEqual(DEFAULT_FLOW);
		for (const name of FLOW_PARAMETER_NAMES) {
			const { min, max } = FLOW_PARAMETERS[name];
			for (const value of [min * 0.99, max * 1.01, NaN]) {
				const { error } = FlowParametersSchema.safeParse({ [name]: value });
				expect(error?.issues[0]?.path).toEqual([name]);
				expect(error?.issues[0]?.message).toContain(`${name} must lie between ${min} and ${max}`);
			}
		}
		const quick = { tN: 1, tZ: 1, tO: 1 } as Record<FlowParameterName, number>;
		expect(() => faceEngine(quick)).toThrow(/too long for these parameters: at most 0\.\d+ s/);
		expect(() => new FlowEngine(net, 9)).toThrow(/at most 8 s: 9/);
		expect(() => faceEngine({}, { grades: (z) => (z === 3 ? 9 : 0) })).toThrow(
			/start of glabella:left must lie between grade 0 and 6\.\d: 9/
		);
		expect(() => faceEngine({}, { grades: () => NaN })).toThrow(/NaN/);
		expect(startGrade(faceIndex('lower-eyelid', 'right'))).toBe(3);
	});
});
