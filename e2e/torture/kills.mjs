// The browser is killed while it writes, again and again: what was told to be stored is there, and the store is whole.
import { ACTIONS, Model } from './actions.mjs';
import { agree } from '../steps.mjs';
import { browserWithPast, chance, everything, faultsIn, restoreElsewhere } from './parts.mjs';

/** Most that a stage may be behind after a kill, seconds: its place is noted every two, and at each repetition. */
const STAGE_BEHIND_SECONDS = 2.6;

export async function tortureByKills({ base, empty, seed, until }) {
	const dice = chance(seed);
	const past = await browserWithPast();
	const model = new Model();
	const faults = [];
	let [kills, done, behind] = [0, 0, 0];
	let wrong;
	try {
		let { context, page } = await past.open();
		await page.goto(base);
		await agree(page);
		await context.close();
		while (Date.now() < until || kills < 2) {
			({ context, page } = await past.open());
			await page.goto(base);
			await page.getByRole('heading', { level: 1 }).first().waitFor();
			const tables = await everything(page);
			for (const lost of model.lost(tables)) faults.push(`after kill ${kills}, lost ${lost}`);
			for (const fault of faultsIn(tables)) faults.push(`after kill ${kills}, ${fault}`);
			// Two actions that end well, and one that is cut off somewhere.
			for (let i = 0; i < 2; i++) {
				const name = dice.of(Object.keys(ACTIONS));
				await ACTIONS[name](page, base, model, `t${seed}-${done++}`, dice).catch((e) =>
					faults.push(`${name}: ${String(e).split('\n')[0]}`)
				);
			}
			const cutOff = ACTIONS[dice.of(Object.keys(ACTIONS))](
				page,
				base,
				new Half(model),
				`t${seed}-${done++}`,
				dice
			).catch(() => {});
			await new Promise((go) => setTimeout(go, dice.below(1800)));
			await past.kill(context);
			await cutOff;
			kills++;
			if (kills % 4 === 0) behind = Math.max(behind, await stageKilled(past, base, dice, faults));
		}
		({ context, page } = await past.open());
		wrong = await restoreElsewhere(page, base, empty);
		if (wrong) faults.push(`restored elsewhere: ${wrong}`);
		await context.close();
	} finally {
		past.forget();
	}
	return {
		figures: {
			kills,
			'actions told to be stored': model.count,
			'stage behind at most, s': behind.toFixed(1),
			'restored elsewhere': wrong || 'the same, digest by digest'
		},
		faults
	};
}

/** Of an action that is cut off nothing is promised: its values are on their way and stay so. */
class Half {
	constructor(model) {
		this.pend = model.pend;
		this.ack = () => {};
		this.add = () => {};
	}
}

/** A stage runs, the browser is killed: how far behind is its log, in seconds? */
async function stageKilled(past, base, dice, faults) {
	const { context, page } = await past.open();
	await page.goto(`${base}/session?sequence=demo-three-minutes`);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	await page.keyboard.press('Space');
	const from = performance.now();
	await page.waitForTimeout(3000 + dice.below(5000));
	const ran = (performance.now() - from) / 1000;
	await past.kill(context);
	const again = await past.open();
	await again.page.goto(base);
	await again.page.getByRole('heading', { level: 1 }).first().waitFor();
	const { runs } = await everything(again.page);
	const newest = runs.toSorted((a, b) => a.atMs - b.atMs).at(-1);
	const log = runs.filter((r) => r.sessionId === newest.sessionId).sort((a, b) => a.n - b.n);
	const behind = ran - log.at(-1).seconds;
	if (behind > STAGE_BEHIND_SECONDS) faults.push(`the stage was ${behind.toFixed(1)} s behind after a kill`);
	await again.context.close();
	return behind;
}
