import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { CHROMIUM_ARGS, chromiumPath } from '../scripts/chromium.mjs';
import { round } from './measure';
import { withServer } from './with-server';

const SEED = 5;
/** Takes things down one after the other, and reports each time that all so far is shown as saved. */
const WORK = `(async () => {
	const pause = (ms) => new Promise((done) => setTimeout(done, ms));
	for (let clicks = 1; clicks <= 8; clicks++) {
		document.querySelector('button[aria-label^="Take down one"]')?.click();
		await pause(0);
		if (document.querySelector('.saved')?.textContent === 'Saved') window.reportSaved(clicks);
		await pause(clicks % 3);
		if (document.querySelector('.saved')?.textContent === 'Saved') window.reportSaved(clicks);
	}
	while (document.querySelector('.saved')?.textContent !== 'Saved') await pause(1);
	window.reportSaved(8);
})()`;
/** Reads what is stored, without the program: stock, notes of use, steps of history and the head's counters. */
const READ = `new Promise((settle, fail) => {
	const opening = indexedDB.open('keepnook');
	opening.onerror = () => fail(opening.error);
	opening.onsuccess = () => {
		const db = opening.result;
		const tx = db.transaction(['homes', 'records', 'history', 'changes']);
		const all = (name) => new Promise((done) => (tx.objectStore(name).getAll().onsuccess = (e) => done(e.target.result)));
		Promise.all(['homes', 'records', 'history', 'changes'].map(all)).then(([homes, records, history, changes]) => {
			db.close();
			const of = (name) => records.filter((row) => row.collection === name).map((row) => row.value);
			settle({
				stock: of('lots').reduce((sum, lot) => sum + lot.count, 0),
				used: of('useEvents').reduce((sum, event) => sum + event.count, 0),
				events: of('useEvents').length,
				revision: homes[0].revision,
				cursor: homes[0].cursor,
				lastSeq: Math.max(0, ...history.map((row) => row.seq)),
				lastChange: Math.max(0, ...changes.map((row) => row.revision))
			});
		});
	};
})`;
interface Stored {
	stock: number;
	used: number;
	events: number;
	revision: number;
	cursor: number;
	lastSeq: number;
	lastChange: number;
}

/** A home with enough to take down. */
function stockedHome(): string {
	const file = new URL('../src/lib/core/interchange/fixtures/v5.keepnook.json', import.meta.url);
	const text = JSON.parse(readFileSync(file, 'utf8')) as {
		home: { lots: Record<string, { count: number }> };
	};
	for (const lot of Object.values(text.home.lots)) lot.count = 100_000;
	return JSON.stringify(text);
}

/** Kills pages in the middle of their work, and looks each time whether anything is half written or lost. */
export async function benchKills(count: number): Promise<object> {
	const line = await withServer(async (base) => {
		const rng = xoroshiro128plus(SEED);
		const below = (limit: number) => (rng.next() >>> 0) % limit;
		const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
		const context = await browser.newContext({ serviceWorkers: 'block' });
		let page = await context.newPage();
		await page.goto(base);
		await page.getByLabel('Import a home file').setInputFiles({
			name: 'stock.keepnook.json',
			mimeType: 'application/json',
			buffer: Buffer.from(stockedHome())
		});
		await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
		await page.getByText('Saved', { exact: true }).first().waitFor();
		await page.close();
		// A page of the same site without the program.
		const reader = await context.newPage();
		await reader.goto(`${base}/schema/home.v1.json`);
		const read = () => reader.evaluate(READ) as Promise<Stored>;
		const start = await read();
		const bad: string[] = [];
		let [before, kills, written] = [start, 0, 0];
		const from = performance.now();
		while (kills < count) {
			page = await context.newPage();
			let saved = 0;
			await page.exposeFunction(
				'reportSaved',
				(clicks: number) => (saved = Math.max(saved, clicks))
			);
			await page.goto(`${base}/home/tiny/turn`);
			await page
				.locator('button[aria-label^="Take down one"]')
				.first()
				.waitFor({ timeout: 20_000 });
			const working = page.evaluate(WORK).catch(() => undefined);
			await new Promise((done) => setTimeout(done, below(160)));
			const shown = saved;
			if (below(2)) await page.close({ runBeforeUnload: false });
			else {
				const cdp = await context.newCDPSession(page);
				await Promise.race([
					cdp.send('Page.crash').catch(() => undefined),
					new Promise((done) => setTimeout(done, 200))
				]);
				await page.close().catch(() => undefined);
			}
			await Promise.race([working, new Promise((done) => setTimeout(done, 100))]);
			kills++;
			const now = await read();
			const events = now.events - before.events;
			written += events;
			if (events < shown) bad.push(`${kills}: ${shown} were shown as saved, ${events} are there`);
			if (Math.abs(now.stock + now.used - start.stock - start.used) > 1e-6)
				bad.push(`${kills}: stock and notes of use do not agree`);
			if (
				now.revision - before.revision !== events ||
				(now.revision > 1 && now.lastChange !== now.revision) ||
				now.lastSeq < now.cursor
			)
				bad.push(`${kills}: half written: ${JSON.stringify(now)}`);
			before = now;
		}
		page = await context.newPage();
		await page.goto(`${base}/home/tiny`);
		await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
		const mended = await page.getByText('It was repaired').count();
		await browser.close();
		return {
			bench: 'kills',
			seed: SEED,
			kills,
			written,
			mended,
			msEach: round((performance.now() - from) / kills),
			bad
		};
	});
	return line ?? { bench: 'kills', skipped: 'no build: run npm run build first' };
}
