import { compare } from './compare';
import { simulate } from './simulate';

/** What the threads of the pool can do: a job is a file here and a line. */
export const JOBS = { simulate, compare } as const;
export type JobName = keyof typeof JOBS;
export type JobInput<N extends JobName> = Parameters<(typeof JOBS)[N]>[0];
export type JobAnswer<N extends JobName> = ReturnType<(typeof JOBS)[N]>;
