/** How much is said on the stage: nothing, changes of step and side, where and how as well, or all of it with the counting. */
export const VOICES = ['none', 'changes', 'places', 'everything'] as const;
export type Voice = (typeof VOICES)[number];
