import * as Comlink from 'comlink';
import { planOfSequence, type FlowPlan } from '../core/flow/compile';
import type { StartGrades } from '../core/flow/starts';
import { tideOf } from '../core/flow/tide';
import { WorthRun } from '../core/flow/worth';
import type { TideWorker } from './protocol';

/** The run that was asked for last, and what its steps are worth once somebody asks. */
let last: { plan: FlowPlan; grades: StartGrades; worth: WorthRun | null } | null = null;

const worker: TideWorker = {
	tide({ sequence, working, grades }) {
		const plan = planOfSequence(sequence, { working });
		last = { plan, grades, worth: null };
		const tide = tideOf(plan, grades);
		const { times, grades: levels, fill, open, balance } = tide;
		return Comlink.transfer(
			tide,
			[times, levels, fill, open, balance].map((table) => table.buffer as ArrayBuffer)
		);
	},
	worth(stepId) {
		const number = last ? last.plan.stepIds.indexOf(stepId) : -1;
		if (!last || number < 0) return null;
		last.worth ??= new WorthRun(last.plan, last.grades);
		return last.worth.of(number);
	}
};
Comlink.expose(worker);
