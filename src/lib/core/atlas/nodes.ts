/** A lymph node group. Bilateral, like the zones. */
export interface NodeInfo {
	/** Plain words, as spoken on the stage. */
	readonly label: string;
	/** Where it lies, as the end of a stroke: "to the front of the ear". */
	readonly where: string;
	/** The same in few letters: on a phone it is read from afar. */
	readonly short: string;
	/** Anatomical term. */
	readonly anatomical: string;
	/** True where fluid leaves the model for the veins. */
	readonly outlet: boolean;
}

const node = (label: string, where: string, short: string, anatomical: string, outlet = false): NodeInfo => ({
	label,
	where,
	short,
	anatomical,
	outlet
});

/** The eleven node groups, from the outlets outwards. */
export const NODES = {
	terminus: node(
		'Collarbone nodes',
		'collarbone',
		'Collarbone',
		'Terminus: angulus venosus, nodi supraclaviculares',
		true
	),
	axillary: node('Armpit nodes', 'armpit', 'Armpit', 'Nodi axillares', true),
	'deep-cervical': node('Neck nodes', 'side of the neck', 'Neck side', 'Nodi cervicales profundi'),
	'posterior-cervical': node('Back of the neck nodes', 'back of the neck', 'Neck back', 'Nodi cervicales posteriores'),
	occipital: node('Base of the skull nodes', 'base of the skull', 'Skull base', 'Nodi occipitales'),
	postauricular: node('Nodes behind the ear', 'behind the ear', 'Behind ear', 'Nodi mastoidei'),
	preauricular: node('Nodes before the ear', 'front of the ear', 'Ear front', 'Nodi parotidei superficiales'),
	tonsillar: node('Nodes below the ear', 'below the ear', 'Below ear', 'Nodus jugulodigastricus'),
	submandibular: node('Nodes under the jaw', 'under the jaw', 'Under jaw', 'Nodi submandibulares'),
	submental: node('Nodes under the chin', 'under the chin', 'Under chin', 'Nodi submentales'),
	facial: node('Cheek nodes', 'beside the smile fold', 'Fold side', 'Nodi faciales')
} as const satisfies Record<string, NodeInfo>;

export type NodeId = keyof typeof NODES;
export const NODE_IDS = Object.keys(NODES) as NodeId[];

/** The node groups from which fluid returns to the veins. */
export const OUTLET_IDS = NODE_IDS.filter((id) => NODES[id].outlet);
