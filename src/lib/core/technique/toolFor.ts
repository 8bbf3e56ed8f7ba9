import type { Step } from '../step/step.schema';
import { contactRow, toolRow, type Contact, type ToolId } from '../vocabulary/vocabulary';
import { DEFAULT_WORKING } from '../working/defaultWorking';

/**
 * The tool that goes with a contact: with the contact tool the one that is wanted, laid nearly flat on its long edge
 * where it has edges; gloves where the hand goes inside; else none.
 */
export function toolFor(contact: Contact, wanted: ToolId = 'stone-plate'): Step['tool'] {
	if (contact === 'tool')
		return toolRow(wanted).edged
			? { id: wanted, edge: 'long-convex', tiltDegrees: DEFAULT_WORKING.usualTiltDegrees }
			: { id: wanted };
	return contactRow(contact).inside ? { id: 'gloves' } : undefined;
}
