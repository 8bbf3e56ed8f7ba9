// The whole check: format, lint, types, unit tests, build, journeys. Ends with one line: N passed, N failed.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { bin, ensureChromium, installPackages, root, run, runBeside } from './setup.mjs';

installPackages();
const browser = ensureChromium();
const out = `${root}.soft-tide`;
mkdirSync(out, { recursive: true });
let passed = 0;
let failed = 0;
const count = (good, bad) => {
	passed += good;
	failed += bad;
};
const report = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

/** One command, one check. What it says is told at its end: others run beside it. */
async function check(name, command, args) {
	const { code, said } = await runBeside(command, args);
	console.log(`\n— ${name}\n${said}`);
	count(code === 0 ? 1 : 0, code === 0 ? 0 : 1);
	return code === 0;
}

function unit() {
	console.log('\n— unit tests');
	const file = `${out}/unit.json`;
	rmSync(file, { force: true });
	const code = run(bin('vitest'), ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${file}`]);
	const result = report(file);
	if (!result) return count(0, 1);
	count(result.numPassedTests, result.numFailedTests);
	// A file that cannot even be loaded has no failing test of its own.
	if (code !== 0 && result.numFailedTests === 0) count(0, 1);
}

function journeys(built) {
	console.log('\n— journeys');
	const file = `${out}/journeys.json`;
	rmSync(file, { force: true });
	const list = `${out}/journeys.list.json`;
	rmSync(list, { force: true });
	const total = () => {
		run(bin('playwright'), ['test', '--list', '--reporter=json'], {
			env: { PLAYWRIGHT_JSON_OUTPUT_NAME: list },
			quiet: true
		});
		const specs = (suite) => (suite.specs?.length ?? 0) + (suite.suites ?? []).reduce((n, s) => n + specs(s), 0);
		return Math.max(
			1,
			(report(list)?.suites ?? []).reduce((n, s) => n + specs(s), 0)
		);
	};
	if (!browser || !built) {
		console.error(browser ? 'There is no build to visit.' : 'There is no browser: the journeys count as failed.');
		return count(0, total());
	}
	const code = run(bin('playwright'), ['test', '--reporter=list,json'], {
		env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file }
	});
	const stats = report(file)?.stats;
	if (!stats || stats.expected + stats.unexpected + stats.flaky === 0) return count(0, total());
	count(stats.expected + stats.flaky, stats.unexpected + stats.skipped);
	if (code !== 0 && stats.unexpected === 0) count(0, 1);
}

run(bin('svelte-kit'), ['sync']);
// Each keeps one core busy: two at a time.
const lint = check('lint', bin('eslint'), ['.', '--max-warnings=0']);
const build = check('types', bin('svelte-check'), [
	'--tsconfig',
	'./tsconfig.json',
	'--fail-on-warnings',
	'--output',
	'human'
])
	.then(() => check('format', bin('prettier'), ['--check', '--log-level=warn', '.']))
	.then(() => check('build', bin('vite'), ['build', '--logLevel', 'warn']));
const [built] = await Promise.all([build, lint]);
unit();
journeys(built);
// The torture, short and the same each time: it would notice a part of it that does nothing any more.
if (browser && built) await check('torture', process.execPath, ['e2e/torture/run.mjs', '--short']);
else count(0, 1);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
