import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { writeHomeFile } from '../src/lib/core/interchange';
import { CHROMIUM_ARGS, chromiumPath } from '../scripts/chromium.mjs';
import { round } from './measure';
import { withServer } from './with-server';

/** Takes one down and times until the screen shows it and until it is stored. */
const CLICK_AND_TIME = `(async () => {
	const button = document.querySelector('button[aria-label^="Take down one"]');
	const from = performance.now();
	button.click();
	await new Promise(requestAnimationFrame);
	await new Promise((done) => setTimeout(done));
	const shown = performance.now() - from;
	while (document.querySelector('.saved').textContent !== 'Saved') await new Promise((done) => setTimeout(done, 2));
	return { shown, stored: performance.now() - from };
})()`;

/** Measures the built program in the browser: the scripts of the first screen, and a large home. */
export async function benchBrowser(): Promise<object[]> {
	const lines = await withServer(measure);
	return lines ?? [{ bench: 'browser', skipped: 'no build: run npm run build first' }];
}

async function measure(base: string): Promise<object[]> {
	const browser = await chromium.launch({
		executablePath: chromiumPath(),
		args: CHROMIUM_ARGS
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		const scripts: string[] = [];
		page.on('response', (response) => {
			const { pathname } = new URL(response.url());
			if (pathname.endsWith('.js') && response.request().frame().url().endsWith('/'))
				scripts.push(pathname);
		});
		await page.addInitScript(() =>
			Object.defineProperty(navigator, 'serviceWorker', { value: undefined })
		);
		const from = performance.now();
		await page.goto(base);
		await page.getByRole('heading', { name: 'Homes' }).waitFor();
		await page.getByText('None yet.').waitFor();
		const usable = performance.now() - from;
		const gzip = scripts.reduce(
			(sum, path) => sum + readFileSync(`build/client${path}.gz`).length,
			0
		);
		const lines: object[] = [
			{
				bench: 'first screen',
				scripts: scripts.length,
				gzipKb: round(gzip / 1000),
				usableMs: round(usable)
			}
		];

		const large = generateHome({
			seed: 1,
			rooms: 8,
			cabinets: 60,
			groups: 120,
			things: 5000,
			lots: 10_000
		});
		await page.getByLabel('Import a home file').setInputFiles({
			name: 'large.keepnook.json',
			mimeType: 'application/json',
			buffer: Buffer.from(writeHomeFile(large))
		});
		const imported = performance.now();
		await page.getByRole('heading', { name: 'Job sheet' }).waitFor({ timeout: 60_000 });
		lines.push({
			bench: 'import a home of 5,000 things and 10,000 lots, in the browser',
			ms: round(performance.now() - imported)
		});
		await page
			.getByRole('navigation', { name: 'Stages' })
			.getByRole('link', { name: 'Turn' })
			.click();
		await page
			.getByRole('button', { name: /^Take down one/ })
			.first()
			.waitFor();
		const times = { shown: [] as number[], stored: [] as number[] };
		for (let i = 0; i < 7; i++) {
			// As text: the bundler's helper names do not exist in the page.
			const time = (await page.evaluate(CLICK_AND_TIME)) as { shown: number; stored: number };
			times.shown.push(time.shown);
			times.stored.push(time.stored);
		}
		const middle = (list: number[]) =>
			round([...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!);
		lines.push({
			bench: 'an edit in that home, Turn on screen',
			shownMs: middle(times.shown),
			storedMs: middle(times.stored)
		});
		return lines;
	} finally {
		await browser.close();
	}
}
