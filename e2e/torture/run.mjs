// Faults of every kind against the built server and real browsers, bounded to a quarter of an hour. `npm run torture [-- --seed 7
// --minutes 10 --only kills,stage]`. The figures go into docs/reliability.md.
import { parseArgs } from 'node:util';
import { serveDemo } from '../../scripts/setup.mjs';
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
	options: { seed: { type: 'string' }, minutes: { type: 'string', default: '15' }, only: { type: 'string' } }
});
const seed = Number(values.seed ?? Math.floor(Math.random() * 1e6));
/** Each part, and its share of the time. */
const PARTS = [
	['stage', 0.4, tortureStage],
	['reads', 0.1, tortureReads],
	['requests', 0.36, (o) => tortureRequests({ ...o, count: 100_000 })],
	['dearest', 0.12, tortureByDearest],
	['kills', 0.24, tortureByKills],
	['tabs', 0.14, tortureByTabs],
	['quota', 0.18, tortureByQuota],
	['imports', 0.08, tortureByImports],
	['bytes', 0.12, tortureByBytes]
];
const chosen = PARTS.filter(([name]) => !values.only || values.only.split(',').includes(name));
const whole = chosen.reduce((sum, [, share]) => sum + share, 0);
const { base, stop } = await serveDemo();
console.log(`seed ${seed}`);
let failed = 0;
try {
	for (const [name, share, part] of chosen) {
		const from = Date.now();
		const until = from + (Number(values.minutes) * 60_000 * share) / whole;
		const { figures, faults } = await part({ base, seed, until });
		const words = Object.entries(figures).map(
			([what, n]) => `${what} ${typeof n === 'object' ? JSON.stringify(n) : n}`
		);
		console.log(`${name}, ${Math.round((Date.now() - from) / 1000)} s: ${words.join(', ')}; faults ${faults.length}`);
		for (const fault of faults.slice(0, 20)) console.log(`  ${fault}`);
		failed += faults.length;
	}
} finally {
	stop();
}
console.log(failed ? `${failed} faults, seed ${seed}` : `no fault, seed ${seed}`);
process.exit(failed ? 1 : 0);
