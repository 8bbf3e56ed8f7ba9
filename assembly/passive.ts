/*
 * The passive flow of the drainage model over four faces at once: two vectors of two numbers each. The equations and the order of
 * every operation are those of the engine in src/lib/core/flow/engine.ts, face by face, so that both give the same bits.
 *
 * Arrays lie in the memory of the caller, four numbers a place, one a face. Where they begin is told through these globals; names
 * as in the engine.
 */
export let zoneCount: i32 = 0;
export let nodeCount: i32 = 0;
/** State: zones first, then node groups. */
export let ml: usize = 0;
export let ceilingMl: usize = 0;
export let open: usize = 0;
export let warm: usize = 0;
export let cold: usize = 0;
export let base: usize = 0;
/** Coefficients of edges and outlets; byte offset of each edge's receiver among the node groups; where a place's edges end. */
export let rate: usize = 0;
export let vein: usize = 0;
export let receiver: usize = 0;
export let edgeEnd: usize = 0;
/** Scratch of a passive step, a place a node group. */
export let receive: usize = 0;
export let into: usize = 0;
export let gone: usize = 0;
/** One number a face: running sums, parameters, and the decays of this length of step. */
export let veinMl: usize = 0;
export let filteredMl: usize = 0;
export let g0: usize = 0;
export let beta: usize = 0;
export let byWarmth: usize = 0;
export let xC: usize = 0;
export let decayOpen: usize = 0;
export let decayWarm: usize = 0;
export let decayCold: usize = 0;

/** Bytes of the four faces of one place, and of the first two. */
const PLACE: usize = 32;
const HALF: usize = 16;

// @ts-ignore: decorator
@inline
function first(at: usize): v128 {
	return v128.load(at);
}
// @ts-ignore: decorator
@inline
function last(at: usize): v128 {
	return v128.load(at, HALF);
}
// @ts-ignore: decorator
@inline
function put(at: usize, a: v128, b: v128): void {
	v128.store(at, a);
	v128.store(at, b, HALF);
}

/** What passes along an edge on two faces: added to what comes into its receiver, and returned. */
// @ts-ignore: decorator
@inline
function pass(edge: usize, here: v128, receiveAt: usize, intoAt: usize): v128 {
	const flux = f64x2.mul(f64x2.mul(first(edge), here), first(receiveAt));
	v128.store(intoAt, f64x2.add(first(intoAt), flux));
	return flux;
}

/**
 * So many passive steps of the same length.
 * @param seconds length of one step
 * @param deep, warmed, chilled 1 in deep breathing; where any zone is warm; where any is cold
 */
export function passive(steps: i32, seconds: f64, deep: i32, warmed: i32, chilled: i32): void {
	const h = f64x2.splat(seconds);
	const one = f64x2.splat(1);
	const zero = f64x2.splat(0);
	const nodesAt = ml + <usize>zoneCount * PLACE;
	const nodeCeilings = ceilingMl + <usize>zoneCount * PLACE;
	const nodeBytes = <usize>nodeCount * PLACE;
	const toReceive = receive;
	const toInto = into;
	const breathA = deep ? f64x2.mul(h, first(beta)) : h;
	const breathB = deep ? f64x2.mul(h, last(beta)) : h;
	for (let n = 0; n < steps; n++) {
		for (let j: usize = 0; j < nodeBytes; j += PLACE) {
			const fullA = f64x2.div(first(nodesAt + j), first(nodeCeilings + j));
			const fullB = f64x2.div(last(nodesAt + j), last(nodeCeilings + j));
			put(
				toReceive + j,
				f64x2.mul(f64x2.mul(h, first(open + j)), f64x2.sub(one, fullA)),
				f64x2.mul(f64x2.mul(h, last(open + j)), f64x2.sub(one, fullB))
			);
			put(toInto + j, zero, zero);
		}
		let edge = rate;
		let to = receiver;
		let end = edgeEnd;
		let filteredA = zero;
		let filteredB = zero;
		// Zones: what each takes in by itself, and what it gives to its node groups.
		for (let at = ml, i: usize = 0; at < nodesAt; at += PLACE, i += PLACE) {
			const hereA = first(at);
			const hereB = last(at);
			const roomA = f64x2.sub(first(ceilingMl + i), hereA);
			const roomB = f64x2.sub(last(ceilingMl + i), hereB);
			let wishA: v128;
			let wishB: v128;
			if (warmed | chilled) {
				const warmA = first(warm + i);
				const warmB = last(warm + i);
				wishA = f64x2.mul(h, f64x2.add(first(base + i), f64x2.mul(f64x2.mul(first(byWarmth), warmA), roomA)));
				wishB = f64x2.mul(h, f64x2.add(last(base + i), f64x2.mul(f64x2.mul(last(byWarmth), warmB), roomB)));
				put(warm + i, f64x2.mul(warmA, first(decayWarm)), f64x2.mul(warmB, last(decayWarm)));
				if (chilled) {
					const coldA = first(cold + i);
					const coldB = last(cold + i);
					wishA = f64x2.mul(wishA, f64x2.sub(one, f64x2.mul(first(xC), coldA)));
					wishB = f64x2.mul(wishB, f64x2.sub(one, f64x2.mul(last(xC), coldB)));
					put(cold + i, f64x2.mul(coldA, first(decayCold)), f64x2.mul(coldB, last(decayCold)));
				}
			} else {
				wishA = f64x2.mul(h, first(base + i));
				wishB = f64x2.mul(h, last(base + i));
			}
			const intakeA = f64x2.pmin(roomA, wishA);
			const intakeB = f64x2.pmin(roomB, wishB);
			filteredA = f64x2.add(filteredA, intakeA);
			filteredB = f64x2.add(filteredB, intakeB);
			let outA = zero;
			let outB = zero;
			const stop = <usize>load<u32>(end);
			end += 4;
			while (to < stop) {
				const j = <usize>load<u32>(to);
				outA = f64x2.add(outA, pass(edge, hereA, toReceive + j, toInto + j));
				outB = f64x2.add(outB, pass(edge + HALF, hereB, toReceive + j + HALF, toInto + j + HALF));
				edge += PLACE;
				to += 4;
			}
			put(at, f64x2.add(hereA, f64x2.sub(intakeA, outA)), f64x2.add(hereB, f64x2.sub(intakeB, outB)));
		}
		// Node groups: what each passes on, and what returns to the veins.
		let backA = zero;
		let backB = zero;
		for (let j: usize = 0; j < nodeBytes; j += PLACE) {
			const hereA = first(nodesAt + j);
			const hereB = last(nodesAt + j);
			let outA = zero;
			let outB = zero;
			const stop = <usize>load<u32>(end);
			end += 4;
			while (to < stop) {
				const k = <usize>load<u32>(to);
				outA = f64x2.add(outA, pass(edge, hereA, toReceive + k, toInto + k));
				outB = f64x2.add(outB, pass(edge + HALF, hereB, toReceive + k + HALF, toInto + k + HALF));
				edge += PLACE;
				to += 4;
			}
			if (load<f64>(vein + j) > 0) {
				const fluxA = f64x2.mul(f64x2.mul(f64x2.mul(breathA, first(vein + j)), first(open + j)), hereA);
				const fluxB = f64x2.mul(f64x2.mul(f64x2.mul(breathB, last(vein + j)), last(open + j)), hereB);
				backA = f64x2.add(backA, fluxA);
				backB = f64x2.add(backB, fluxB);
				outA = f64x2.add(outA, fluxA);
				outB = f64x2.add(outB, fluxB);
			}
			put(gone + j, outA, outB);
		}
		for (let j: usize = 0; j < nodeBytes; j += PLACE) {
			const at = nodesAt + j;
			put(
				at,
				f64x2.add(first(at), f64x2.sub(first(toInto + j), first(gone + j))),
				f64x2.add(last(at), f64x2.sub(last(toInto + j), last(gone + j)))
			);
			const restA = first(g0);
			const restB = last(g0);
			put(
				open + j,
				f64x2.add(restA, f64x2.mul(f64x2.sub(first(open + j), restA), first(decayOpen))),
				f64x2.add(restB, f64x2.mul(f64x2.sub(last(open + j), restB), last(decayOpen)))
			);
		}
		put(filteredMl, f64x2.add(first(filteredMl), filteredA), f64x2.add(last(filteredMl), filteredB));
		put(veinMl, f64x2.add(first(veinMl), backA), f64x2.add(last(veinMl), backB));
	}
}
