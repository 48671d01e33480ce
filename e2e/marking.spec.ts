import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, openPlanned, saved } from './helpers';

const pdfOf = async (page: Page, name: RegExp): Promise<string> => {
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name }).click()
	]);
	return readFile(await file.path(), 'latin1');
};
/** Sizes of the pages of a PDF, mm. */
const pagesOf = (pdf: string) =>
	[...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(([, w, h]) =>
		[w, h].map((points) => Math.round((Number(points) * 25.4) / 72))
	);

test('labels of three forms: a sheet, a roll, cards with a code; words are kept and what is too long is said', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await goTo(page, 'Mark');
	await expect(page.getByRole('img', { name: /^Sheet 1 of labels/ })).toBeVisible();
	const panel = page.getByRole('complementary', { name: 'Sheet and words' });
	expect(pagesOf(await pdfOf(page, /^PDF/))[0]).toEqual([210, 297]);
	await panel.getByRole('combobox', { name: 'Sheet' }).selectOption('roll-62');
	const roll = pagesOf(await pdfOf(page, /^PDF/));
	expect(roll[0]).toEqual([62, 29]);
	expect(roll.length).toBeGreaterThan(20);
	await panel.getByRole('combobox', { name: 'Sheet' }).selectOption('card-a4');
	await panel.getByLabel('Code').selectOption('what is in it, in words for any phone');
	await panel.getByRole('checkbox', { name: 'A line to write on' }).check();
	expect(pagesOf(await pdfOf(page, /^PDF/))[0]).toEqual([210, 297]);

	const words = panel.getByRole('list', { name: 'Words' }).getByRole('textbox').first();
	await words.fill('x'.repeat(300));
	await words.press('Enter');
	await expect(panel.getByRole('alert')).toContainText('300 letters. A label takes 120');
	await words.fill('Family breakfast');
	await words.press('Enter');
	await expect(page.getByRole('img', { name: /Family breakfast/ })).toBeVisible();
	await panel.getByText('A sheet of your own').click();
	await panel.getByLabel('Name').fill('Ours');
	await panel.getByLabel('Across', { exact: true }).fill('9');
	await panel.getByRole('button', { name: 'Add the sheet' }).click();
	await expect(panel.getByRole('alert')).toContainText('do not lie side by side');
	await saved(page);
});

test('the binder has a page of contents, every cabinet, and comes as one file', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await goTo(page, 'Mark');
	await page.getByRole('link', { name: 'Prints and binder' }).click();
	await expect(page.getByRole('img', { name: /^Page 1: The halt at Quillmere/ })).toBeVisible();
	const pages = pagesOf(await pdfOf(page, /^PDF, \d+ pages/));
	expect(pages.length).toBeGreaterThan(15);
	expect(new Set(pages.map(String))).toEqual(new Set(['210,297']));
	// The contents go on over a second page.
	for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Next page' }).click();
	await expect(page.getByRole('img', { name: /^Page 3: / })).toBeVisible();
	await page.getByRole('combobox', { name: 'Print' }).selectOption('Freezer lid sheet');
	await page.getByRole('combobox', { name: 'Paper' }).selectOption('Letter');
	expect(pagesOf(await pdfOf(page, /^PDF/))[0]).toEqual([216, 279]);
});
