import { FlowCoefficients, type GraphJitter } from './coefficients';
import type { FlowNetwork } from './network';
import { FINE_STEP_SECONDS, WEIGHING_STEP_SECONDS, type FlowParameters } from './parameterTable';
import type { CompiledPath, FlowTechnique, Programme } from './programme';
import { outflow, settle } from './steadyState';

/** Warmth by pressure level, and what a technique adds to it. */
export const WARMTH = [0, 0, 0.15, 0.5, 1];
export const TECHNIQUE_WARMTH: Partial<Record<FlowTechnique, number>> = { tap: 0.4, rub: 0.7 };
/** Loss of tension by pressure level. */
const SOFTENING = [0.1, 0.2, 0.5, 0.9, 1];

/** The state of a run, kept to be gone back to. What was dammed, and tension, are of its looks only and are not in it. */
export interface FlowState {
	readonly ml: Float64Array;
	readonly open: Float64Array;
	readonly warm: Float64Array;
	readonly cold: Float64Array;
	readonly sums: readonly [veinMl: number, filteredMl: number, seconds: number];
	readonly warmed: boolean;
	readonly chilled: boolean;
}

/**
 * The drainage model on one network. Its state lies in flat arrays that are read, never written, from outside; nothing
 * is allocated in a step. Equations and meanings: docs/model.md.
 *
 * One class, for its loops share the arrays of one state and are run a million times in a comparison.
 *
 * Order of use: `setParameters`, `prepare`, then for each programme `reset` and `run`.
 */
export class FlowEngine {
	/** Fluid of each compartment, ml: zones first, then node groups. */
	readonly ml: Float64Array;
	/** Capacity: the ceiling of a zone, the content a node group can hold, ml. */
	readonly ceilingMl: Float64Array;
	/** Capacity of a zone at grade 4, of a node group its ceiling, ml. */
	readonly capacityMl: Float64Array;
	/** Openness of each node group, g0..1. */
	readonly open: Float64Array;
	/** Warmth, cold and tension of each zone, 0..1. */
	readonly warm: Float64Array;
	readonly cold: Float64Array;
	readonly tension: Float64Array;
	/** What strokes wanted to move into a compartment and could not, ml, summed. */
	readonly dammedAtMl: Float64Array;
	/** Running sums, ml: filtered in, returned to the veins, dammed. */
	filteredMl = 0;
	veinMl = 0;
	dammedMl = 0;
	/** Seconds since `reset`. */
	seconds = 0;

	#p!: FlowParameters;
	readonly #k: FlowCoefficients;
	readonly #base: Float64Array;
	readonly #start: Float64Array;
	readonly #receive: Float64Array;
	/** What comes into each node group in a passive step, and what leaves it. */
	readonly #into: Float64Array;
	readonly #gone: Float64Array;
	/** What each zone takes in during a passive step. */
	readonly #filtered: Float64Array;
	/** Receiver of each edge, as a number among the node groups. */
	readonly #edgeNode: Int32Array;
	/** Whether any zone is warm, or cold. */
	#warmed = false;
	#chilled = false;
	/** The decays of the last length of a passive step. */
	#decayFor = -1;
	#decayOpen = 1;
	#decayWarm = 1;
	#decayCold = 1;

	/**
	 * @param longestStepSeconds longest passive step, seconds: 2 for figures, 4 for many draws, 8 for weighing
	 * @throws {RangeError} for a passive step that is not above 0
	 */
	constructor(
		readonly network: FlowNetwork,
		readonly longestStepSeconds: number = FINE_STEP_SECONDS
	) {
		if (!(longestStepSeconds > 0 && longestStepSeconds <= WEIGHING_STEP_SECONDS))
			throw new RangeError(`a passive step lasts at most ${WEIGHING_STEP_SECONDS} s: ${longestStepSeconds}`);
		const { count, zoneCount, nodeCount } = network;
		this.ml = new Float64Array(count);
		this.#k = new FlowCoefficients(network);
		this.ceilingMl = this.#k.ceilingMl;
		this.capacityMl = this.#k.capacityMl;
		this.open = new Float64Array(nodeCount);
		this.warm = new Float64Array(zoneCount);
		this.cold = new Float64Array(zoneCount);
		this.tension = new Float64Array(zoneCount);
		this.dammedAtMl = new Float64Array(count);
		this.#base = new Float64Array(zoneCount);
		this.#start = new Float64Array(count);
		this.#receive = new Float64Array(nodeCount);
		this.#into = new Float64Array(nodeCount);
		this.#gone = new Float64Array(nodeCount);
		this.#filtered = new Float64Array(zoneCount);
		this.#edgeNode = network.edgeTo.map((to) => to - zoneCount);
	}

	/**
	 * Takes parameters, and the graph of one draw.
	 * @throws {RangeError} if the passive step is too long for them to keep every compartment between empty and full
	 */
	setParameters(p: FlowParameters, jitter?: GraphJitter): void {
		this.#p = p;
		this.#decayFor = -1;
		this.#k.set(p, jitter);
		const bound = this.longestStepSeconds * this.#k.fastest(p.beta);
		if (!(bound <= 1))
			throw new RangeError(
				`a passive step of ${this.longestStepSeconds} s is too long for these parameters: at most ${(this.longestStepSeconds / bound).toFixed(3)} s`
			);
	}

	/** Fluid of a zone at a puffiness grade, ml. */
	mlAtGrade(zone: number, grade: number): number {
		const { bBase } = this.#p;
		return this.capacityMl[zone]! * (bBase + ((1 - bBase) * grade) / 4);
	}

	/** Puffiness grade that a fluid of a zone would show, 0 and up. */
	gradeAtMl(zone: number, ml: number): number {
		const { bBase } = this.#p;
		return Math.max(0, (4 * (ml / this.capacityMl[zone]! - bBase)) / (1 - bBase));
	}

	/**
	 * Works out the untouched face: node contents in their steady state, and the filtration that holds it there.
	 * @param gradeOf puffiness grade of a zone by its index, 0 for what was not felt
	 * @throws {RangeError} if a start lies below grade 0 or above the ceiling of its zone, with the zone's id
	 */
	prepare(gradeOf: (zone: number) => number): void {
		const { zoneCount, count, ids } = this.network;
		const { hold } = this.#p;
		const ml = this.#start;
		for (let i = 0; i < zoneCount; i++) ml[i] = this.mlAtGrade(i, 0);
		ml.fill(0, zoneCount, count);
		settle(this.network, this.#k, ml, this.#p.g0);
		for (let i = 0; i < zoneCount; i++) this.#base[i] = (1 - hold) * outflow(this.network, this.#k, ml, i, this.#p.g0);
		for (let i = 0; i < zoneCount; i++) {
			const start = this.mlAtGrade(i, gradeOf(i));
			if (!(start >= 0 && start <= this.ceilingMl[i]!))
				throw new RangeError(
					`the start of ${ids[i]} must lie between grade 0 and ${this.gradeAtMl(i, this.ceilingMl[i]!).toFixed(1)}: ${gradeOf(i)}`
				);
			ml[i] = start;
		}
		settle(this.network, this.#k, ml, this.#p.g0);
		for (let i = 0; i < zoneCount; i++) this.#base[i]! += hold * outflow(this.network, this.#k, ml, i, this.#p.g0);
		this.reset();
	}

	/** Takes a state as it is, instead of `prepare`: fluid of each compartment and filtration of each zone, ml and ml/s. */
	setState(ml: ArrayLike<number>, baseMlPerSecond: ArrayLike<number>): void {
		this.#start.set(ml);
		this.#base.set(baseMlPerSecond);
		this.reset();
	}

	/** What the face of the parameters is made of, and the filtration that holds it, ml/s of each zone. */
	get coefficients(): FlowCoefficients {
		return this.#k;
	}
	get baseMlPerSecond(): Float64Array {
		return this.#base;
	}

	save(): FlowState {
		const [ml, open, warm, cold] = [this.ml.slice(), this.open.slice(), this.warm.slice(), this.cold.slice()];
		const sums = [this.veinMl, this.filteredMl, this.seconds] as const;
		return { ml, open, warm, cold, sums, warmed: this.#warmed, chilled: this.#chilled };
	}
	restore(state: FlowState): void {
		for (const name of ['ml', 'open', 'warm', 'cold'] as const) this[name].set(state[name]);
		[this.veinMl, this.filteredMl, this.seconds] = state.sums;
		this.#warmed = state.warmed;
		this.#chilled = state.chilled;
	}

	/** Back to the start, untouched. */
	reset(): void {
		this.ml.set(this.#start);
		this.open.fill(this.#p.g0);
		this.warm.fill(0);
		this.cold.fill(0);
		this.tension.fill(1);
		this.dammedAtMl.fill(0);
		this.#warmed = this.#chilled = false;
		this.filteredMl = this.veinMl = this.dammedMl = this.seconds = 0;
	}

	/**
	 * Runs a programme from where the state is.
	 * @param after called after each repetition with the index of its op
	 */
	run(programme: Programme, after?: (op: number) => void): void {
		for (let k = 0; k < programme.length; k++) {
			const op = programme[k]!;
			for (let rep = 0; rep < op.reps; rep++) {
				for (let i = 0; i < op.paths.length; i++) this.#repeat(op.technique, op.paths[i]!);
				this.rest(op.seconds, op.deep);
				if (after) after(k);
			}
		}
	}

	#repeat(technique: FlowTechnique, path: CompiledPath): void {
		const { zoneCount } = this.network;
		if (technique === 'stroke') return this.#stroke(path);
		const { places, levels } = path;
		for (let m = 0; m < places.length; m++) {
			const at = places[m]!;
			if (technique === 'pump') this.#pump(at, levels[m]!);
			else if (at >= zoneCount) continue;
			else if (technique === 'cold') {
				this.#chilled = true;
				this.cold[at]! += this.#p.kC * (1 - this.cold[at]!);
			} else this.#touch(at, levels[m]!, TECHNIQUE_WARMTH[technique] ?? 0);
		}
	}

	#touch(zone: number, level: number, extra: number): void {
		const { omega, rho, tauMin } = this.#p;
		const warmth = Math.min(1, WARMTH[level]! + extra);
		if (warmth > 0) {
			this.#warmed = true;
			this.warm[zone]! += omega * warmth * (1 - this.warm[zone]!);
		}
		this.tension[zone]! -= rho * SOFTENING[level]! * (this.tension[zone]! - tauMin);
	}

	/** What a receiver takes in one repetition at most, ml. */
	#limit(at: number): number {
		const { zoneCount } = this.network;
		const room = this.ceilingMl[at]! - this.ml[at]!;
		return at < zoneCount ? room : this.#p.alpha * this.open[at - zoneCount]! * room;
	}

	#move(from: number, to: number, want: number): void {
		const q = Math.min(want, this.#limit(to));
		this.ml[from]! -= q;
		this.ml[to]! += q;
		this.dammedMl += want - q;
		this.dammedAtMl[to]! += want - q;
	}

	/** Element by element: a stroke carries along what has just arrived. */
	#stroke({ places, levels, alignments }: CompiledPath): void {
		const { zoneCount } = this.network;
		const { phiZ, phiN, pOpen, psi } = this.#p;
		for (let m = 0; m < places.length; m++) {
			const at = places[m]!;
			if (at < zoneCount) this.#touch(at, levels[m]!, 0);
			else this.open[at - zoneCount]! += pOpen * psi * this.#k.eta[levels[m]!]! * (1 - this.open[at - zoneCount]!);
			if (m === 0) continue;
			const from = places[m - 1]!;
			// The hand presses the fluid out of the place it leaves: with a level a place, that one's counts.
			const phi = (from < zoneCount ? phiZ : phiN) * this.#k.eta[levels[m - 1]!]!;
			this.#move(from, at, phi * this.#k.factor[alignments[m]!]! * this.ml[from]!);
		}
	}

	#pump(at: number, level: number): void {
		const { zoneCount, edgeTo, edgeStart } = this.network;
		const { pOpen, phiN } = this.#p;
		const j = at - zoneCount;
		const eta = this.#k.eta[level]!;
		this.open[j]! += pOpen * eta * (1 - this.open[j]!);
		const content = this.ml[at]!;
		for (let e = edgeStart[at]!; e < edgeStart[at + 1]!; e++)
			this.#move(at, edgeTo[e]!, phiN * eta * this.#k.share[e]! * content);
		const q = phiN * eta * this.#k.outlet[j]! * this.open[j]! * content;
		this.ml[at]! -= q;
		this.veinMl += q;
	}

	/** Lets time pass: no hand moves anything. */
	rest(seconds: number, deep = false): void {
		if (!(seconds > 0)) return;
		const steps = Math.ceil(seconds / this.longestStepSeconds);
		const h = seconds / steps;
		for (let n = 0; n < steps; n++) this.#passive(h, deep);
		this.seconds += seconds;
	}

	/** One passive step: all fluxes from the old state, then all compartments at once. The innermost loop of everything. */
	#passive(h: number, deep: boolean): void {
		const { zoneCount, nodeCount, edgeStart } = this.network;
		const ml = this.ml;
		const open = this.open;
		const ceilingMl = this.ceilingMl;
		const receive = this.#receive;
		const into = this.#into;
		const rate = this.#k.rate;
		const node = this.#edgeNode;
		for (let j = 0; j < nodeCount; j++) {
			const at = zoneCount + j;
			receive[j] = h * open[j]! * (1 - ml[at]! / ceilingMl[at]!);
			into[j] = 0;
		}
		const filtered = this.#filter(h);
		const q = this.#filtered;
		let e = 0;
		for (let i = 0; i < zoneCount; i++) {
			// What a zone gives goes to node groups only, so its own new content is known at once.
			const here = ml[i]!;
			const end = edgeStart[i + 1]!;
			let out = 0;
			do {
				const j = node[e]!;
				const flux = rate[e]! * here * receive[j]!;
				out += flux;
				into[j]! += flux;
			} while (++e < end);
			ml[i] = here + (q[i]! - out);
		}
		let vein = 0;
		const gone = this.#gone;
		const outlets = this.#k.vein;
		const breath = deep ? h * this.#p.beta : h;
		for (let j = 0; j < nodeCount; j++) {
			const here = ml[zoneCount + j]!;
			const end = edgeStart[zoneCount + j + 1]!;
			let out = 0;
			for (; e < end; e++) {
				const to = node[e]!;
				const flux = rate[e]! * here * receive[to]!;
				out += flux;
				into[to]! += flux;
			}
			if (outlets[j]! > 0) {
				const back = breath * outlets[j]! * open[j]! * here;
				vein += back;
				out += back;
			}
			gone[j] = out;
		}
		this.#setDecay(h);
		const g0 = this.#p.g0;
		const decay = this.#decayOpen;
		for (let j = 0; j < nodeCount; j++) {
			ml[zoneCount + j] = ml[zoneCount + j]! + (into[j]! - gone[j]!);
			open[j] = g0 + (open[j]! - g0) * decay;
		}
		this.filteredMl += filtered;
		this.veinMl += vein;
	}

	/** What each zone takes in during a passive step, and all of them together, ml. Warmth and cold fade with it. */
	#filter(h: number): number {
		const { ml, ceilingMl, warm, cold } = this;
		const q = this.#filtered;
		const base = this.#base;
		let sum = 0;
		if (!this.#warmed && !this.#chilled) {
			for (let i = 0; i < q.length; i++) {
				const room = ceilingMl[i]! - ml[i]!;
				const wish = h * base[i]!;
				sum += q[i] = wish < room ? wish : room;
			}
			return sum;
		}
		this.#setDecay(h);
		const { fX, xC, mMax } = this.#p;
		// The ceiling of a zone is mMax times its capacity, so both cancel in the share of room that is left.
		const byWarmth = fX / mMax;
		const [fadeWarm, fadeCold] = [this.#decayWarm, this.#decayCold];
		const chilled = this.#chilled;
		for (let i = 0; i < q.length; i++) {
			const room = ceilingMl[i]! - ml[i]!;
			let wish = h * (base[i]! + byWarmth * warm[i]! * room);
			warm[i]! *= fadeWarm;
			if (chilled) {
				wish *= 1 - xC * cold[i]!;
				cold[i]! *= fadeCold;
			}
			sum += q[i] = wish < room ? wish : room;
		}
		return sum;
	}

	#setDecay(h: number): void {
		if (h === this.#decayFor) return;
		const { tG, tW, tC } = this.#p;
		this.#decayFor = h;
		this.#decayOpen = 2 ** (-h / tG);
		this.#decayWarm = 2 ** (-h / tW);
		this.#decayCold = 2 ** (-h / tC);
	}

	/** Relief: what is gone from all compartments together since `reset`, ml. The running sums are exact where a difference of totals is not. */
	get reliefMl(): number {
		return this.veinMl - this.filteredMl;
	}

	/** All fluid of the network, ml. */
	totalMl(): number {
		let sum = 0;
		for (let i = 0; i < this.ml.length; i++) sum += this.ml[i]!;
		return sum;
	}
}
