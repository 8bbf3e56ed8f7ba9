import { TECHNIQUE_WARMTH, WARMTH } from './engine';
import { faceNetwork } from './network';
import { FLOW_PARAMETER_NAMES, type FlowParameterName } from './parameterTable';
import type { Programme, ProgrammeOp } from './programme';

/** Each place that an op works, with its level and how it lies to the one before. */
type Touch = (node: boolean, level: number, alignment: number) => boolean;
const somewhere = ({ paths }: ProgrammeOp, wanted: Touch): boolean => {
	const { zoneCount } = faceNetwork();
	return paths.some(({ places, levels, alignments }) =>
		places.some((place, i) => wanted(place >= zoneCount, levels[i]!, i ? alignments[i]! : 0))
	);
};
const moves = ({ technique }: ProgrammeOp): boolean => technique === 'stroke' || technique === 'pump';
const strokes = ({ technique }: ProgrammeOp): boolean => technique === 'stroke';
const warms = (op: ProgrammeOp): boolean =>
	op.technique !== 'pump' &&
	op.technique !== 'cold' &&
	somewhere(op, (node, level) => !node && WARMTH[level]! + (TECHNIQUE_WARMTH[op.technique] ?? 0) > 0);
const cools = ({ technique }: ProgrammeOp): boolean => technique === 'cold';
const onNodes = (op: ProgrammeOp): boolean => moves(op) && somewhere(op, (node) => node);
/** Number of an alignment in the table of its factors; 0 goes with the drainage. */
const lies = (code: number) => (op: ProgrammeOp) => moves(op) && somewhere(op, (_n, _l, at) => at === code);

/** Parameters that act only where something is done, and what; tension is of the looks alone and moves no fluid. */
const ACTS: Partial<Record<FlowParameterName, (op: ProgrammeOp) => boolean>> = {
	pOpen: onNodes,
	psi: (op) => strokes(op) && onNodes(op),
	phiZ: (op) => strokes(op) && somewhere(op, (node) => !node),
	phiN: onNodes,
	alpha: onNodes,
	eta0: (op) => moves(op) && somewhere(op, (_n, level) => level === 0),
	sEta: (op) => moves(op) && somewhere(op, (_n, level) => level > 1),
	aN: lies(1),
	aR: lies(2),
	aW: lies(3),
	aV: lies(4),
	beta: ({ deep }) => deep,
	omega: warms,
	fX: warms,
	tW: warms,
	xC: cools,
	kC: cools,
	tC: cools,
	rho: () => false,
	tauMin: () => false
};

/** The parameters that bear on what a programme leaves: those of the passive flow, and those of what it does. */
export const touchedBy = (programme: Programme): FlowParameterName[] =>
	FLOW_PARAMETER_NAMES.filter((name) => {
		const acts = ACTS[name];
		return !acts || programme.some(acts);
	});
