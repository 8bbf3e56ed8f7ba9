// Builds and serves the application; used by `npm run demo` and `npm start`.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { relative } from 'node:path';
import { bin, builtAlready, freePort, installPackages, logFile, root, runQuietly, serverEnv } from './setup.mjs';

export async function serve({ demo }) {
	rmSync(logFile, { force: true });
	console.log(`Soft Tide${demo ? ' with the demo practice' : ''}`);
	console.log(`Getting ready; what is built is told in ${relative(process.cwd(), logFile)}`);
	installPackages(true);
	if (!builtAlready() && runQuietly(bin('vite'), ['build', '--logLevel', 'warn']) !== 0) process.exit(1);
	const port = Number(process.env.PORT) || (await freePort());
	const server = spawn(process.execPath, [`${root}scripts/server.mjs`], {
		cwd: root,
		stdio: ['ignore', 'ignore', 'inherit'],
		env: { ...process.env, ...serverEnv(port, demo) }
	});
	for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
	server.on('exit', (code) => process.exit(code ?? 0));
	for (let i = 0; i < 100; i++) {
		const up = await fetch(`http://127.0.0.1:${port}/healthz`).then(
			(r) => r.ok,
			() => false
		);
		if (up) break;
		await new Promise((resolve) => setTimeout(resolve, 100));
	}
	console.log(`Open http://127.0.0.1:${port}`);
	console.log('Ctrl+C ends it');
}
