// Measures the core against its budgets; the figures go into docs/performance.md.
import { bin, installPackages, root, run } from './setup.mjs';

installPackages();
const out = `${root}.soft-tide/bench.mjs`;
const bundled = run(bin('vite'), ['build', '--config', 'bench/vite.config.ts', '--logLevel', 'error']);
process.exit(bundled || run(process.execPath, [out]));
