import * as Comlink from 'comlink';
import { planOfSequence } from '../core/flow/compile';
import { joinFigures, PairedRun, type PairedFigures } from '../core/flow/paired';
import { resultOf } from '../core/flow/verdict';
import { doneInPieces } from './breathe';
import type { CompareWorker } from './protocol';

/** Draws of one piece of work. */
const DRAWS_AT_A_TIME = 4;
let cancelled = false;

function* pieces(run: PairedRun): Generator<number, PairedFigures> {
	while (run.advance(DRAWS_AT_A_TIME)) yield run.done;
	return run.figures;
}

const worker: CompareWorker = {
	async run({ sequences, working, grades, zones, seed }, { from, draws }, progress) {
		cancelled = false;
		const programmes = sequences.map((s) => planOfSequence(s, { working }).programme);
		const run = new PairedRun({ programmes, grades, zones, draws, seed, fromDraw: from });
		const figures = await doneInPieces(pieces(run), (done) => {
			progress(done);
			return !cancelled;
		});
		if (figures) progress(run.done);
		return figures;
	},
	result: (parts) => resultOf(joinFigures(parts)),
	cancel() {
		cancelled = true;
	}
};
Comlink.expose(worker);
