/** One parameter of the model: a working value, none was fitted to data. */
export interface FlowParameter {
	readonly default: number;
	/** Range from which the draws take it, evenly in its logarithm. */
	readonly min: number;
	readonly max: number;
	/** Empty for a plain number. */
	readonly unit: '' | 's' | 'per s' | 'per level' | 'per repetition';
	readonly meaning: string;
}

const parameter = (
	value: number,
	min: number,
	max: number,
	unit: FlowParameter['unit'],
	meaning: string
): FlowParameter => ({ default: value, min, max, unit, meaning });

/** All parameters of the model. The names are those of its equations (docs/model.md). Working values, all of them. */
export const FLOW_PARAMETERS = {
	g0: parameter(0.3, 0.15, 0.5, '', 'Resting openness of every node group'),
	tG: parameter(600, 300, 1200, 's', 'Half-life of openness above g0'),
	pOpen: parameter(
		0.15,
		0.06,
		0.35,
		'per repetition',
		'Openness gain per pump repetition at light pressure, times (1-g)'
	),
	psi: parameter(0.3, 0.1, 0.6, '', 'Share of pOpen gained when a stroke passes over a node group'),
	tZ: parameter(2700, 1200, 7200, 's', 'Half-life zone -> node at g=1, empty receiver'),
	tN: parameter(90, 40, 240, 's', 'Half-life node -> node at g=1, empty receiver'),
	tO: parameter(60, 25, 150, 's', 'Half-life outlet -> vein at g=1, calm breathing'),
	beta: parameter(1.6, 1.1, 2.5, '', 'Factor on outlet emptying during deep breathing'),
	phiZ: parameter(0.06, 0.02, 0.15, 'per repetition', 'Fraction of a zone moved by one ideal stroke repetition'),
	phiN: parameter(
		0.15,
		0.05,
		0.35,
		'per repetition',
		'Fraction of a node group moved by one ideal repetition (stroke or pump)'
	),
	alpha: parameter(
		0.2,
		0.05,
		0.8,
		'per repetition',
		'Share of (openness x free room) a node group can take in one repetition'
	),
	eta0: parameter(0.5, 0.3, 0.9, '', 'Efficiency of pressure level 0 (feather)'),
	sEta: parameter(0.5, 0.2, 1, 'per level', 'Loss of efficiency per level above light: eta=exp(-sEta*(p-1))'),
	aN: parameter(0.7, 0.5, 0.95, '', 'Alignment, neutral neighbour'),
	aR: parameter(0.5, 0.2, 0.95, '', 'Alignment, zone to zone against the drainage'),
	aW: parameter(0.35, 0.15, 0.7, '', 'Alignment across a watershed (midline, clavicle)'),
	aV: parameter(0.02, 0.005, 0.1, '', 'Alignment backwards through valves (out of a node group)'),
	scK: parameter(1, 0.5, 2, '', 'Scale of all zone capacities K'),
	scC: parameter(1, 0.5, 2, '', 'Scale of all node capacities C'),
	mMax: parameter(1.5, 1.2, 2, '', 'Hard ceiling of a zone, M = mMax*K'),
	bBase: parameter(0.05, 0.02, 0.1, '', 'Normal mobile fluid of a zone as a share of K (grade 0)'),
	hold: parameter(
		0.5,
		0.1,
		1,
		'',
		'Share of the start puffiness held up by its own filtration (1: puffy face is steady)'
	),
	fX: parameter(0.01 / 60, 0.003 / 60, 0.03 / 60, 'per s', 'Extra filtration at full warmth, as share of K per second'),
	tW: parameter(480, 240, 1200, 's', 'Half-life of warmth'),
	omega: parameter(0.06, 0.02, 0.15, 'per repetition', 'Warmth gain per deep repetition, times (1-w)'),
	xC: parameter(0.5, 0.25, 0.8, '', 'Largest cut of filtration by cold'),
	kC: parameter(0.2, 0.08, 0.4, 'per repetition', 'Cold gain per repetition, times (1-c)'),
	tC: parameter(480, 240, 1200, 's', 'Half-life of cold'),
	rho: parameter(0.05, 0.02, 0.12, 'per repetition', 'Tension loss per deep repetition, times (tau-tauMin)'),
	tauMin: parameter(0.2, 0.1, 0.4, '', 'Tension that massage cannot go below')
} as const satisfies Record<string, FlowParameter>;

export type FlowParameterName = keyof typeof FLOW_PARAMETERS;
export type FlowParameters = Readonly<Record<FlowParameterName, number>>;
export const FLOW_PARAMETER_NAMES = Object.keys(FLOW_PARAMETERS) as FlowParameterName[];

/** Every parameter at its default. */
export const DEFAULT_FLOW: FlowParameters = Object.fromEntries(
	FLOW_PARAMETER_NAMES.map((name) => [name, FLOW_PARAMETERS[name].default])
) as Record<FlowParameterName, number>;

/** Most draws of one comparison. */
export const MAX_DRAWS = 10_000;

/** Longest passive step, seconds: all figures; and what the many draws of a comparison may use. */
export const FINE_STEP_SECONDS = 2;
export const COARSE_STEP_SECONDS = 4;
/** For weighing steps against one another, where only differences count: stable over all ranges (tested), 1 % of an effect. */
export const WEIGHING_STEP_SECONDS = 8;
