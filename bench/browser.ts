import { readFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { writeHomeFile } from '../src/lib/core/interchange';
import { CHROMIUM_ARGS, chromiumPath } from '../scripts/chromium.mjs';
import { round } from './measure';
import { withServer } from './with-server';

/**
 * Does something on the page and times until the screen shows it and until it is stored. As text: the bundler's helper
 * names do not exist in the page. `act` gives null where there is nothing to do it to.
 */
export const timed = (act: string) => `(async () => {
	const from = performance.now();
	if ((${act})() === null) throw new Error('nothing to do it to');
	await new Promise(requestAnimationFrame);
	await new Promise((done) => setTimeout(done));
	const shown = performance.now() - from;
	while (document.querySelector('.saved').textContent !== 'Saved') await new Promise((done) => setTimeout(done, 2));
	return { shown, stored: performance.now() - from };
})()`;

/** Goes to a stage by its link and times until its heading stands and the frame is painted. */
export const goTo = (href: string, heading: string) => `(async () => {
	const link = document.querySelector('a[href$="${href}"]');
	const from = performance.now();
	link.click();
	const done = () => location.pathname.endsWith('${href}') && document.querySelector('main h1')?.textContent.trim() === '${heading}';
	while (!done()) await new Promise((next) => setTimeout(next, 1));
	await new Promise(requestAnimationFrame);
	await new Promise((next) => setTimeout(next));
	return performance.now() - from;
})()`;

/** Edits timed on each screen. */
const EDITS = 9;
const STAGE_PATHS = ['Walk', 'Clear', 'Sort', 'Place', 'Fit', 'Mark', 'Turn', 'Keep'].map(
	(name) => [name, `/${name.toLowerCase()}`] as const
);
const middle = (list: readonly number[]) =>
	round([...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!);

/** One screen of the large home: how to get ready on it, and the edit that a person makes there. */
interface Station {
	readonly stage: string;
	readonly edit: string;
	readonly ready: (page: Page) => Promise<void>;
	readonly act: string;
}
const button = (words: string) =>
	`[...document.querySelectorAll('main button, main [role=button]')].find((b) => /^${words}/.test(b.getAttribute('aria-label') ?? b.textContent.trim()))`;
const clicked = (words: string) =>
	`() => { const b = ${button(words)}; if (!b) return null; b.click(); return 1; }`;
export const STATIONS: readonly Station[] = [
	{
		stage: 'Turn',
		edit: 'one taken down',
		ready: (page) =>
			page
				.getByRole('button', { name: /^Take down one/ })
				.first()
				.waitFor(),
		act: clicked('Take down one')
	},
	{
		stage: 'Turn',
		edit: 'a letter typed into the search of the stock',
		ready: async (page) => {
			await page.getByRole('link', { name: 'Stock', exact: true }).click();
			await page.getByLabel('Search the stock').waitFor();
		},
		act: `() => {
			const field = document.querySelector('main input[type=search]');
			const letters = 'tomatoes in';
			field.value = letters.slice(0, (field.value.length + 1) % letters.length);
			field.dispatchEvent(new Event('input', { bubbles: true }));
			return 1;
		}`
	},
	{
		stage: 'Clear',
		edit: 'one kept',
		ready: (page) => page.getByRole('button', { name: 'Keep', exact: true }).first().waitFor(),
		act: clicked('K ?Keep$')
	},
	{
		stage: 'Sort',
		edit: 'how often a thing is used, on the board',
		ready: async (page) => {
			await page.getByRole('link', { name: 'Board' }).click();
			await page
				.getByRole('button', { name: /^About / })
				.first()
				.click();
			await page.getByLabel('How often').waitFor();
		},
		act: `() => {
			const field = document.querySelector('aside select');
			field.value = field.value === 'daily' ? 'weekly' : 'daily';
			field.dispatchEvent(new Event('change', { bubbles: true }));
			return 1;
		}`
	},
	{
		stage: 'Place',
		edit: 'a tag pinned',
		ready: async (page) => {
			await page.getByRole('button', { name: 'Solve', exact: true }).click();
			await page.locator('[data-note]').first().waitFor({ timeout: 60_000 });
			await page.locator('[data-note]').first().press('Enter');
			await page.keyboard.press('Escape');
		},
		act: clicked('(Pin here|Unpin)')
	},
	{
		stage: 'Walk',
		edit: 'a place renamed',
		ready: async (page) => {
			await page.locator('[data-nook]').first().press('Enter');
			await page.getByLabel('Name of this place').waitFor();
		},
		act: `() => {
			const field = document.querySelector('[aria-label="Name of this place"]');
			field.value = field.value + 'a';
			field.dispatchEvent(new Event('change', { bubbles: true }));
			return 1;
		}`
	}
];

const MANY_EDITS = 500;
/** How the memory of the page grows over many edits, after everything that is not held was collected. */
async function memoryOver(page: Page, station: Station): Promise<object> {
	const devtools = await page.context().newCDPSession(page);
	const heldMb = async () => {
		await devtools.send('HeapProfiler.collectGarbage');
		return (await devtools.send('Runtime.getHeapUsage')).usedSize / 1e6;
	};
	await page
		.getByRole('navigation', { name: 'Stages' })
		.getByRole('link', { name: station.stage })
		.click();
	await station.ready(page);
	const before = await heldMb();
	for (let i = 0; i < MANY_EDITS; i++) await page.evaluate(timed(station.act));
	const after = await heldMb();
	return {
		bench: `memory over ${MANY_EDITS} edits, ${station.stage} on screen`,
		beforeMb: round(before),
		afterMb: round(after)
	};
}

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
		await page.getByText('Saved', { exact: true }).first().waitFor({ timeout: 60_000 });
		lines.push({
			bench: 'the same, until it is stored',
			ms: round(performance.now() - imported)
		});
		for (const [heading, path] of STAGE_PATHS) {
			// At a person's pace: what a screen does after it shows is done.
			await page.waitForTimeout(800);
			lines.push({
				bench: `open ${heading}`,
				ms: round((await page.evaluate(goTo(path, heading))) as number)
			});
		}
		for (const station of STATIONS) {
			await page
				.getByRole('navigation', { name: 'Stages' })
				.getByRole('link', { name: station.stage })
				.click();
			await station.ready(page);
			const times = { shown: [] as number[], stored: [] as number[] };
			for (let i = 0; i < EDITS; i++) {
				const time = (await page.evaluate(timed(station.act))) as { shown: number; stored: number };
				times.shown.push(time.shown);
				times.stored.push(time.stored);
			}
			lines.push({
				bench: `${station.stage} on screen: ${station.edit}`,
				shownMs: middle(times.shown),
				worstMs: round(Math.max(...times.shown)),
				storedMs: middle(times.stored)
			});
		}
		lines.push(await memoryOver(page, STATIONS[0]!));
		return lines;
	} finally {
		await browser.close();
	}
}
