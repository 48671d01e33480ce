import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, saved } from './helpers';

const part = async (page: Page, name: string | RegExp) => {
	const link = page.getByRole('navigation', { name: 'Parts of Turn' }).getByRole('link', { name });
	await link.click();
	await expect(link).toHaveAttribute('aria-current', 'page');
};
const done = (page: Page, words: string | RegExp) =>
	page.getByRole('listitem').filter({ hasText: words }).first();

test.describe('on a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

	test('a week: throw out, shop, put away, cook from the plan, freeze and thaw what is left, shop again', async ({
		page
	}) => {
		test.setTimeout(180_000);
		await openDemo(page, 'Turn');
		await page.getByRole('button', { name: 'Throw out cottage cheese' }).click();
		await expect(done(page, 'cottage cheese thrown out')).toBeVisible();

		await part(page, /^Shopping list/);
		await page.getByRole('textbox', { name: 'Add to the list' }).fill('2 birthday candles');
		await page.getByRole('button', { name: 'Add', exact: true }).click();
		for (const name of ['cereal bars', 'birthday candles'])
			await page.getByRole('button', { name: `In the trolley: ${name}` }).click();
		await page.getByLabel('Best before of cereal bars').fill('31/02/27');
		await page.getByRole('button', { name: 'Put 2 lines away' }).click();
		await expect(page.getByRole('alert')).toContainText('cereal bars');
		await page.getByLabel('Best before of cereal bars').fill('05/27');
		await page.getByLabel('Price paid for one cereal bars').fill('0.55');
		await page.getByRole('button', { name: 'Put 2 lines away' }).click();
		await expect(done(page, 'Shopping put away, 2 lines')).toBeVisible();

		await part(page, 'Meals');
		await page.getByRole('button', { name: 'Plan the week' }).click();
		await expect(page.getByText('No other week with these meals does better.')).toBeVisible({
			timeout: 60_000
		});
		const cook = page
			.getByRole('region', { name: 'The week' })
			.getByRole('button', { name: /^Cook / });
		const name = (await cook.first().getAttribute('aria-label'))!.replace(/^Cook (.*), .*$/, '$1');
		await cook.first().click();
		await page.getByLabel(/Portions left over/).fill('3');
		await page.getByRole('button', { name: 'Cooked', exact: true }).click();
		await expect(done(page, `${name} cooked, 3 portions left over`)).toBeVisible();

		await part(page, 'Today');
		const left = `${name}, leftovers`;
		await expect(page.getByRole('region', { name: 'Leftovers' })).toContainText(left);
		await page.getByRole('button', { name: `More for ${left}` }).click();
		const sheet = page.getByRole('dialog', { name: `Stock of ${left}` });
		await sheet.getByRole('button', { name: /^All 3 meals/ }).click();
		await sheet.getByRole('button', { name: 'Freeze', exact: true }).click();
		await expect(done(page, `3 meals ${left} frozen`)).toBeVisible();
		await part(page, 'Stock');
		await page.getByRole('searchbox').fill(left);
		await page.getByRole('button', { name: `More for ${left}, frozen` }).click();
		await page.getByRole('button', { name: 'Take out to thaw' }).click();
		await expect(
			page.getByRole('listitem').filter({ hasText: 'from the day it thawed' })
		).toContainText(left);
		await part(page, /^Shopping list/);
		await expect(page.getByText('birthday candles', { exact: false })).toHaveCount(0);
		await saved(page);
	});
});

test('the page of a freezer: a child takes one, and puts it back', async ({ page }) => {
	await openDemo(page, 'Turn');
	await part(page, 'Stock');
	await page.getByRole('button', { name: /Chest freezer, right basket/ }).click();
	await page.getByRole('link', { name: 'Page for this door' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Chest freezer, right basket');
	await expect(page.getByRole('navigation')).toHaveCount(0);
	const tile = page.getByRole('button', { name: 'Take one mystery box frozen meal' });
	await tile.click();
	await expect(tile).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(tile).toBeVisible();
	await page.getByRole('link', { name: 'Leave this page' }).click();
	await expect(page.getByRole('heading', { name: 'Turn', level: 1 })).toBeVisible();
});

test('the weeks ahead: what spoils, and how much to hold', async ({ page }) => {
	await openDemo(page, 'Turn');
	await part(page, 'Ahead');
	await expect(page.getByText(/packs will have spoiled, worth about/)).toBeVisible({
		timeout: 60_000
	});
	const spoils = page.getByRole('region', { name: 'Likely to spoil' }).getByRole('button').first();
	await spoils.click();
	const panel = page.getByRole('complementary', { name: 'What to expect of it' });
	await expect(panel.getByRole('img')).toHaveAttribute('aria-label', /Packs of .* over the weeks/);
	await panel.getByRole('button', { name: /^Hold \d+$/ }).click();
	await expect(page.getByRole('button', { name: 'Look again' })).toBeVisible();
});

test('a rule for how much to hold; the list goes out as a file and comes back ticked', async ({
	page
}, info) => {
	await openDemo(page, 'Turn');
	await part(page, 'Stock');
	await page.getByRole('button', { name: 'By thing' }).click();
	await page.getByRole('searchbox').fill('penne');
	await page.getByRole('button', { name: /^penne/ }).click();
	const panel = page.getByRole('complementary', { name: 'How much to hold' });
	await panel.getByLabel('How much to hold').selectOption('One open, one spare');
	await panel.getByLabel('spares').fill('6');
	await panel.getByLabel('spares').press('Enter');
	await expect(panel).toContainText('Hold 7');
	await part(page, /^Shopping list/);
	const line = page.getByRole('listitem').filter({ hasText: 'penne' });
	await expect(line).toContainText('of 7');
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'As a file' }).click()
	]);
	const text = await readFile(await file.path(), 'utf8');
	const rows = text
		.split('\r\n')
		.map((row) => (row.startsWith('penne') ? row.replace(/,$/, ',x') : row));
	await page.getByLabel('Ticked file').setInputFiles({
		name: 'ticked.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(rows.join('\r\n'))
	});
	await expect(page.getByRole('complementary', { name: 'Put away' })).toContainText('penne');
	await page.getByLabel('Ticked file').setInputFiles({
		name: 'wrong.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(`${info.title}\nnothing`)
	});
	await expect(page.getByRole('alert')).toBeVisible();
});

test('a meal is written, and a name that nothing has is said', async ({ page }) => {
	await openDemo(page, 'Turn');
	await part(page, 'Meals');
	await page.getByRole('button', { name: 'Add a meal' }).click();
	const sheet = page.getByRole('complementary', { name: 'Meal', exact: true });
	await sheet.getByLabel('Name').fill('Honey porridge');
	await sheet.getByLabel('Add an ingredient').fill('unicorn flakes');
	await sheet.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(sheet.getByRole('alert')).toContainText(
		'Nothing in this home is called “unicorn flakes”'
	);
	await sheet.getByLabel('Add an ingredient').fill('brown sugar');
	await sheet.getByRole('button', { name: 'Add', exact: true }).click();
	await sheet.getByLabel('Packs of brown sugar').fill('0.25');
	await sheet.getByLabel('Packs of brown sugar').press('Enter');
	await sheet.getByRole('button', { name: 'Save' }).click();
	await expect(
		page.getByRole('listitem').filter({ hasText: 'Honey porridge' }).last()
	).toContainText('the stock makes it');
	await goTo(page, 'Keep');
	await saved(page);
});

test('a power cut: the thermometers are read, what is not safe is thrown out and taken back', async ({
	page
}) => {
	await openDemo(page, 'Turn');
	const cold = page.getByRole('region', { name: 'Fridge and freezer' });
	await cold.getByRole('button', { name: 'Read the stand-in thermometers' }).click();
	await expect(cold).toContainText('too warm for about');
	await cold.getByRole('button', { name: 'Throw out what is not safe' }).first().click();
	const toast = done(page, /lots? from .* thrown out/);
	await expect(toast).toBeVisible();
	await toast.getByRole('button', { name: 'Undo' }).click();
	await saved(page);
	// A thermometer that says nothing is named, and nothing is noted.
	await page.route('**/stand-ins/thermometer*', (route) => route.abort());
	await cold.getByRole('button', { name: 'Read the stand-in thermometers' }).click();
	await expect(cold.getByRole('alert').first()).toContainText('cannot be reached');
});
