import { defineConfig, devices } from '@playwright/test';
import { CHROMIUM_ARGS, chromiumPath } from './scripts/chromium.mjs';

const port = 4319;
export default defineConfig({
	testDir: 'e2e',
	outputDir: 'test-results/browser',
	fullyParallel: true,
	workers: 2,
	retries: 0,
	// For what hangs, not for what is slow: a busy machine may be several times slower than a quiet one.
	timeout: 120_000,
	expect: { timeout: 15_000 },
	reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
	use: {
		actionTimeout: 30_000,
		...devices['Desktop Chrome'],
		baseURL: `http://localhost:${port}`,
		viewport: { width: 1280, height: 800 },
		timezoneId: 'UTC',
		// Each journey begins with an empty browser, and would fetch the whole program for later; those about that allow it.
		serviceWorkers: 'block',
		launchOptions: {
			executablePath: chromiumPath(),
			args: CHROMIUM_ARGS
		}
	},
	webServer: {
		command: 'node build',
		port,
		reuseExistingServer: false,
		env: {
			PORT: String(port),
			HOST: '127.0.0.1',
			ORIGIN: `http://localhost:${port}`,
			BODY_SIZE_LIMIT: '21M'
		}
	}
});
