// Set-up that the other commands share. It needs nothing but Node, and does nothing the second time.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
	closeSync,
	existsSync,
	mkdirSync,
	openSync,
	readdirSync,
	readFileSync,
	statSync,
	writeFileSync
} from 'node:fs';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const state = `${root}.soft-tide`;

/** Runs a command in the project and returns its exit code; output goes to the terminal. */
export function run(command, args, options = {}) {
	const env = { ...process.env, ...options.env };
	const result = spawnSync(command, args, { cwd: root, stdio: options.quiet ? 'ignore' : 'inherit', env });
	return result.status ?? 1;
}

/** Runs a command in the project while others run: how it ended, and all that it said. */
export function runBeside(command, args) {
	const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
	let said = '';
	for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', (part) => (said += part));
	return new Promise((resolve) => {
		child.on('error', (error) => resolve({ code: 1, said: `${error.message}\n` }));
		child.on('close', (code) => resolve({ code: code ?? 1, said }));
	});
}

/** Where what other commands say is kept. */
export const logFile = `${state}/serve.log`;

/** Runs a command in the project; what it says goes to the log, of which the end is shown where it fails. */
export function runQuietly(command, args) {
	mkdirSync(state, { recursive: true });
	const log = openSync(logFile, 'a');
	const { status } = spawnSync(command, args, { cwd: root, stdio: ['ignore', log, log], env: process.env });
	closeSync(log);
	if (status !== 0) console.error(readFileSync(logFile, 'utf8').split('\n').slice(-20).join('\n'));
	return status ?? 1;
}

export const bin = (name) => `${root}node_modules/.bin/${name}`;

/** Installs the packages of the lock file, if they are not there or the lock file has changed. */
export function installPackages(quiet = false) {
	mkdirSync(state, { recursive: true });
	const lock = createHash('sha256')
		.update(readFileSync(`${root}package-lock.json`))
		.digest('hex');
	const stamp = `${state}/packages`;
	const known = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
	if (known === lock && existsSync(`${root}node_modules/vite`)) return;
	if (!quiet) console.log('Installing packages by the lock file …');
	const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
	if ((quiet ? runQuietly('npm', args) : run('npm', args)) !== 0) {
		console.error('The packages could not be installed. Check the connection to the npm registry and run again.');
		process.exit(1);
	}
	writeFileSync(stamp, lock);
}

/** The browser for the journeys: CHROMIUM_PATH, or Debian's. */
export const chromiumPath = () => process.env.CHROMIUM_PATH || '/usr/bin/chromium';

/** Installs Debian's Chromium where it is absent and we may; says so clearly where we may not. Returns whether it is there. */
export function ensureChromium() {
	if (existsSync(chromiumPath())) return true;
	const isRoot = process.getuid?.() === 0;
	const sudo = !isRoot && run('sudo', ['-n', 'true'], { quiet: true }) === 0;
	if (existsSync('/usr/bin/apt-get') && (isRoot || sudo)) {
		console.log('Installing Chromium from Debian …');
		const apt = (...args) =>
			sudo
				? run('sudo', ['-n', 'apt-get', ...args])
				: run('apt-get', args, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
		apt('update', '-qq');
		apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
	}
	if (existsSync(chromiumPath())) return true;
	console.error(
		'Chromium is not installed, and this user may not install it. Run `apt-get install chromium` as root, or set CHROMIUM_PATH to a Chromium.'
	);
	return false;
}

/** Whether the build is younger than everything it is made from. */
export function builtAlready() {
	const made = `${root}build/index.js`;
	if (!existsSync(made)) return false;
	const since = statSync(made).mtimeMs;
	const younger = (path) => {
		const stat = statSync(path);
		if (stat.isDirectory()) return readdirSync(path).some((name) => younger(`${path}/${name}`));
		return stat.mtimeMs > since;
	};
	return !['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'].some((p) =>
		younger(`${root}${p}`)
	);
}

/** A port that is free now. */
export function freePort() {
	return new Promise((resolve, reject) => {
		const server = createServer();
		server.on('error', reject);
		server.listen(0, '127.0.0.1', () => {
			const { port } = server.address();
			server.close(() => resolve(port));
		});
	});
}

/** What the built server needs to know: its own origin, and how large a body may be. */
export const serverEnv = (port, demo) => ({
	HOST: '127.0.0.1',
	PORT: String(port),
	ORIGIN: `http://127.0.0.1:${port}`,
	BODY_SIZE_LIMIT: String(4 * 1024 * 1024),
	...(demo ? { PUBLIC_SOFT_TIDE_DEMO: '1' } : {})
});

/** Builds the application and serves the demo practice for a script that drives a browser. Ends the process where it cannot. */
export const serveDemo = () => serve(true);

/** The same with the demo practice, or without. */
export async function serve(demo) {
	installPackages();
	if (!ensureChromium()) process.exit(1);
	if (!builtAlready() && run(bin('vite'), ['build', '--logLevel', 'error']) !== 0) process.exit(1);
	const port = await freePort();
	const server = spawn(process.execPath, [`${root}scripts/server.mjs`], {
		cwd: root,
		stdio: 'ignore',
		env: { ...process.env, ...serverEnv(port, demo) }
	});
	const base = `http://127.0.0.1:${port}`;
	for (let i = 0; i < 50 && !(await fetch(`${base}/healthz`).catch(() => null))?.ok; i++)
		await new Promise((resolve) => setTimeout(resolve, 100));
	return { base, stop: () => server.kill() };
}

/** How the scripts start Debian's Chromium. */
export const launchOptions = () => ({
	executablePath: chromiumPath(),
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--disable-background-networking',
		// For every new window the browser loads a page of its own for its address bar, 300 files, beside the one that is looked at.
		'--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup'
	]
});
