import { binaryKind } from './binary';
import { clientKind } from './client';
import { comparisonKind } from './comparison';
import { mediumKind, schoolKind, techniqueKind } from './custom';
import { drillRoundKind } from './drillRound';
import { keptKind } from './kept';
import type { RecordKind } from './record';
import { photoKind } from './photo';
import { runEntryKind } from './runEntry';
import { secondVersionKind } from './secondVersion';
import { sequenceKind } from './sequenceRecord';
import { sessionKind } from './session';
import { settingsKind } from './settings';
import { snapshotKind } from './snapshot';
import type { KindId } from './tables';
import { workingKind } from './workingValues';

/** All kinds of records but second versions, which are made of those that can have one. */
const PLAIN = {
	client: clientKind,
	sequence: sequenceKind,
	snapshot: snapshotKind,
	session: sessionKind,
	'run-entry': runEntryKind,
	technique: techniqueKind,
	school: schoolKind,
	medium: mediumKind,
	kept: keptKind,
	comparison: comparisonKind,
	binary: binaryKind,
	photo: photoKind,
	'drill-round': drillRoundKind,
	working: workingKind,
	settings: settingsKind
} as const;

const withSecondVersions = Object.values(PLAIN).filter((k) => k.meets === 'beside') as unknown as RecordKind<never>[];
export const RECORD_KINDS = {
	...PLAIN,
	'second-version': secondVersionKind(withSecondVersions)
} as const satisfies Record<KindId, unknown>;
