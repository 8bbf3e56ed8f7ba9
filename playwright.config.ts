import { defineConfig } from '@playwright/test';

const port = Number(process.env.SOFT_TIDE_TEST_PORT ?? 4317);
const demoPort = port + 1;
const serverEnv = (p: number) => ({
	HOST: '127.0.0.1',
	PORT: String(p),
	ORIGIN: `http://127.0.0.1:${p}`,
	BODY_SIZE_LIMIT: String(4 * 1024 * 1024)
});

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
		locale: 'en-GB',
		timezoneId: 'Europe/Berlin',
		colorScheme: 'light',
		// Recording costs every journey a fifth of its time: only where one is looked for.
		trace: process.env.SOFT_TIDE_TRACE ? 'retain-on-failure' : 'off',
		launchOptions: {
			executablePath: process.env.CHROMIUM_PATH || '/usr/bin/chromium',
			args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking']
		}
	},
	metadata: { demoURL: `http://127.0.0.1:${demoPort}` },
	webServer: [
		{ command: 'node scripts/server.mjs', port, env: serverEnv(port), reuseExistingServer: false },
		{
			command: 'node scripts/server.mjs',
			port: demoPort,
			env: { ...serverEnv(demoPort), PUBLIC_SOFT_TIDE_DEMO: '1' },
			reuseExistingServer: false
		}
	]
});
