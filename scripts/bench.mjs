// Measures the core and the flow model against their budgets; the figures go into docs/performance.md.
import { bin, installPackages, root, run } from './setup.mjs';

installPackages();
for (const name of process.argv[2] ? [process.argv[2]] : ['core', 'flow']) {
	process.env.SOFT_TIDE_BENCH = name;
	const code =
		run(bin('vite'), ['build', '--config', 'bench/vite.config.ts', '--logLevel', 'error']) ||
		run(process.execPath, [`${root}.soft-tide/${name}.bench.mjs`]);
	if (code) process.exit(code);
}
