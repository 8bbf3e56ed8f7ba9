import * as Comlink from 'comlink';
import { planOfSequence, type FlowPlan } from '../core/flow/compile';
import type { StartGrades } from '../core/flow/starts';
import { tideOf } from '../core/flow/tide';
import { WorthRun } from '../core/flow/worth';
import { worthDrawsFor } from '../core/flow/worthDraws';
import { doneInPieces } from './breathe';
import type { TideWorker } from './protocol';

/** The run that was asked for last: steps are weighed in it, until another one takes its place. */
let last: { plan: FlowPlan; grades: StartGrades } | null = null;
/** The step that was asked for last: a later question takes its place. */
let asked = 0;

const worker: TideWorker = {
	tide({ sequence, working, grades }) {
		const plan = planOfSequence(sequence, { working });
		last = { plan, grades };
		const tide = tideOf(plan, grades);
		const { times, grades: levels, fill, open, balance } = tide;
		return Comlink.transfer(
			tide,
			[times, levels, fill, open, balance].map((table) => table.buffer as ArrayBuffer)
		);
	},
	async worth(stepId) {
		const run = last;
		const number = run ? run.plan.stepIds.indexOf(stepId) : -1;
		if (!run || number < 0) return null;
		const question = ++asked;
		return doneInPieces(new WorthRun(run).one(number), () => run === last && question === asked);
	},
	async allWorth(progress) {
		const run = last;
		if (!run) return null;
		const draws = worthDrawsFor(run.plan.stepIds.length);
		return doneInPieces(new WorthRun({ ...run, draws }).all(), (done) => {
			progress(done / draws);
			return run === last;
		});
	}
};
Comlink.expose(worker);
