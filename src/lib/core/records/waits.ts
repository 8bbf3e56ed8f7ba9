/** What waits for a signal on the stage: no step, those that go on until a sign comes, or each before it begins. */
export const WAITS = ['never', 'signs', 'always'] as const;
export type Waits = (typeof WAITS)[number];
