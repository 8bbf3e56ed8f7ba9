// The dearest question that is let in, looked for by climbing: fields of a body are changed at random, and what takes the server longer
// is kept. What it finds may cost fifty ordinary questions of its kind, not more.
import { chance } from './parts.mjs';
import { ask } from './requests.mjs';

/** How many ordinary questions one may cost (working value). */
const MOST = 50;
/** How often the dearest and the ordinary ones are held against one another in the end. */
const ROUNDS = 9;
/** A question that is not let in. */
const REFUSED = -1;

/** Middle of some times, ms; `REFUSED` where it is not let in. */
async function msOf(base, path, text, looks = 3) {
	const times = [];
	for (let i = 0; i < looks; i++) {
		const from = performance.now();
		const { status } = await ask(base, path, text);
		if (status !== 200) return REFUSED;
		times.push(performance.now() - from);
	}
	return times.sort((a, b) => a - b)[looks >> 1];
}

const stepsOf = (sequence) => sequence.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps));
const blocksOf = (sequence) => sequence.phases.flatMap((p) => p.blocks);

/** What can be done to a sequence to make it dearer: each a field or a few, at random. */
function climbing(sequence, die, pool, places) {
	const steps = stepsOf(sequence);
	const step = die.of(steps);
	const some = (n) => Array.from({ length: n }, () => die.of(places));
	const reps = (n) => ({ kind: 'reps', min: 1, target: n, max: n });
	const moves = {
		dose: () =>
			(step.dose = die.below(4) ? reps(1 + die.below(1000)) : { kind: 'seconds', min: 1, target: 60, max: 600 }),
		pace: () => (step.paceSeconds = die.of([0.1, 0.2, 0.5, 1, 3])),
		lanes: () => (step.lanes = 1 + die.below(12)),
		reverse: () => (step.reverse = !step.reverse),
		side: () =>
			(step.side = die.of([
				undefined,
				'left',
				'both',
				{ each: true, first: 'left' },
				{ alternate: true, first: 'right' }
			])),
		places: () => (step.places = some(1 + die.below(40))),
		beside: () => (step.beside = die.below(3) ? some(1 + die.below(40)) : undefined),
		stations: () =>
			(step.stations = die.below(3)
				? { places: some(1 + die.below(6)), hold: { kind: 'seconds', amount: 0.1 } }
				: undefined),
		link: () =>
			(step.end = die.below(2)
				? { kind: 'link', places: some(2 + die.below(38)), pumps: 1 + die.below(100), by: 'hand' }
				: { kind: 'none' }),
		pressure: () => (step.pressure = die.below(5)),
		tool: () =>
			Object.assign(step, {
				contact: 'tool',
				tool: {
					...(step.tool ?? {}),
					id: 'stone-plate',
					edge: die.of(['long-concave', 'long-convex', 'corner', 'notch', 'comb'])
				}
			}),
		like: () => Object.assign(step, structuredClone({ ...die.of(pool), id: step.id })),
		passes: () => (die.of(die.below(2) ? sequence.phases : blocksOf(sequence)).passes = 1 + die.below(9)),
		more: () => {
			const block = die.of(blocksOf(sequence));
			const from = block.steps.length ? block.steps : [step];
			const copies = Array.from({ length: 1 + die.below(400) }, () => structuredClone(die.of(from)));
			block.steps.push(...copies);
		},
		alike: () => {
			const change = JSON.parse(JSON.stringify(step));
			for (const s of steps) Object.assign(s, structuredClone({ ...change, id: s.id }));
		},
		fewer: () => (die.of(blocksOf(sequence)).steps.length = 1)
	};
	for (let n = 1 + die.below(3); n > 0; n--) moves[die.of(Object.keys(moves))]();
	let k = 0;
	for (const s of stepsOf(sequence)) s.id = `s${++k}`;
	return sequence;
}

/** The kinds of question: how one is made of a sequence. */
const QUESTIONS = {
	check: (sequence) => JSON.stringify(sequence),
	simulate: (sequence) => JSON.stringify({ sequence })
};

/** @param until when to stop, ms */
export async function tortureByDearest({ base, seed, until }) {
	const die = chance(seed);
	const { items } = JSON.parse(await (await fetch(`${base}/api/v1/library/sequences`)).text());
	const ready = items.map((i) => i.sequence ?? i);
	const pool = ready.flatMap(stepsOf).filter((s) => s.places.length);
	const places = [...new Set(pool.flatMap((s) => s.places))];
	const figures = {};
	const faults = [];
	const from = Date.now();
	const kinds = Object.entries(QUESTIONS);
	for (const [k, [kind, bodyOf]] of kinds.entries()) {
		const path = `/api/v1/${kind}`;
		for (const s of ready) await msOf(base, path, bodyOf(s));
		const ends = from + ((until - from) * (k + 1)) / kinds.length;
		let best = { ms: 0, sequence: null };
		let [now, nowMs, tried, refused, stuck] = [structuredClone(die.of(ready)), 0, 0, 0, 0];
		while (Date.now() < ends) {
			const next = climbing(structuredClone(now), die, pool, places);
			const ms = await msOf(base, path, bodyOf(next), 1);
			tried++;
			if (ms === REFUSED) refused++;
			if (ms > nowMs) [now, nowMs, stuck] = [next, ms, 0];
			else if (++stuck > 150) [now, nowMs, stuck] = [structuredClone(die.of(ready)), 0, 0];
			// One look may have been slow by chance, or because another program was busy.
			if (ms > best.ms) {
				const again = await msOf(base, path, bodyOf(next), 7);
				if (again > best.ms) best = { ms: again, sequence: next };
				nowMs = again;
			}
		}
		// After the climb, when the server is as warm as it gets: the harder bar. In turn, and the least of each: what else
		// runs on the machine makes one look longer, and none shorter.
		const least = { best: Infinity, ready: ready.map(() => Infinity) };
		for (let round = 0; round < ROUNDS && best.sequence; round++) {
			least.best = Math.min(least.best, await msOf(base, path, bodyOf(best.sequence), 1));
			for (const [i, s] of ready.entries())
				least.ready[i] = Math.min(least.ready[i], await msOf(base, path, bodyOf(s), 1));
		}
		const usual = least.ready.sort((a, b) => a - b)[ready.length >> 1];
		const times = least.best / usual;
		const size = best.sequence ? bodyOf(best.sequence).length : 0;
		figures[kind] =
			`${tried} tried, ${refused} refused, ordinary ${usual.toFixed(1)} ms, dearest ${least.best.toFixed(0)} ms with ${Math.round(size / 1000)} kB and ${best.sequence ? stepsOf(best.sequence).length : 0} steps: ${times.toFixed(0)} times`;
		if (times > MOST) faults.push(`${kind}: ${times.toFixed(0)} ordinary questions: ${describe(best.sequence)}`);
	}
	return { figures, faults };
}

/** The first step of each kind, and how many there are: enough to make it again. */
function describe(sequence) {
	const steps = stepsOf(sequence);
	const [passes] = sequence.phases.map((p) => `${p.passes ?? 1}×${p.blocks.map((b) => b.passes ?? 1).join('/')}`);
	return `${steps.length} steps, passes ${passes}, among them ${JSON.stringify(steps[steps.length >> 1]).slice(0, 700)}`;
}
