import { defineConfig } from '@playwright/test';
import { launchOptions, serverEnv } from './scripts/setup.mjs';

const port = Number(process.env.SOFT_TIDE_TEST_PORT ?? 4317);
const demoPort = port + 1;

/** Journeys run against the built server: one without, one with the demo practice. */
export default defineConfig({
	testDir: 'e2e',
	// What is right on a quick machine is right on one that is five times slower: time is measured in `bench/`, not here.
	timeout: 300_000,
	expect: { timeout: 30_000 },
	workers: 2,
	fullyParallel: true,
	forbidOnly: true,
	outputDir: 'test-results',
	use: {
		// One thing that is not there shall not cost five minutes.
		actionTimeout: 90_000,
		baseURL: `http://127.0.0.1:${port}`,
		viewport: { width: 1280, height: 800 },
		// It would fetch the whole application beside each journey; those about it allow it.
		serviceWorkers: 'block',
		locale: 'en-GB',
		timezoneId: 'Europe/Berlin',
		colorScheme: 'light',
		// Recording costs every journey a fifth of its time: only where one is looked for.
		trace: process.env.SOFT_TIDE_TRACE ? 'retain-on-failure' : 'off',
		launchOptions: launchOptions()
	},
	metadata: { demoURL: `http://127.0.0.1:${demoPort}` },
	webServer: [
		{ command: 'node scripts/server.mjs', port, env: serverEnv(port, false), reuseExistingServer: false },
		{
			command: 'node scripts/server.mjs',
			port: demoPort,
			env: serverEnv(demoPort, true),
			reuseExistingServer: false
		}
	]
});
