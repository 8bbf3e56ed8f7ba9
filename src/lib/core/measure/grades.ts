/** Puffiness of a zone as the hand and eye find it; whole steps only. "Not felt" is absent, not 0. */
export const GRADES = [0, 1, 2, 3, 4] as const;
export type Grade = (typeof GRADES)[number];
export const PUFFINESS_WORDS: Record<Grade, string> = {
	0: 'none',
	1: 'slight',
	2: 'visible',
	3: 'marked',
	4: 'tight, shiny'
};
export const TENSION_WORDS: Record<Grade, string> = {
	0: 'none',
	1: 'slight',
	2: 'clear',
	3: 'marked',
	4: 'hard'
};

/** One step more at each tap, from not felt to the top and round again to none. */
export const nextGrade = (grade: Grade | null): Grade =>
	grade === null ? 1 : grade === 4 ? 0 : ((grade + 1) as Grade);
