import { mainReceiver } from '../atlas/graph';
import { NODES, type NodeId } from '../atlas/nodes';
import { isOutlet } from '../atlas/places';
import type { School } from '../school/school.schema';

/** What is wrong with an order of openings. */
export interface OrderResult {
	/** Pairs that stand the wrong way round, of all pairs. */
	readonly wrong: number;
	readonly pairs: number;
	/** The first node group that stands where another one belongs, and why; null where all is right. */
	readonly why: string | null;
}

const name = (node: NodeId): string => NODES[node].label.toLowerCase();

/** Why a school opens one before the other. */
export function whyBefore(first: NodeId, then: NodeId, school: Pick<School, 'title'>): string {
	if (mainReceiver(`n:${then}`) === first)
		return `What leaves the ${name(then)} arrives at the ${name(first)}: they are opened first, so that it finds room.`;
	if (isOutlet(`n:${first}`))
		return `The ${name(first)} are an outlet: whatever is moved ends there, so they come first.`;
	return `${school.title} opens the ${name(first)} before the ${name(then)}.`;
}

/**
 * Holds an order of openings against that of a school.
 * @throws {RangeError} if it does not hold the same node groups, each once
 */
export function judgeOrder(school: Pick<School, 'title' | 'opening'>, answer: readonly NodeId[]): OrderResult {
	const right = school.opening.nodes;
	if (answer.length !== right.length || right.some((n) => !answer.includes(n)))
		throw new RangeError(`each of these once is needed: ${right.join(', ')}`);
	const place = (node: NodeId) => right.indexOf(node);
	let wrong = 0;
	for (let i = 0; i < answer.length; i++)
		for (let j = i + 1; j < answer.length; j++) if (place(answer[i]!) > place(answer[j]!)) wrong++;
	const at = answer.findIndex((node, i) => node !== right[i]);
	return {
		wrong,
		pairs: (answer.length * (answer.length - 1)) / 2,
		why: at < 0 ? null : whyBefore(right[at]!, answer[at]!, school)
	};
}

/** The list in an order by chance that is not the right one. */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
	const out = [...list];
	for (let i = out.length - 1; i > 0; i--) {
		const j = Math.floor(random() * (i + 1));
		[out[i], out[j]] = [out[j]!, out[i]!];
	}
	return out.length > 1 && out.every((x, i) => x === list[i]) ? [...out.slice(1), out[0]!] : out;
}
