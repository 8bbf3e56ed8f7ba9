import * as Comlink from 'comlink';
import { planOfSequence } from '../core/flow/compile';
import { PairedRun } from '../core/flow/paired';
import { resultOf } from '../core/flow/verdict';
import type { CompareWorker } from './protocol';

/** Draws between two looks at the messages: a cancel is heard, and progress told. */
const DRAWS_AT_A_TIME = 20;
let cancelled = false;

/** Lets waiting messages in. */
const breathe = () =>
	new Promise<void>((done) => {
		const { port1, port2 } = new MessageChannel();
		port1.onmessage = () => done();
		port2.postMessage(0);
	});

const worker: CompareWorker = {
	async compare({ sequences, working, grades, zones, draws, seed }, progress) {
		cancelled = false;
		const context = { working };
		const programmes = sequences.map((s) => planOfSequence(s, context).programme);
		const run = new PairedRun({ programmes, grades, zones, draws, seed });
		while (run.advance(DRAWS_AT_A_TIME)) {
			progress(run.done);
			await breathe();
			if (cancelled) return null;
		}
		progress(run.done);
		return resultOf(run.figures);
	},
	cancel() {
		cancelled = true;
	}
};
Comlink.expose(worker);
