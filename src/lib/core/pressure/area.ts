import type { Step } from '../step/step.schema';
import type { Working } from '../working/working.schema';

/**
 * The area that presses: of a stone's edge, else of the tool, else of the hand (working values).
 * Cloth, brush and tape take that of the flat hand that holds them.
 * @returns cm²; null where nothing presses
 */
export function pressingAreaCm2(
	{ contact, tool }: Pick<Step, 'contact' | 'tool'>,
	{ contactAreaCm2, toolAreaCm2, edgeAreaCm2 }: Working
): number | null {
	if (contact === 'tool' && tool)
		return tool.edge
			? edgeAreaCm2[tool.edge]
			: ((toolAreaCm2 as Partial<Record<string, number>>)[tool.id] ?? contactAreaCm2['flat-hand']);
	return (contactAreaCm2 as Partial<Record<string, number>>)[contact] ?? null;
}
