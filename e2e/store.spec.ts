import { readFile, writeFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, newHome, openDemo, saved } from './helpers';
import { fuzzFiles } from './broken-files';

const STAGES = ['Walk', 'Clear', 'Sort', 'Place', 'Fit', 'Mark', 'Turn', 'Keep'];
const importFile = (page: Page, path: string) =>
	page.getByLabel('Import a home file').setInputFiles(path);
async function exported(page: Page): Promise<Record<string, never>> {
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Export the home' }).first().click()
	]);
	return JSON.parse(await readFile(await file.path(), 'utf8')).home;
}
/** Notes of use made on the pages, beside the log that the demo comes with. */
const notesOf = ({ useEvents }: { useEvents: object }) =>
	Object.keys(useEvents).filter((id) => !id.startsWith('log-'));
/** Fills the disk, as far as the page can tell: whatever is put is refused. */
const fillDisk = (page: Page, full: boolean) =>
	page.evaluate((isFull) => {
		const store = IDBObjectStore.prototype as unknown as Record<string, unknown>;
		store.realPut ??= store.put;
		store.put = isFull
			? () => {
					throw new DOMException('No space left.', 'QuotaExceededError');
				}
			: store.realPut;
	}, full);

/** There is space again: it may have saved by itself by now, then the button is gone. */
async function saveAgain(page: Page): Promise<void> {
	await page.evaluate(() => {
		for (const button of document.querySelectorAll('button'))
			if (button.innerText.includes('Save again now')) button.click();
	});
	await saved(page);
}

test('what is typed just before the next page is opened is kept, every time', async ({ page }) => {
	await openDemo(page);
	for (let i = 0; i < 12; i++) {
		await goTo(page, 'Walk');
		await page.getByRole('button', { name: /^Under the sink, in/ }).click();
		const depth = page.getByLabel('Inside depth').first();
		await depth.fill(String(480 + i));
		// Straight on: the change and the click come together.
		await page
			.getByRole('navigation', { name: 'Stages' })
			.getByRole('link', { name: 'Turn' })
			.click();
		await expect(page.getByRole('heading', { name: 'Turn', level: 1 })).toBeVisible();
		await saved(page);
		await expect(page.getByText('not saved')).toHaveCount(0);
	}
	await page.goto('/home/demo');
	const home = (await exported(page)) as unknown as {
		nooks: Record<string, { inside: { depthMm: number } }>;
	};
	expect(Object.values(home.nooks).some(({ inside }) => inside.depthMm === 491)).toBe(true);
});

test('with a full disk it says so everywhere, loses nothing, and goes on when there is space', async ({
	page
}) => {
	await openDemo(page, 'Turn');
	await fillDisk(page, true);
	await page.getByRole('button', { name: 'Take down one sliced bread loaf' }).click();
	const banner = page.getByRole('main').getByRole('alert');
	await expect(banner).toContainText('The last change is not saved yet.');
	await expect(banner).toContainText('no space left');
	// On another page it is the same, and the export has the change.
	await page.getByRole('link', { name: 'The halt at Quillmere' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Not saved' })).toBeVisible();
	const home = (await exported(page)) as unknown as { useEvents: object };
	expect(notesOf(home)).toHaveLength(1);
	await expect(page.getByRole('button', { name: 'Save again now' })).toBeVisible();
	await fillDisk(page, false);
	await saveAgain(page);
	await page.reload();
	await expect(
		page.getByRole('button', { name: 'Undo: 1 sliced bread loaf taken down' })
	).toBeVisible();
});

test('what was not saved when the page was left is there on the next one, to be undone too', async ({
	page
}) => {
	// Leaving with something unsaved is asked about; here it is done all the same.
	page.on('dialog', (dialog) => void dialog.accept());
	await openDemo(page, 'Turn');
	await saved(page);
	await fillDisk(page, true);
	const take = page.getByRole('button', { name: 'Take down one sliced bread loaf' });
	await take.click();
	await expect(page.getByRole('status').filter({ hasText: 'Not saved' })).toBeVisible();
	// On the next page the disk takes it.
	await page.reload();
	await page.getByRole('button', { name: 'Undo: 1 sliced bread loaf taken down' }).click();
	await saved(page);
	await expect(take).toBeVisible();
	await page.goto('/home/demo');
	const home = (await exported(page)) as unknown as { useEvents: object };
	expect(notesOf(home)).toHaveLength(0);
	expect(await page.evaluate(() => Object.keys(localStorage).join())).not.toContain('-left');
});

test('no space for a new home or a file is said in words', async ({ page }, info) => {
	await openDemo(page);
	const home = await exported(page);
	const path = info.outputPath('a.keepnook.json');
	await writeFile(
		path,
		JSON.stringify({ format: 'keepnook-home', version: 6, home: { ...home, id: 'copy' } })
	);
	await page.goto('/');
	await fillDisk(page, true);
	await page.getByLabel('What do you call it?').fill('Our flat');
	await page.getByRole('button', { name: 'Make this home' }).click();
	await expect(page.getByRole('alert')).toContainText('The browser has no space left');
	// What comes from a file is shown meanwhile, and says that it is not stored.
	await importFile(page, path);
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible();
	const banner = page.getByRole('main').getByRole('alert');
	await expect(banner).toContainText('no space left');
	await expect(page.getByRole('status').filter({ hasText: 'Not saved' })).toBeVisible();
	await fillDisk(page, false);
	await saveAgain(page);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible();
});

test('a home that another tab deletes, or that is cleared from the browser, is brought back from the screen', async ({
	page,
	context
}) => {
	await newHome(page, 'Our flat');
	const other = await context.newPage();
	await other.goto('/');
	await other.getByRole('button', { name: 'Delete Our flat' }).click();
	await expect(page.getByRole('alert').first()).toContainText('deleted in another tab');
	await page.getByLabel('Name of this home').fill('Our house');
	await page.getByLabel('Name of this home').press('Enter');
	await page.getByRole('button', { name: 'Bring it back' }).click();
	await saved(page);
	await other.reload();
	await expect(other.getByRole('link', { name: /Our house/ })).toBeVisible();
	// All of the site's data goes, as when it is cleared by hand.
	await other.evaluate(
		() =>
			new Promise((done) => {
				const asked = indexedDB.deleteDatabase('keepnook');
				asked.onsuccess = done;
				asked.onblocked = () => undefined;
			})
	);
	await page.getByLabel('Name of this home').fill('Our place');
	await page.getByLabel('Name of this home').press('Enter');
	await expect(page.getByRole('alert').first()).toContainText('storage was cleared');
	await page.getByRole('button', { name: 'Store it again' }).click();
	await saved(page);
	await other.reload();
	await expect(other.getByRole('link', { name: /Our place/ })).toBeVisible();
});

test('two pages with 500 changes each come to the same home, with 1,000 notes of use', async ({
	page,
	context
}, info) => {
	test.setTimeout(300_000);
	await openDemo(page);
	const home = (await exported(page)) as unknown as {
		lots: Record<string, { id: string; count: number }>;
	};
	const [lot] = Object.values(home.lots).filter(({ id }) => id.startsWith('sliced-bread'));
	lot!.count = 5000;
	const path = info.outputPath('stock.keepnook.json');
	await writeFile(
		path,
		JSON.stringify({ format: 'keepnook-home', version: 6, home: { ...home, id: 'stock' } })
	);
	await page.goto('/');
	await importFile(page, path);
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible();
	// It is shown before it is stored; a page that is left by its address would take it along.
	await saved(page);
	const other = await context.newPage();
	for (const each of [page, other]) {
		await each.goto('/home/stock/turn');
		await expect(
			each.getByRole('button', { name: 'Take down one sliced bread loaf' })
		).toBeVisible();
	}
	const work = (each: Page) =>
		each.evaluate(async () => {
			for (let i = 0; i < 500; i++) {
				document
					.querySelector<HTMLButtonElement>('button[aria-label="Take down one sliced bread loaf"]')!
					.click();
				if (i % 50 === 0) await new Promise((done) => setTimeout(done));
			}
		});
	await Promise.all([work(page), work(other)]);
	for (const each of [page, other]) {
		// A thousand changes made at once take their time on a machine that is busy.
		await expect(each.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({
			timeout: 90_000
		});
		await each.getByRole('link', { name: 'The halt at Quillmere' }).click();
		await saved(each);
	}
	const [one, two] = [await exported(page), await exported(other)];
	expect(one).toEqual(two);
	const after = one as unknown as typeof home & { useEvents: object };
	expect(notesOf(after)).toHaveLength(1000);
	expect(after.lots[lot!.id]!.count).toBe(4000);
});

/** Opens each stage by its link and lists those that came: one that does not come is named by those before it. */
async function opened(page: Page): Promise<string[]> {
	const came: string[] = [];
	for (const stage of STAGES) {
		await page
			.getByRole('navigation', { name: 'Stages' })
			.getByRole('link', { name: stage })
			.click();
		const here = page.getByRole('heading', { name: stage, level: 1 });
		const isHere = await here.waitFor({ timeout: 20_000 }).then(
			() => true,
			() => false
		);
		if (!isHere) break;
		came.push(stage);
	}
	return came;
}

// In four parts, so that one slow part does not hold up the others.
const PARTS = 4;
const FILES = 36;
const FUZZED = fuzzFiles(FILES);
for (let part = 0; part < PARTS; part++)
	test(`broken files are refused in words or opened mended, and every screen works after, part ${part + 1}`, async ({
		page
	}, info) => {
		test.setTimeout(300_000);
		const broken: string[] = [];
		page.on('pageerror', (error) => broken.push(error.message));
		let [refused, mended, taken] = [0, 0, 0];
		for (const { name, text } of FUZZED.filter((_, i) => i % PARTS === part)) {
			const path = info.outputPath(name);
			await writeFile(path, text);
			await page.goto('/');
			await importFile(page, path);
			const alert = page.getByRole('alert');
			const sheet = page.getByRole('heading', { name: 'Job sheet' });
			await expect(alert.or(sheet).first()).toBeVisible();
			if (await alert.filter({ hasText: 'was not imported' }).count()) {
				const bring = page.getByRole('button', { name: 'Bring it in mended' });
				if (!(await bring.count())) {
					refused++;
					await expect(alert.getByRole('listitem').first()).not.toHaveText('');
					continue;
				}
				await bring.click();
				mended++;
			} else taken++;
			await expect(sheet).toBeVisible();
			expect(await opened(page), name).toEqual(STAGES);
			expect(broken, name).toEqual([]);
			await expect(page.getByText('This screen broke down')).toHaveCount(0);
			await page.goto('/');
			await page
				.getByRole('button', { name: /^Delete / })
				.first()
				.click();
			await expect(page.getByText('None yet.')).toBeVisible();
		}
		expect(refused + mended + taken).toBe(FILES / PARTS);
		// Cut files, and such of no layout, are in the first part.
		if (part === 0) expect(refused).toBeGreaterThan(2);
		expect(mended).toBeGreaterThan(1);
	});

test('an address where nothing is has a title and a way back', async ({ page }) => {
	await page.goto('/nothing/here');
	await expect(page).toHaveTitle(/Nothing here/);
	await page.getByRole('link', { name: 'Back to all homes' }).click();
	await expect(page.getByRole('heading', { name: 'Keep Nook' })).toBeVisible();
	await openDemo(page, 'Walk');
	await expect(page).toHaveTitle('Walk · The halt at Quillmere · Keep Nook');
});

test('a screen that breaks down says so, and the home can still be exported and gone on with', async ({
	page
}) => {
	await openDemo(page);
	// Something that every date on screen goes by breaks.
	await page.evaluate(() => {
		Intl.DateTimeFormat.prototype.format = () => {
			throw new Error('No dates today.');
		};
		Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', {
			get: () => () => {
				throw new Error('No dates today.');
			}
		});
	});
	await page
		.getByRole('navigation', { name: 'Stages' })
		.getByRole('link', { name: 'Turn' })
		.click();
	const alert = page.getByRole('alert').filter({ hasText: 'This screen broke down' });
	await expect(alert).toContainText('No dates today.');
	expect((await exported(page)) as unknown as { name: string }).toMatchObject({
		name: 'The halt at Quillmere'
	});
	await goTo(page, 'Walk');
});
