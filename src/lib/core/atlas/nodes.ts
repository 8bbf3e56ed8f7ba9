/** A lymph node group. Bilateral, like the zones. */
export interface NodeInfo {
	/** Plain words, as spoken on the stage. */
	readonly label: string;
	/** Anatomical term. */
	readonly anatomical: string;
	/** True where fluid leaves the model for the veins. */
	readonly outlet: boolean;
}

const node = (label: string, anatomical: string, outlet = false): NodeInfo => ({ label, anatomical, outlet });

/** The eleven node groups, from the outlets outwards. */
export const NODES = {
	terminus: node('Collarbone nodes', 'Terminus: angulus venosus, nodi supraclaviculares', true),
	axillary: node('Armpit nodes', 'Nodi axillares', true),
	'deep-cervical': node('Neck nodes', 'Nodi cervicales profundi'),
	'posterior-cervical': node('Back of the neck nodes', 'Nodi cervicales posteriores'),
	occipital: node('Base of the skull nodes', 'Nodi occipitales'),
	postauricular: node('Nodes behind the ear', 'Nodi mastoidei'),
	preauricular: node('Nodes before the ear', 'Nodi parotidei superficiales'),
	tonsillar: node('Nodes below the ear', 'Nodus jugulodigastricus'),
	submandibular: node('Nodes under the jaw', 'Nodi submandibulares'),
	submental: node('Nodes under the chin', 'Nodi submentales'),
	facial: node('Cheek nodes', 'Nodi faciales')
} as const satisfies Record<string, NodeInfo>;

export type NodeId = keyof typeof NODES;
export const NODE_IDS = Object.keys(NODES) as NodeId[];

/** The node groups from which fluid returns to the veins. */
export const OUTLET_IDS = NODE_IDS.filter((id) => NODES[id].outlet);
