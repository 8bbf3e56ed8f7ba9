import { AREAS, placesOfArea, type AreaId } from './areas';
import type { Licence, LicenceEntry } from './licence.schema';
import type { Limit } from './limit.schema';
import type { Which } from './limit.schema';

/** Something that a local code may keep for a licence of its own. A new one is a row here. */
export interface LicenceRow {
	readonly label: string;
	/** What is meant, in plain words. */
	readonly what: string;
	/** The moves that are meant; null where none is, such as for what may be promised. */
	readonly which: Which | null;
	readonly area?: AreaId;
}

export const LICENCE_ROWS = {
	inside: {
		label: 'Inside the cheek',
		what: 'A gloved thumb in the mouth. In many places only with a licence of its own.',
		which: { contact: 'inside' }
	},
	neck: { label: 'The neck', what: 'Throat, side of the neck and nape.', which: {}, area: 'neck' },
	tools: { label: 'Tools', what: 'Stone plate, spoon, roller, globes, brush.', which: { tool: 'any' } },
	scraping: { label: 'Scraping and pinching', what: 'What may mark the skin.', which: { motion: 'bruises' } },
	tape: { label: 'Tape', what: 'Elastic tape that is worn home.', which: { tool: 'tape' } },
	cold: { label: 'Cold', what: 'Cold globes and spoons.', which: { tool: 'cold' } },
	points: { label: 'Pressure points', what: 'Points held by their codes; tradition.', which: { point: 'any' } },
	chest: { label: 'Chest and armpit', what: 'Below the collarbone.', which: {}, area: 'chest' },
	claims: {
		label: 'What may be promised',
		what: 'What may be said of a massage in advertising and to clients; note the words that are allowed.',
		which: null
	}
} as const satisfies Record<string, LicenceRow>;
export type LicenceId = keyof typeof LICENCE_ROWS;
export const LICENCE_IDS = Object.keys(LICENCE_ROWS) as [LicenceId, ...LicenceId[]];
export const licenceRow = (id: LicenceId): LicenceRow => LICENCE_ROWS[id];

export const licenceEntry = (licence: Licence, id: LicenceId): LicenceEntry | undefined =>
	licence.find((entry) => entry.id === id);

/** What a licence leaves out, as limits that hold whoever is in the chair. What was not said leaves nothing out. */
export function licenceLimits(licence: Licence): Limit[] {
	return licence.flatMap((entry): Limit[] => {
		const { label, which, area } = licenceRow(entry.id);
		if (entry.covers === 'yes' || !which) return [];
		return [
			{
				id: `licence/${entry.id}`,
				source: { kind: 'licence', id: entry.id },
				name: label,
				reason: `By your own note the licence does not cover it.${entry.note ? ` ${entry.note}` : ''}`,
				severity: 'caution',
				since: entry.on,
				until: null,
				does: 'leave-out',
				where: area ? placesOfArea(area) : 'everywhere',
				whereWords: area ? AREAS[area].label : 'everywhere',
				...(Object.keys(which).length ? { which } : {})
			}
		];
	});
}
