// npm run screenshots: takes one picture of each main view from the demo, 1280 × 800, into docs/screenshots.
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGS, chromiumPath } from './chromium.mjs';
import { ensureBrowser, ensureBuild, ensurePackages } from './lib.mjs';

ensurePackages();
ensureBrowser();
ensureBuild();
const port = 4339;
const base = `http://localhost:${port}`;
const server = spawn('node', ['build'], {
	env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', ORIGIN: base }
});
await new Promise((ready) => server.stdout.once('data', ready));
const browser = await chromium.launch({
	executablePath: chromiumPath(),
	args: CHROMIUM_ARGS
});
try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, timezoneId: 'UTC' });
	// Nothing is caught in the midst of a change.
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await page.clock.setFixedTime(new Date('2026-03-02T09:00:00Z'));
	mkdirSync('docs/screenshots', { recursive: true });
	const shot = async (name) => {
		await page.evaluate(() => document.fonts.ready);
		await page.mouse.move(0, 0);
		await page.screenshot({ path: `docs/screenshots/${name}.png` });
		console.log(`docs/screenshots/${name}.png`);
	};
	const stage = async (name) => {
		await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name }).click();
		await page.getByRole('heading', { name, level: 1 }).waitFor();
	};
	await page.goto(`${base}/demo`);
	await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
	await page.goto(base);
	await page.getByRole('link', { name: /The halt/ }).waitFor();
	await shot('homes');
	await page.goto(`${base}/home/demo`);
	await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
	await shot('job-sheet');
	await stage('Walk');
	await page.getByLabel('Reach of').selectOption({ label: 'Oda' });
	await page.getByRole('button', { name: /^Under the sink, in/ }).click();
	await page.evaluate(() => window.scrollTo(0, 0));
	await shot('walk');
	const part = async (name) => {
		await page
			.getByRole('navigation', { name: /^Parts of/ })
			.getByRole('link', { name })
			.click();
		await page.locator('nav [aria-current="page"]', { hasText: name }).waitFor();
	};
	await part(/^Plan/);
	await page.getByRole('button', { name: 'Dining table', exact: true }).focus();
	await page.keyboard.press('Enter');
	await shot('walk-plan');
	await part(/^Hidden storage/);
	await page
		.getByRole('button', { name: /A slide-out beside the pipes/ })
		.first()
		.click();
	await page.evaluate(() => window.scrollTo(0, 0));
	await shot('walk-hidden');
	await stage('Clear');
	await page.getByRole('combobox', { name: 'Place' }).selectOption('larder-2');
	await page.getByLabel('Entry line: one thing').fill('3 tins chopped tomatoes 400g bb 03/27 dent');
	await shot('clear');
	await part(/^Day/);
	for (const at of [0, 1, 2]) await page.getByRole('checkbox').nth(at).check();
	await shot('clear-day');
	await stage('Sort');
	await page.getByRole('button', { name: /^Cutlery:/ }).click();
	// The chart is loaded when it is seen, and drawn bar by bar: until then its picture would be empty.
	await page.waitForFunction(() => {
		const canvas = document.querySelector('main canvas');
		const { width = 0, height = 0 } = canvas ?? {};
		const pixels = width && canvas.getContext('2d').getImageData(0, 0, width, height).data;
		return (
			pixels && pixels.filter((value, i) => i % 4 === 3 && value > 0).length > (width * height) / 20
		);
	});
	await shot('sort');
	await part(/^Board/);
	await page.getByLabel('Find things').fill('box');
	await page.getByRole('button', { name: /^Choose all/ }).click();
	await shot('sort-board');
	await stage('Place');
	await page.getByRole('button', { name: 'Solve' }).click();
	await page.getByRole('heading', { name: 'The whole week' }).waitFor();
	await page.getByRole('button', { name: /^Tag Hot drinks/ }).click();
	await page.keyboard.press('Escape');
	await page.evaluate(() => window.scrollTo(0, 0));
	await shot('place');
	await part(/^Moves/);
	await page.getByRole('button', { name: 'Done, next' }).waitFor();
	await shot('place-moves');
	// With a plan there are two walks to compare.
	await stage('Sort');
	await part(/^Routines/);
	await page.getByRole('button', { name: 'Weekday supper' }).click();
	await page.getByLabel('in the plan').check();
	await shot('sort-routines');
	await stage('Fit');
	await page.getByRole('button', { name: /open places/ }).click();
	await page.getByText(/places fitted/).waitFor({ timeout: 60_000 });
	await page.getByRole('combobox', { name: 'Place' }).selectOption('larder-4');
	await page.getByRole('button', { name: 'Fit this place again' }).click();
	await page.getByRole('group', { name: 'Arrangements' }).waitFor();
	await shot('fit');
	for (const name of ['Mark', 'Turn', 'Keep']) {
		await stage(name);
		// What runs out and what is open comes a moment after the lists.
		if (name === 'Turn') await page.getByRole('heading', { name: /^Open packs/ }).waitFor();
		await shot(name.toLowerCase());
	}
	await stage('Turn');
	await part(/^Meals/);
	await page.getByRole('button', { name: 'Plan the week' }).click();
	await page.getByText(/No other week/).waitFor({ timeout: 60_000 });
	await shot('turn-meals');
	await stage('Keep');
	await part(/^A week/);
	await page
		.getByLabel('Routine', { exact: true })
		.selectOption({ label: 'Weekday supper, 5 a week' });
	for (let i = 0; i < 6; i++) await page.getByRole('button', { name: 'Step on' }).click();
	await shot('keep-week');
	await part(/^Practice/);
	await page.getByRole('button', { name: 'Start' }).click();
	await page.getByRole('heading', { name: /^(Where do I find|What lives in)/ }).waitFor();
	await shot('keep-practice');
} finally {
	await browser.close();
	server.kill();
}
