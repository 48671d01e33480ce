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

test('fresh things move to where they keep; dates go by section; a shop keeps to its budget', async ({
	page
}) => {
	await openDemo(page, 'Turn');
	const better = page.getByRole('region', { name: 'Keeps better elsewhere' });
	await expect(better).toContainText('in the fridge door');
	await better.getByRole('button', { name: 'Move eggs box' }).click();
	const sheet = page.getByRole('dialog', { name: 'Stock of eggs box' });
	await expect(sheet).toContainText('In their box on a shelf of the fridge');
	await sheet.getByLabel('Move to').selectOption('Fridge, middle shelf');
	await expect(done(page, 'eggs box moved to Fridge, middle shelf')).toBeVisible();
	await expect(better.getByText('eggs box')).toHaveCount(0);

	await part(page, 'Stock');
	await page.getByRole('button', { name: /Larder shelf 2/ }).click();
	await page.getByLabel('How dates are kept').selectOption('quarter');
	const section = page.getByRole('region', { name: 'Apr to Jun 2026' });
	const before = await section.getByRole('button', { name: /^Take down/ }).count();
	await section
		.getByRole('button', { name: /^More for/ })
		.first()
		.click();
	const more = page.getByRole('dialog');
	await more.getByLabel('Date, if printed').selectOption('Jul to Sept 2026');
	await more.getByRole('button', { name: 'Put in' }).click();
	await expect(section.getByRole('button', { name: /^Take down/ })).toHaveCount(before);
	await expect(page.getByRole('region', { name: 'Jul to Sept 2026' })).toContainText('31 Jul 2026');

	await part(page, /^Shopping list/);
	await page.getByText('How you shop').click();
	await page.getByLabel(/^What one shop may cost/).fill('1');
	await page.getByLabel(/^What one shop may cost/).press('Tab');
	await expect(page.getByText(/over your budget/)).toBeVisible();
	await saved(page);
});

test('the label of a frozen pack is scanned: one is taken, put back, then all of it', async ({
	page
}) => {
	await openDemo(page, 'Mark');
	await page.getByRole('button', { name: 'Frozen and home-made' }).click();
	const panel = page.getByRole('complementary', { name: 'Sheet and words' });
	await panel.getByLabel('Code').selectOption('to take one down here');
	await panel.getByLabel('Frozen on').check();
	await expect(page.getByRole('img', { name: /^Sheet 1 of labels/ })).toBeVisible();
	// What the code on the label says is the address of its lot.
	await page.goto('/home/demo/take/mystery-box-frozen-meal-1');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('mystery box');
	const left = page.getByText(/left$/);
	const before = await left.textContent();
	await page.getByRole('button', { name: /^Take 1/ }).click();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(left).toHaveText(before!);
	const all = page.getByRole('button', { name: /^Take (all|1)/ });
	await all.last().click();
	await expect(page.getByText('All of it is taken. Take the label off.')).toBeVisible();
	await page.goto('/home/demo/take/nowhere');
	await expect(page.getByRole('heading', { name: 'This label is out of date' })).toBeVisible();
});
