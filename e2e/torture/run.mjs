// Faults of every kind against the built server and real browsers, bounded to a quarter of an hour. `npm run torture [-- --seed 7
// --minutes 10 --only kills,stage] [-- --short]`: the short form is a part of the tests, three minutes and always the same seed. The figures go into docs/reliability.md.
import { parseArgs } from 'node:util';
import { serve } from '../../scripts/setup.mjs';
import { tortureByBytes } from './bytes.mjs';
import { tortureByDearest } from './dearest.mjs';
import { tortureByImports } from './imports.mjs';
import { tortureByKills } from './kills.mjs';
import { tortureByQuota } from './quota.mjs';
import { tortureReads } from './reads.mjs';
import { tortureRequests } from './requests.mjs';
import { tortureStage } from './stage.mjs';
import { tortureByTabs } from './tabs.mjs';

const { values } = parseArgs({
	options: {
		seed: { type: 'string' },
		minutes: { type: 'string' },
		only: { type: 'string' },
		short: { type: 'boolean', default: false }
	}
});
const minutes = Number(values.minutes ?? 15);
const seed = Number(values.seed ?? (values.short ? 20261202 : Math.floor(Math.random() * 1e6)));
/** Each part: its share of the time, its seconds in the short form (0: left out), what it has to have done, and what does it. */
const PARTS = [
	['stage', 0.4, 25, 'moves', tortureStage],
	['reads', 0.1, 20, 'looks', tortureReads],
	['requests', 0.36, 8, 'sent', (o) => tortureRequests({ ...o, count: 100_000 })],
	// How dear a question is, is a figure of the machine: it is measured where nothing else runs.
	['dearest', 0.12, 0, 'check', tortureByDearest],
	['kills', 0.24, 20, 'actions told to be stored', tortureByKills],
	['tabs', 0.14, 15, 'moves', tortureByTabs],
	['quota', 0.18, 15, 'of them failed once each', tortureByQuota],
	['imports', 0.08, 15, 'files', tortureByImports],
	['bytes', 0.12, 10, 'texts looked for', tortureByBytes]
];
const chosen = PARTS.filter(
	([name, , shortly]) => (!values.only || values.only.split(',').includes(name)) && (!values.short || shortly)
);
const whole = chosen.reduce((sum, [, share]) => sum + share, 0);
const { base, stop } = await serve(true);
const { base: empty, stop: stopEmpty } = await serve(false);
console.log(`seed ${seed}`);
let failed = 0;
try {
	for (const [name, share, shortly, must, part] of chosen) {
		const from = Date.now();
		const until = from + 1000 * (values.short ? shortly : (minutes * 60 * share) / whole);
		const { figures, faults } = await part({ base, empty, seed, until });
		// A part that did nothing has found nothing.
		if (!figures[must]) faults.push(`nothing was done: ${must} ${figures[must]}`);
		const words = Object.entries(figures).map(
			([what, n]) => `${what} ${typeof n === 'object' ? JSON.stringify(n) : n}`
		);
		console.log(`${name}, ${Math.round((Date.now() - from) / 1000)} s: ${words.join(', ')}; faults ${faults.length}`);
		for (const fault of faults.slice(0, 20)) console.log(`  ${fault}`);
		failed += faults.length;
	}
} finally {
	stop();
	stopEmpty();
}
console.log(failed ? `${failed} faults, seed ${seed}` : `no fault, seed ${seed}`);
process.exit(failed ? 1 : 0);
