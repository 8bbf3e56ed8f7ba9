import { FlowEngine } from './engine';
import { networkOf } from './network';
import { DEFAULT_FLOW } from './parameterTable';
import { compileProgramme, type ProgrammeStep } from './programme';

/** What can be tried in the small model: a cheek, a jaw, one node group and an outlet. */
export interface ToyWish {
	/** Node group and outlet are pumped first; else the hands rest for the same time. */
	readonly open: boolean;
	/** Light is level 1, deep level 4. */
	readonly deep: boolean;
	/** Strokes run with the drainage, or up against it. */
	readonly along: boolean;
}

const NETWORK = networkOf({
	zones: [
		{ id: 'cheek', capacityMl: 3 },
		{ id: 'jaw', capacityMl: 2.5 }
	],
	nodes: [
		{ id: 'node', capacityMl: 0.6 },
		{ id: 'outlet', capacityMl: 0.8 }
	],
	edges: [
		['cheek', 'node', 1],
		['jaw', 'node', 1],
		['node', 'outlet', 1],
		['outlet', 'vein', 1]
	],
	pairs: [
		['cheek', 'jaw', 'with'],
		['jaw', 'cheek', 'against'],
		['jaw', 'node', 'with'],
		['node', 'jaw', 'valve'],
		['node', 'outlet', 'with'],
		['outlet', 'node', 'valve']
	]
});
/** Puffiness of both zones at the start, and what is done: pumps, strokes, a last rest. */
const START_GRADE = 2.5;
const PUMPS = 10;
const STROKES = 30;
const STROKE_SECONDS = 3;
const REST_SECONDS = 60;

/** One look at the small model. */
export interface ToyRow {
	readonly seconds: number;
	readonly cheekMl: number;
	readonly jawMl: number;
	readonly nodeMl: number;
	readonly outletMl: number;
	/** Back in the veins, and filtered in meanwhile. */
	readonly returnedMl: number;
	readonly filteredMl: number;
	/** Openness of the node group, and what it can hold, ml. */
	readonly open: number;
}
export const TOY_CAPACITY = { cheekMl: 3, jawMl: 2.5, nodeMl: 0.6, outletMl: 0.8 } as const;

/** Runs the small model; one row after every repetition. */
export function toyRun({ open, deep, along }: ToyWish): ToyRow[] {
	const engine = new FlowEngine(NETWORK);
	engine.setParameters(DEFAULT_FLOW);
	engine.prepare(() => START_GRADE);
	const pump = (id: string): ProgrammeStep => ({
		technique: open ? 'pump' : 'rest',
		paths: open ? [[id]] : [],
		levels: 1,
		reps: PUMPS,
		seconds: 1
	});
	const rows: ToyRow[] = [];
	const look = () => {
		const [cheekMl, jawMl, nodeMl, outletMl] = engine.ml as unknown as [number, number, number, number];
		rows.push({
			seconds: engine.seconds,
			cheekMl,
			jawMl,
			nodeMl,
			outletMl,
			returnedMl: engine.veinMl,
			filteredMl: engine.filteredMl,
			open: engine.open[0]!
		});
	};
	look();
	const path = along ? ['cheek', 'jaw', 'node', 'outlet'] : ['jaw', 'cheek'];
	engine.run(
		compileProgramme(NETWORK, [
			pump('outlet'),
			pump('node'),
			{ technique: 'stroke', paths: [path], levels: deep ? 4 : 1, reps: STROKES, seconds: STROKE_SECONDS },
			{ technique: 'rest', paths: [], levels: 1, reps: REST_SECONDS / 3, seconds: 3 }
		]),
		look
	);
	return rows;
}

/** What came of it, in a sentence. */
export function toyWords(rows: readonly ToyRow[]): string {
	const [first, last] = [rows[0]!, rows.at(-1)!];
	const fell = (a: number, b: number) =>
		`${b < a - 0.05 ? 'fell' : b > a + 0.05 ? 'rose' : 'stayed'} (${a.toFixed(1)} to ${b.toFixed(1)} ml)`;
	return `The cheek ${fell(first.cheekMl, last.cheekMl)}, the jaw ${fell(first.jawMl, last.jawMl)}; ${last.returnedMl.toFixed(2)} ml went back to the veins, ${last.filteredMl.toFixed(2)} ml seeped in.`;
}
