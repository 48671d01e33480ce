import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, saved } from './helpers';

const part = async (page: Page, name: string | RegExp) => {
	const link = page.getByRole('navigation', { name: 'Parts of Keep' }).getByRole('link', { name });
	await link.click();
	await expect(link).toHaveAttribute('aria-current', 'page');
};
const reset = (page: Page, title: string | RegExp) =>
	page.getByRole('list', { name: 'Resets' }).getByRole('listitem').filter({ hasText: title });

test('a reset found half full is done again sooner; the weeks are spread; a calendar goes out', async ({
	page
}) => {
	await openDemo(page, 'Keep');
	await page.getByRole('link', { name: 'Start: Make-up, Mirror cabinet' }).click();
	const bar = page.getByRole('region', { name: 'Reset under way' });
	await expect(bar).toContainText('Make-up');
	// Make-up alone is in the pile, of the one place that has any, and all of it goes; the letters decide, as in any Clear.
	const pile = page.getByRole('group', { name: /^Pile/ });
	await expect(page.getByText('4 to decide here')).toBeVisible();
	for (let i = 0; i < 4; i++) await pile.press('d');
	await expect(bar).toContainText('4 looked at, 4 to go');
	await page.reload();
	await expect(bar).toContainText('4 looked at, 4 to go');
	await bar.getByRole('link', { name: /^Done/ }).click();
	await expect(reset(page, 'Make-up')).toContainText('more often, since much was found');
	await expect(reset(page, 'Make-up')).toContainText(/in 4 months/);

	await page.getByRole('button', { name: /^Add \d+ usual resets$/ }).click();
	await page.getByRole('button', { name: /^Spread \d+ resets out$/ }).click();
	await expect(page.getByRole('button', { name: /^Spread/ })).toHaveCount(0);
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Calendar file' }).click()
	]);
	const text = await readFile(await file.path(), 'utf8');
	expect(text.match(/BEGIN:VALARM/g)!.length).toBe(text.match(/BEGIN:VEVENT/g)!.length);

	await page.getByRole('button', { name: 'Seasonal swap' }).click();
	const sheet = page.getByRole('complementary', { name: 'This reset' });
	await sheet.getByLabel('In the first season').selectOption({ index: 1 });
	await sheet.getByLabel('Who does it').selectOption({ index: 1 });
	await sheet.getByRole('button', { name: 'Leave it out this time' }).click();
	await expect(sheet.getByText(/left out/)).toBeVisible();
	await saved(page);
});

test('a week is watched, stopped and stepped; two at once get in each other’s way', async ({
	page
}) => {
	await openDemo(page, 'Keep');
	await part(page, 'A week');
	await page.getByLabel('Routine', { exact: true }).selectOption({ index: 1 });
	await page.getByRole('button', { name: 'Play' }).click();
	await expect(page.getByLabel('Second of the routine')).not.toHaveValue('0');
	await page.getByRole('button', { name: 'Stop' }).click();
	const at = await page.getByLabel('Second of the routine').inputValue();
	await page.getByRole('button', { name: 'Step on' }).click();
	await expect(page.getByLabel('Second of the routine')).not.toHaveValue(at);
	await page.getByLabel('At the same time').selectOption({ index: 1 });
	await expect(page.getByText(/each other’s way/)).toBeVisible();
	const figures = page.getByRole('complementary', { name: 'The week in figures' });
	await expect(figures.getByRole('row', { name: /metres walked/ })).toContainText(/\d/);
});

test('a child practises with large tags; who knows what is shown', async ({ page }) => {
	await openDemo(page, 'Keep');
	await part(page, 'Practice');
	await page.getByRole('button', { name: 'Emrik' }).click();
	await page.getByRole('button', { name: 'Start' }).click();
	let asked = 0;
	for (; asked < 30; asked++) {
		const question = page.getByRole('heading', { name: /^What lives in / });
		if (!(await question.isVisible())) break;
		await page.locator('.choice').first().click();
		await expect(page.getByRole('status').filter({ hasText: /^(Right|No): / })).toBeVisible();
		await page.getByRole('button', { name: 'Next' }).click();
		await expect(page.getByRole('button', { name: 'Next' })).toHaveCount(0);
	}
	expect(asked).toBeGreaterThan(5);
	await page
		.getByRole('button', { name: 'Stop here' })
		.or(page.getByRole('button', { name: 'Done for today' }))
		.click();
	await expect(page.getByRole('complementary', { name: 'Who knows what' })).toContainText('of 76');
	await saved(page);
});

test('where is it: found, then reported elsewhere until it is a wrong place', async ({ page }) => {
	await openDemo(page);
	for (let i = 0; i < 3; i++) {
		await page.goto('/home/demo/find');
		await page.getByRole('searchbox').fill('sticky tape');
		await expect(page.getByRole('status').filter({ hasText: 'sticky tape' })).toBeVisible();
		await page.getByRole('button', { name: 'It was not there' }).click();
		await page.getByRole('button', { name: 'Under the sink' }).first().click();
		await expect(page.getByText(/found in Under the sink. Noted/)).toBeVisible();
	}
	await page.getByRole('link', { name: 'Leave this page' }).click();
	await goTo(page, 'Keep');
	await part(page, 'Record');
	const wrong = page.getByRole('region', { name: 'Places that are wrong' });
	await expect(wrong).toContainText('3 times, 3 of them in Under the sink');
	await wrong.getByRole('button', { name: 'Let it live there' }).click();
	await expect(wrong.getByRole('button', { name: 'It will live there' })).toBeVisible();
	await page.getByLabel(/^In your own words/).fill('We began under the sink.');
	await page.getByLabel(/^In your own words/).press('Tab');
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Report as PDF' }).click()
	]);
	expect((await readFile(await file.path(), 'latin1')).startsWith('%PDF-')).toBe(true);
	const [words] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Markdown' }).click()
	]);
	expect(await readFile(await words.path(), 'utf8')).toContain('We began under the sink.');
});

test('an organizer and a household exchange files three times, each in a browser of their own', async ({
	page,
	browser
}) => {
	test.setTimeout(180_000);
	await openDemo(page);
	const context = await browser.newContext();
	const theirs = await context.newPage();
	const handOver = async (who: Page) => {
		await goTo(who, 'Keep');
		await part(who, 'Hand over');
	};
	const give = async (who: Page, name: string) => {
		await handOver(who);
		await who.getByLabel(/^Your name/).fill(name);
		const [file] = await Promise.all([
			who.waitForEvent('download'),
			who.getByRole('button', { name: 'Save the file' }).click()
		]);
		return file.path();
	};
	const take = async (who: Page, path: string) => {
		await handOver(who);
		await who.getByLabel('Choose the file').setInputFiles(path);
		await who.getByRole('button', { name: /^(Take it in|Close)$/ }).click();
		await expect(who.getByRole('region', { name: 'What the copy brings' })).toHaveCount(0);
	};
	const rename = async (who: Page, name: string) => {
		await who.goto('/home/demo');
		const field = who.getByLabel('Name of this home');
		await field.fill(name);
		await field.press('Enter');
		await saved(who);
	};
	const note = async (who: Page, words: string) => {
		await goTo(who, 'Keep');
		await part(who, 'Record');
		await who.getByLabel(/^In your own words/).fill(words);
		await who.getByLabel(/^In your own words/).press('Tab');
		await saved(who);
	};
	await theirs.goto('/');
	await theirs.getByLabel('Import a home file').setInputFiles(await give(page, 'Ada'));
	await expect(theirs.getByRole('heading', { name: 'Job sheet' })).toBeVisible({ timeout: 20_000 });
	for (let round = 1; round <= 3; round++) {
		await rename(page, `The halt, round ${round}`);
		await note(theirs, `Our words, round ${round}`);
		await take(page, await give(theirs, 'Household'));
		await expect(page.getByText('Copy from Household taken in.').first()).toBeVisible();
		await take(theirs, await give(page, 'Ada'));
		for (const who of [page, theirs]) {
			await who.goto('/home/demo/keep/record');
			await expect(who.getByLabel(/^In your own words/)).toHaveValue(`Our words, round ${round}`);
			await expect(who.getByRole('link', { name: `The halt, round ${round}` })).toBeVisible();
		}
	}
	// Both say different things: side by side, and one is chosen.
	await rename(page, 'Ours');
	await rename(theirs, 'Theirs');
	await handOver(page);
	await page.getByLabel('Choose the file').setInputFiles(await give(theirs, 'Household'));
	const brings = page.getByRole('region', { name: 'What the copy brings' });
	await expect(brings).toContainText('different things in 1 place');
	await brings.getByLabel('theirs: Theirs').check();
	await brings.getByRole('button', { name: 'Take it in' }).click();
	await expect(page.getByRole('link', { name: 'Theirs' })).toBeVisible();
	await context.close();
});
