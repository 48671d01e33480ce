import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, newHome, openDemo, saved } from './helpers';

const part = async (page: Page, name: string | RegExp) => {
	const link = page.getByRole('navigation', { name: 'Parts of Keep' }).getByRole('link', { name });
	await link.click();
	await expect(link).toHaveAttribute('aria-current', 'page');
};
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first();
const file = (name: string, text: string) => ({
	name,
	mimeType: 'text/csv',
	buffer: Buffer.from(text)
});

test('an organizer looks after two homes: hours, materials, pictures, and set-up taken from one to the other', async ({
	page
}) => {
	await openDemo(page, 'Keep');
	await part(page, 'Record');
	const hours = page.getByRole('region', { name: 'Hours by stage' });
	await hours.getByLabel('Time', { exact: true }).fill('all day');
	await hours.getByRole('button', { name: 'Add the time' }).click();
	await expect(page.getByRole('alert')).toContainText('“all day” is no time');
	await hours.getByLabel('Time', { exact: true }).fill('1:30');
	await hours.getByRole('button', { name: 'Add the time' }).click();
	await expect(hours.getByRole('row', { name: /Walk/ })).toContainText('1 h 30 min');
	const materials = page.getByRole('region', { name: 'Materials used' });
	await materials.getByLabel('Material', { exact: true }).fill('Non-slip liner, m');
	await materials.getByLabel('How many').fill('3,5');
	await materials.getByLabel('Price of one').fill('2.40');
	await materials.getByRole('button', { name: 'Add the material' }).click();
	await expect(materials).toContainText('€8.40 in all');

	await page.getByLabel('Place to take a picture of').selectOption({ label: 'Under the sink' });
	const pictures = page.getByRole('region', { name: 'Before and after' });
	for (const when of ['before', 'after']) {
		await pictures
			.getByLabel(`Picture ${when}, Under the sink`)
			.setInputFiles('docs/screenshots/walk.png');
		await expect(page.getByRole('img', { name: `Under the sink, ${when}` })).toBeVisible();
	}
	await pictures
		.getByLabel('Picture after, Under the sink')
		.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no') });
	await expect(pictures.getByRole('alert')).toContainText('notes.txt');
	await saved(page);
	await page.reload();
	await expect(page.getByRole('img', { name: 'Under the sink, before' })).toBeVisible();

	await newHome(page, 'The Alder flat');
	await button(page, 'Begin with: one cabinet').click();
	await goTo(page, 'Keep');
	await part(page, 'Hand over');
	await page.getByLabel('Home to take over from').selectOption({ label: 'The halt at Quillmere' });
	await page.getByLabel(/^People and pets/).check();
	await button(page, 'Take over').click();
	await expect(page.getByText('Taken over from The halt at Quillmere.')).toBeVisible();
	await page.goto('/');
	const row = page.getByRole('link', { name: /The halt at Quillmere/ });
	await expect(row).toContainText(/\d+ resets due/);
	await expect(row).toContainText('€8.40 of materials');
	await expect(page.getByRole('link', { name: /The Alder flat/ })).toContainText(
		'Next: hold the tape to 2 places'
	);
});

test('places come in from a spreadsheet of another country, row by row; nothing is written before it is said', async ({
	page
}) => {
	await newHome(page, 'Tables');
	await button(page, 'Begin with: one cabinet').click();
	await page.getByText('Units, dates and money of this home').click();
	await page.getByLabel('Region').selectOption({ label: 'Germany' });
	await expect(page.getByLabel('Money')).toHaveValue('EUR');
	await goTo(page, 'Keep');
	await part(page, 'Hand over');
	const table = page.getByRole('region', { name: 'As a table' });
	await button(page, 'Places').click();
	const rows = [
		'\uFEFFroom;cabinet;place;width;depth;height',
		'Scullery;Crockery cupboard;Top;56,4;31;27,6',
		'Scullery;Crockery cupboard;=1+1;56,4;31;30',
		'Scullery;Crockery cupboard;Bottom;broad;31;30',
		'Scullery;;Lost;10;10;10'
	];
	await table.getByLabel('Bring a table in').setInputFiles(file('places.csv', rows.join('\r\n')));
	await expect(table.getByRole('status')).toContainText(
		'2 rows to take in, 2 with something to say'
	);
	await expect(table).toContainText('Row 3, Bottom: “broad” is no length (width inside)');
	await expect(table).toContainText('Row 4, Lost: It does not say which cabinet');
	await page.goto('/');
	await page.getByRole('link', { name: /Tables/ }).click();
	await expect(page.getByText('1 cabinet · 2 places')).toBeVisible();
	await goTo(page, 'Keep');
	await part(page, 'Hand over');
	await button(page, 'Places').click();
	await table.getByLabel('Bring a table in').setInputFiles(file('places.csv', rows.join('\r\n')));
	await button(page, 'Take 2 rows in').click();
	await expect(page.getByText('2 rows of a table taken in.')).toBeVisible();
	// What goes out is what is here: bringing it back changes nothing, and a formula stays a word.
	const [out] = await Promise.all([
		page.waitForEvent('download'),
		table.getByRole('button', { name: 'Save as CSV' }).click()
	]);
	const text = await readFile(await out.path(), 'utf8');
	expect(text).toContain("'=1+1");
	expect(text).toContain('564');
	await table.getByLabel('Bring a table in').setInputFiles(file('again.csv', text));
	await expect(table.getByRole('status')).toContainText('0 rows to take in, 4 here already');
});

test('a file of one’s own stays up to date, and says when it is behind', async ({ page }) => {
	// The browser's chooser is a window of its own: a file of its private storage stands in for what is chosen there.
	await page.addInitScript(() => {
		Object.assign(window, {
			showSaveFilePicker: async () => {
				const folder = await navigator.storage.getDirectory();
				return folder.getFileHandle('kept.json', { create: true });
			}
		});
	});
	const nameInFile = () =>
		page.evaluate(async () => {
			const folder = await navigator.storage.getDirectory();
			const kept = await (await folder.getFileHandle('kept.json')).getFile();
			return (JSON.parse(await kept.text()) as { home: { name: string } }).home.name;
		});
	await page.goto('/');
	await page.getByLabel('What do you call it?').fill('Kept');
	await button(page, 'Make this home').click();
	await goTo(page, 'Keep');
	await part(page, 'Hand over');
	await button(page, 'Choose the file').click();
	await expect(page.getByText(/is up to date, written at/)).toBeVisible();
	expect(await nameInFile()).toBe('Kept');
	await page.getByTitle(/^Job sheet of/).click();
	const name = page.getByLabel('Name of this home');
	await name.fill('Kept anew');
	await name.press('Enter');
	await expect.poll(nameInFile).toBe('Kept anew');
});

test('a family practises until the notes come down', async ({ page }) => {
	test.setTimeout(120_000);
	await newHome(page, 'Practice');
	await button(page, 'Child').click();
	await button(page, 'Begin with: one cabinet').click();
	await goTo(page, 'Clear');
	const line = page.getByLabel('Entry line: one thing');
	for (const text of ['3 tins chopped tomatoes', '2 packs penne', '6 mugs']) {
		await line.fill(text);
		await line.press('Enter');
		await expect(line).toHaveValue('');
	}
	await goTo(page, 'Sort');
	await button(page, /^Group 3 loose things/).click();
	await goTo(page, 'Place');
	await button(page, /^Solve/).click();
	await page.locator('[data-note]').first().waitFor();
	await saved(page);

	/** What was learned from the answers: the place of a group, and the group of a question. */
	const placeOf = new Map<string, string>();
	const groupOf = new Map<string, string>();
	const who = page.getByRole('complementary', { name: 'Who knows what' });
	await goTo(page, 'Keep');
	await part(page, 'Practice');
	await expect(who).toContainText('All stay up until everybody knows');
	let day = 2;
	for (; day < 40; day += 4) {
		await page.clock.setFixedTime(new Date(Date.UTC(2026, 2, day, 9)));
		await page.reload();
		await expect(who).toBeVisible();
		if (await who.getByText('the notes may come down').isVisible()) break;
		const start = page.getByRole('button', { name: 'Start' });
		if (!(await start.isVisible())) continue;
		await start.click();
		const done = page.getByRole('button', { name: 'Done for today' });
		const question = page.getByRole('heading', { name: /^(Where do I find|What lives in) / });
		for (;;) {
			await question.or(done).waitFor();
			if (await done.isVisible()) break;
			const asked = (await question.textContent())!.trim();
			if (asked.startsWith('Where')) {
				const place = placeOf.get(groupOf.get(asked) ?? '') ?? 'Base cabinet: Shelf 2';
				await page.getByRole('button', { name: place }).first().click();
			} else {
				const choices = page.locator('.choice');
				const words = await choices.allTextContents();
				const place = /^What lives in (.+)\?$/.exec(asked)![1]!;
				const lives = [...placeOf].filter(([, at]) => at === place).map(([group]) => group);
				const at = words.findIndex((each) => lives.some((group) => each.includes(group)));
				await choices.nth(Math.max(0, at)).click();
			}
			const reply = page.getByRole('status').filter({ hasText: /^(Right|The right cabinet|No)/ });
			const words = (await reply.textContent())!.trim();
			const [, group, place] =
				/^Right: (.+), (.+)\.$/.exec(words) ??
				/^(?:No: |The right cabinet\. )(.+) is in (.+?)\.(?: It comes again\.)?$/.exec(words)!;
			groupOf.set(asked, group!);
			placeOf.set(group!, place!);
			await button(page, 'Next').click();
			await expect(button(page, 'Next')).toHaveCount(0);
		}
		await done.click();
		await saved(page);
	}
	await expect(who).toContainText('Everybody knows all of it: the notes may come down.');
	expect(day).toBeGreaterThan(6);
});
