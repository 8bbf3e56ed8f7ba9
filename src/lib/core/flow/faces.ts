import type { GraphJitter } from './coefficients';
import { FlowEngine, type FlowState } from './engine';
import type { FlowNetwork } from './network';
import { LaneFaces } from './laneFaces';
import type { FlowParameters } from './parameterTable';
import type { Programme } from './programme';

/** A few modelled faces through which the same programme is run. Which kind it is changes no figure by a bit. */
export interface Faces {
	/** How many there are. */
	readonly width: number;
	/**
	 * Makes one of them the face of a draw, untouched.
	 * @throws {RangeError} as `FlowEngine`
	 */
	load(face: number, parameters: FlowParameters, jitter: GraphJitter, gradeOf: (zone: number) => number): void;
	/** All back to their starts. */
	reset(): void;
	/** Runs the ops from one on, from where the state is. */
	run(programme: Programme, from?: number, to?: number): void;
	rest(seconds: number): void;
	/** What is gone for good, back in the veins; and what was filtered in, ml. */
	veinMl(face: number): number;
	filteredMl(face: number): number;
	/** Fluid of some compartments, or of all, ml. */
	sumMl(face: number, places: Int32Array | null): number;
	/** Fluid of every compartment, written into a table from a place on, ml. */
	copyMl(face: number, into: Float64Array, at: number): void;
	/** The state of all of them now, to be gone back to. */
	save(): unknown;
	restore(state: unknown): void;
}

/** One face, by the engine: wherever the kernel cannot run, and the measure that it is held to. */
export class EngineFaces implements Faces {
	readonly width = 1;
	readonly #engine: FlowEngine;

	constructor(network: FlowNetwork, longestStepSeconds: number) {
		this.#engine = new FlowEngine(network, longestStepSeconds);
	}

	load(_face: number, parameters: FlowParameters, jitter: GraphJitter, gradeOf: (zone: number) => number): void {
		this.#engine.setParameters(parameters, jitter);
		this.#engine.prepare(gradeOf);
	}
	reset(): void {
		this.#engine.reset();
	}
	run(programme: Programme, from = 0, to = programme.length): void {
		this.#engine.run(from === 0 && to === programme.length ? programme : programme.slice(from, to));
	}
	rest(seconds: number): void {
		this.#engine.rest(seconds);
	}
	veinMl(): number {
		return this.#engine.veinMl;
	}
	filteredMl(): number {
		return this.#engine.filteredMl;
	}
	sumMl(_face: number, places: Int32Array | null): number {
		if (!places) return this.#engine.totalMl();
		let sum = 0;
		for (let i = 0; i < places.length; i++) sum += this.#engine.ml[places[i]!]!;
		return sum;
	}
	copyMl(_face: number, into: Float64Array, at: number): void {
		into.set(this.#engine.ml, at);
	}
	save(): FlowState {
		return this.#engine.save();
	}
	restore(state: FlowState): void {
		this.#engine.restore(state);
	}
}

/** Faces by the fastest way there is here. */
export const facesOf = (network: FlowNetwork, longestStepSeconds: number): Faces =>
	LaneFaces.open(network, longestStepSeconds) ?? new EngineFaces(network, longestStepSeconds);
