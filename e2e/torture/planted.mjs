// Faults planted on purpose, one at a time, in a copy of the project: each has to be found by the tests that guard its place. A check
// that cannot fail is none. `npm run planted [-- --only name,name]`.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { installPackages, root } from '../../scripts/setup.mjs';

/** The tests that find each fault. */
const FOUND_BY = {
	'archive-read-without-checksum': ['src/lib/formats/formats.test.ts'],
	'lock-is-put-and-not-added': ['src/lib/store/lock/lock.test.ts'],
	'lock-not-read-back': ['src/lib/store/lock/lock.test.ts'],
	'locking-waits-for-nothing': ['src/lib/state/lock.svelte.test.ts'],
	'move-not-gone-through-again': ['src/lib/store/lock/lock.test.ts'],
	'not-on-the-disk': ['src/lib/store/durable.test.ts'],
	'old-database-stays': ['src/lib/store/lock/lock.test.ts'],
	'one-nonce-for-every-row': ['src/lib/store/lock/vault.test.ts'],
	'points-dropped-while-a-save-runs': [
		'src/lib/state/windows.svelte.test.ts',
		'src/lib/state/sequenceDraft.svelte.test.ts'
	],
	'save-drops-a-field': ['src/lib/store/store.test.ts', 'src/lib/store/records.test.ts'],
	'seal-passes-over-the-hundredth': ['src/lib/store/lock/vault.test.ts'],
	'seal-without-the-owner': ['src/lib/store/lock/vault.test.ts'],
	'second-version-ignored': ['src/lib/state/windows.svelte.test.ts'],
	'text-copied-for-every-word': ['src/lib/core/notation/price.test.ts']
};
const { values } = parseArgs({ options: { only: { type: 'string' } } });
const patches = `${root}e2e/torture/planted/`;
const names = readdirSync(patches)
	.filter((file) => file.endsWith('.patch'))
	.map((file) => file.slice(0, -'.patch'.length));
const wanted = names.filter((name) => !values.only || values.only.split(',').includes(name));

installPackages(true);
const copy = mkdtempSync(join(tmpdir(), 'soft-tide-planted-'));
const git = (...args) => spawnSync('git', args, { cwd: copy, encoding: 'utf8' });
const must = ({ status, stderr }, what) => {
	if (status !== 0) throw new Error(`${what}: ${stderr}`);
};
let missed = 0;
try {
	must(spawnSync('git', ['clone', '-q', root, copy], { encoding: 'utf8' }), 'the project cannot be copied');
	symlinkSync(`${root}node_modules`, join(copy, 'node_modules'));
	must(spawnSync(join(copy, 'node_modules/.bin/svelte-kit'), ['sync'], { cwd: copy, encoding: 'utf8' }), 'sync');
	for (const name of wanted) {
		const tests = FOUND_BY[name];
		if (!tests) throw new Error(`nobody says what finds ${name}`);
		must(git('apply', `${patches}${name}.patch`), `${name} cannot be planted any more`);
		const { status, stdout, stderr } = spawnSync(
			join(copy, 'node_modules/.bin/vitest'),
			['run', '--bail', '1', ...tests],
			{
				cwd: copy,
				encoding: 'utf8',
				env: { ...process.env, NO_COLOR: '1' }
			}
		);
		// A test has to fail; that the tests cannot run at all finds nothing.
		const failed = / FAIL .*? > (.*)/.exec(stdout + stderr)?.[1];
		if (status === 0 || !failed) missed++;
		console.log(status === 0 || !failed ? `${name}: NOT FOUND` : `${name}: found by “${failed.trim()}”`);
		must(git('checkout', '-q', '.'), 'the copy cannot be put back');
	}
} finally {
	rmSync(copy, { recursive: true, force: true });
}
console.log(`${wanted.length - missed} of ${wanted.length} planted faults found`);
process.exit(missed ? 1 : 0);
