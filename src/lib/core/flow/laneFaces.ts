import type { GraphJitter } from './coefficients';
import { FlowEngine, TECHNIQUE_WARMTH, WARMTH } from './engine';
import type { Faces } from './faces';
import { KERNEL_ARRAYS, KERNEL_FACES as WIDTH, openKernel, type Kernel, type KernelArray } from './kernel';
import type { FlowNetwork } from './network';
import type { FlowParameters } from './parameterTable';
import type { CompiledPath, FlowTechnique, Programme } from './programme';

const PAGE_BYTES = 65_536;
const NUMBER_BYTES = 8;
/** The state of all faces, in the order in which it lies in memory: it is kept and brought back as one piece. */
const STATE = ['ml', 'open', 'warm', 'cold', 'veinMl', 'filteredMl'] as const satisfies KernelArray[];

interface LaneState {
	readonly numbers: Float64Array;
	readonly warmed: boolean;
	readonly chilled: boolean;
}

/** Parameters that events ask for, a number a face. */
const EVENT_PARAMETERS = ['phiZ', 'phiN', 'pOpen', 'alpha', 'omega', 'kC', 'tG', 'tW', 'tC'] as const;

/**
 * Four faces side by side: passive flow in WebAssembly, strokes and pumps here, in the memory of the kernel. Every number
 * of a face comes out as `FlowEngine` gives it, to the last bit: the same operations in the same order.
 */
export class LaneFaces implements Faces {
	readonly width = WIDTH;
	/** Works out the coefficients and the start of each face. */
	readonly #maker: FlowEngine;
	readonly #kernel: Kernel;
	readonly #arrays: Readonly<Record<KernelArray, Float64Array>>;
	readonly #stateNumbers: Float64Array;
	/** What only events ask for: a number a face for each edge, node group, level, alignment, parameter. */
	readonly #share: Float64Array;
	readonly #outlet: Float64Array;
	readonly #eta = new Float64Array(5 * WIDTH);
	readonly #factor = new Float64Array(5 * WIDTH);
	readonly #start: Float64Array;
	readonly #p = Object.fromEntries(EVENT_PARAMETERS.map((name) => [name, new Float64Array(WIDTH)])) as Record<
		(typeof EVENT_PARAMETERS)[number],
		Float64Array
	>;
	/** Share of a pump's opening that a stroke gives, times it. */
	readonly #strokeOpens = new Float64Array(WIDTH);
	/** One number a face, written over by whoever needs it. */
	readonly #scratch = new Float64Array(WIDTH);
	#warmed = false;
	#chilled = false;
	#decayFor = -1;
	/** Decays by the length of a passive step, for the faces that are loaded: a sequence has few lengths, and comes back to them. */
	readonly #decays = new Map<number, Float64Array>();

	/** @returns null where the kernel cannot run */
	static open(network: FlowNetwork, longestStepSeconds: number): LaneFaces | null {
		const kernel = openKernel(1);
		return kernel && new LaneFaces(network, longestStepSeconds, kernel);
	}

	private constructor(
		private readonly network: FlowNetwork,
		private readonly longestStepSeconds: number,
		kernel: Kernel
	) {
		this.#maker = new FlowEngine(network, longestStepSeconds);
		this.#kernel = kernel;
		const { zoneCount, nodeCount, count, edgeTo, edgeStart } = network;
		const sizes = { places: count, nodes: nodeCount, zones: zoneCount, edges: edgeTo.length, one: 1 };
		let at = 1024;
		const reserve = (bytes: number) => {
			const here = at;
			at += bytes;
			if (at > PAGE_BYTES) throw new RangeError(`a network of ${count} places is too large for the kernel`);
			return here;
		};
		const arrays: Partial<Record<KernelArray, Float64Array>> = {};
		const put = (name: KernelArray) => {
			const length = sizes[KERNEL_ARRAYS[name]] * WIDTH;
			const offset = reserve(length * NUMBER_BYTES);
			kernel.set(name, offset);
			arrays[name] = new Float64Array(kernel.memory.buffer, offset, length);
		};
		const stateAt = at;
		STATE.forEach(put);
		this.#stateNumbers = new Float64Array(kernel.memory.buffer, stateAt, (at - stateAt) / NUMBER_BYTES);
		for (const name of Object.keys(KERNEL_ARRAYS) as KernelArray[]) if (!arrays[name]) put(name);
		this.#arrays = arrays as Record<KernelArray, Float64Array>;
		const whole = (name: string, list: Int32Array) => {
			const offset = reserve(list.byteLength);
			new Int32Array(kernel.memory.buffer, offset, list.length).set(list);
			kernel.set(name, offset);
			return offset;
		};
		const receiverAt = whole(
			'receiver',
			edgeTo.map((to) => (to - zoneCount) * WIDTH * NUMBER_BYTES)
		);
		whole(
			'edgeEnd',
			edgeStart.slice(1).map((end) => receiverAt + end * Int32Array.BYTES_PER_ELEMENT)
		);
		kernel.set('zoneCount', zoneCount);
		kernel.set('nodeCount', nodeCount);
		this.#share = new Float64Array(edgeTo.length * WIDTH);
		this.#outlet = new Float64Array(nodeCount * WIDTH);
		this.#start = new Float64Array(count * WIDTH);
	}

	load(face: number, parameters: FlowParameters, jitter: GraphJitter, gradeOf: (zone: number) => number): void {
		const maker = this.#maker;
		maker.setParameters(parameters, jitter);
		maker.prepare(gradeOf);
		const { coefficients: k } = maker;
		const { ceilingMl, rate, vein, base, g0, beta, byWarmth, xC } = this.#arrays;
		const spread = (to: Float64Array, from: ArrayLike<number>) => {
			for (let i = 0; i < from.length; i++) to[i * WIDTH + face] = from[i]!;
		};
		spread(ceilingMl, k.ceilingMl);
		spread(rate, k.rate);
		spread(vein, k.vein);
		spread(base, maker.baseMlPerSecond);
		spread(this.#start, maker.ml);
		spread(this.#share, k.share);
		spread(this.#outlet, k.outlet);
		spread(this.#eta, k.eta);
		spread(this.#factor, k.factor);
		g0[face] = parameters.g0;
		beta[face] = parameters.beta;
		byWarmth[face] = parameters.fX / parameters.mMax;
		xC[face] = parameters.xC;
		for (const name of EVENT_PARAMETERS) this.#p[name][face] = parameters[name];
		this.#strokeOpens[face] = parameters.pOpen * parameters.psi;
		this.#decayFor = -1;
		this.#decays.clear();
	}

	reset(): void {
		const { ml, open, warm, cold, veinMl, filteredMl, g0 } = this.#arrays;
		ml.set(this.#start);
		for (let i = 0; i < open.length; i++) open[i] = g0[i % WIDTH]!;
		warm.fill(0);
		cold.fill(0);
		veinMl.fill(0);
		filteredMl.fill(0);
		this.#warmed = this.#chilled = false;
	}

	run(programme: Programme, from = 0, to = programme.length): void {
		for (let k = from; k < to; k++) {
			const op = programme[k]!;
			for (let rep = 0; rep < op.reps; rep++) {
				for (let i = 0; i < op.paths.length; i++) this.#repeat(op.technique, op.paths[i]!);
				this.rest(op.seconds, op.deep);
			}
		}
	}

	rest(seconds: number, deep = false): void {
		if (!(seconds > 0)) return;
		const steps = Math.ceil(seconds / this.longestStepSeconds);
		const h = seconds / steps;
		this.#setDecay(h);
		this.#kernel.passive(steps, h, deep ? 1 : 0, this.#warmed ? 1 : 0, this.#chilled ? 1 : 0);
	}

	veinMl(face: number): number {
		return this.#arrays.veinMl[face]!;
	}
	filteredMl(face: number): number {
		return this.#arrays.filteredMl[face]!;
	}
	sumMl(face: number, places: Int32Array | null): number {
		const { ml } = this.#arrays;
		let sum = 0;
		if (places) for (let i = 0; i < places.length; i++) sum += ml[places[i]! * WIDTH + face]!;
		else for (let i = face; i < ml.length; i += WIDTH) sum += ml[i]!;
		return sum;
	}
	copyMl(face: number, into: Float64Array, at: number): void {
		const { ml } = this.#arrays;
		for (let i = 0; i < this.network.count; i++) into[at + i] = ml[i * WIDTH + face]!;
	}

	save(): LaneState {
		return { numbers: this.#stateNumbers.slice(), warmed: this.#warmed, chilled: this.#chilled };
	}
	restore({ numbers, warmed, chilled }: LaneState): void {
		this.#stateNumbers.set(numbers);
		this.#warmed = warmed;
		this.#chilled = chilled;
	}

	#setDecay(h: number): void {
		if (h === this.#decayFor) return;
		this.#decayFor = h;
		let decays = this.#decays.get(h);
		if (!decays) {
			const halfLives = [this.#p.tG, this.#p.tW, this.#p.tC];
			decays = Float64Array.from(
				{ length: 3 * WIDTH },
				(_, i) => 2 ** (-h / halfLives[Math.floor(i / WIDTH)]![i % WIDTH]!)
			);
			this.#decays.set(h, decays);
		}
		const { decayOpen, decayWarm, decayCold } = this.#arrays;
		for (let f = 0; f < WIDTH; f++) {
			decayOpen[f] = decays[f]!;
			decayWarm[f] = decays[WIDTH + f]!;
			decayCold[f] = decays[2 * WIDTH + f]!;
		}
	}

	#repeat(technique: FlowTechnique, path: CompiledPath): void {
		if (technique === 'stroke') return this.#stroke(path);
		const { places, levels } = path;
		for (let m = 0; m < places.length; m++) {
			const at = places[m]!;
			if (technique === 'pump') this.#pump(at, levels[m]!);
			else if (at >= this.network.zoneCount) continue;
			else if (technique === 'cold') this.#cool(at);
			else this.#touch(at, levels[m]!, TECHNIQUE_WARMTH[technique] ?? 0);
		}
	}

	#cool(zone: number): void {
		const { cold } = this.#arrays;
		this.#chilled = true;
		for (let f = 0, i = zone * WIDTH; f < WIDTH; f++, i++) cold[i]! += this.#p.kC[f]! * (1 - cold[i]!);
	}

	#touch(zone: number, level: number, extra: number): void {
		const warmth = Math.min(1, WARMTH[level]! + extra);
		if (!(warmth > 0)) return;
		const { warm } = this.#arrays;
		const { omega } = this.#p;
		this.#warmed = true;
		for (let f = 0, i = zone * WIDTH; f < WIDTH; f++, i++) warm[i]! += omega[f]! * warmth * (1 - warm[i]!);
	}

	/**
	 * From one place to another on every face: `share` of the fluid there, times `times`, at most what the receiver takes in
	 * one repetition.
	 */
	#move(from: number, to: number, share: Float64Array, times: Float64Array, at: number): void {
		const { ml, ceilingMl, open } = this.#arrays;
		const { zoneCount } = this.network;
		const { alpha } = this.#p;
		const [donor, receiver] = [from * WIDTH, to * WIDTH];
		const node = receiver - zoneCount * WIDTH;
		for (let f = 0; f < WIDTH; f++) {
			const want = share[f]! * times[at + f]! * ml[donor + f]!;
			const room = ceilingMl[receiver + f]! - ml[receiver + f]!;
			const limit = node < 0 ? room : alpha[f]! * open[node + f]! * room;
			const q = want < limit ? want : limit;
			ml[donor + f]! -= q;
			ml[receiver + f]! += q;
		}
	}

	#stroke({ places, levels, alignments }: CompiledPath): void {
		const { zoneCount } = this.network;
		const { phiZ, phiN } = this.#p;
		const share = this.#scratch;
		for (let m = 0; m < places.length; m++) {
			const at = places[m]!;
			if (at < zoneCount) this.#touch(at, levels[m]!, 0);
			else this.#open((at - zoneCount) * WIDTH, this.#strokeOpens, levels[m]! * WIDTH);
			if (m === 0) continue;
			const from = places[m - 1]!;
			const part = from < zoneCount ? phiZ : phiN;
			const level = levels[m - 1]! * WIDTH;
			for (let f = 0; f < WIDTH; f++) share[f] = part[f]! * this.#eta[level + f]!;
			this.#move(from, at, share, this.#factor, alignments[m]! * WIDTH);
		}
	}

	/** Opens a node group by so much a face, times what the level gives. */
	#open(node: number, by: Float64Array, level: number): void {
		const { open } = this.#arrays;
		for (let f = 0; f < WIDTH; f++) open[node + f]! += by[f]! * this.#eta[level + f]! * (1 - open[node + f]!);
	}

	#pump(at: number, level: number): void {
		const { zoneCount, edgeTo, edgeStart } = this.network;
		const { ml, open, veinMl, ceilingMl } = this.#arrays;
		const { phiN, pOpen, alpha } = this.#p;
		const node = (at - zoneCount) * WIDTH;
		this.#open(node, pOpen, level * WIDTH);
		for (let f = 0; f < WIDTH; f++) {
			const part = phiN[f]! * this.#eta[level * WIDTH + f]!;
			const donor = at * WIDTH + f;
			const content = ml[donor]!;
			for (let e = edgeStart[at]!; e < edgeStart[at + 1]!; e++) {
				const receiver = edgeTo[e]! * WIDTH + f;
				const want = part * this.#share[e * WIDTH + f]! * content;
				// A node group passes on to node groups only.
				const room = ceilingMl[receiver]! - ml[receiver]!;
				const q = Math.min(want, alpha[f]! * open[receiver - zoneCount * WIDTH]! * room);
				ml[donor]! -= q;
				ml[receiver]! += q;
			}
			const q = part * this.#outlet[node + f]! * open[node + f]! * content;
			ml[donor]! -= q;
			veinMl[f]! += q;
		}
	}
}
