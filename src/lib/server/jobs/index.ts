import type { Answer } from '../answer';
import { check } from './check';
import { compare } from './compare';
import { measure } from './measure';
import { simulate } from './simulate';

/** What is said of a question besides its body: what kind of text it is, and which school judges. */
export interface Manner {
	readonly type?: 'json' | 'text';
	readonly school?: string;
}

/**
 * From the bytes of a request to those of its answer.
 * @param gone whether nobody waits any more: what takes long asks now and then, and may answer anything
 */
export type Job = (bytes: Uint8Array, gone: () => boolean, manner: Manner) => Answer;

/**
 * What the threads of the pool can do: a job is a file here and a line. It takes the bytes of a request and gives the
 * bytes of an answer, so that nothing that grows with them is done where requests come in. What takes long has threads
 * of its own: a check never waits behind a comparison.
 */
export const JOBS = {
	check: { run: check, takes: 'short' },
	measure: { run: measure, takes: 'short' },
	simulate: { run: simulate, takes: 'short' },
	compare: { run: compare, takes: 'long' }
} as const satisfies Record<string, { run: Job; takes: 'short' | 'long' }>;
export type JobName = keyof typeof JOBS;
