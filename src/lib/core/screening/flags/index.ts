import { CHAPTERS, type ChapterId, type Flag } from '../flag';
import { ALLERGY_FLAGS } from './allergies';
import { BODY_FLAGS } from './body';
import { EYE_FLAGS } from './eyes';
import { HISTORY_FLAGS } from './history';
import { MEDICINE_FLAGS } from './medicines';
import { MOUTH_FLAGS } from './mouth';
import { MOVE_FLAGS } from './moves';
import { NECK_FLAGS } from './neck';
import { SKIN_FLAGS } from './skin';
import { TODAY_FLAGS } from './today';
import { TREATMENT_FLAGS } from './treatments';

const OF_CHAPTER: Record<ChapterId, readonly Omit<Flag, 'chapter'>[]> = {
	today: TODAY_FLAGS,
	history: HISTORY_FLAGS,
	neck: NECK_FLAGS,
	body: BODY_FLAGS,
	medicines: MEDICINE_FLAGS,
	skin: SKIN_FLAGS,
	treatments: TREATMENT_FLAGS,
	eyes: EYE_FLAGS,
	mouth: MOUTH_FLAGS,
	allergies: ALLERGY_FLAGS,
	moves: MOVE_FLAGS
};

export interface ChapterFlag extends Flag {
	readonly chapter: ChapterId;
}

/** All that is asked, chapter by chapter in the order of the intake. A flag is an entry in its chapter's file. */
export const FLAGS: readonly ChapterFlag[] = (Object.keys(CHAPTERS) as ChapterId[]).flatMap((chapter) =>
	OF_CHAPTER[chapter].map((flag) => ({ ...flag, chapter }))
);

const byId = new Map(FLAGS.map((flag) => [flag.id, flag]));
export const flagById = (id: string): ChapterFlag | undefined => byId.get(id);
