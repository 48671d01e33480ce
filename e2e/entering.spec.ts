import { expect, test } from '@playwright/test';
import { goTo, newHome, openDemo, saved } from './helpers';

const lineOf = (page: import('@playwright/test').Page) => page.getByLabel('Entry line: one thing');

test.describe('on a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

	test('a cupboard of forty things is ticked, pasted and typed; each misreading is put right', async ({
		page
	}) => {
		await newHome(page, 'Cupboard');
		await goTo(page, 'Walk');
		await page.getByRole('button', { name: 'Add the room' }).tap();
		await page.getByLabel('Form of cabinet').selectOption('wall');
		await page.getByRole('button', { name: 'Add cabinet' }).tap();
		await page.getByRole('button', { name: 'Close' }).tap();
		await goTo(page, 'Clear');

		await page.getByRole('button', { name: 'Tick usual things' }).tap();
		const usual = page.getByRole('region', { name: 'Usual things' });
		await usual.getByLabel('Tick what is there').selectOption('Spice shelf');
		const ticks = usual.locator('li .tick');
		for (let i = 0; i < 20; i++) await ticks.nth(i).tap();
		await ticks.first().tap();
		await usual.getByRole('button', { name: 'One salt less' }).tap();
		await usual.getByRole('button', { name: 'Enter 19 things' }).tap();
		await expect(page.getByText('19 things entered.')).toBeVisible();

		const lines = [
			'2 tins chopped tomatoes 400g bb 11/27',
			'rice 1kg opened 4 weeks ago',
			'half a bag of flour with weevils',
			'4 x 400 g kidney beans',
			'tin opener',
			'cheese slicer',
			'oat milk 28 nov',
			'3 jars honey',
			'a dozen eggs ub 30.3.26',
			'leftover curry from yesterday',
			'ibuprofen 200mg tablets 30 exp 06/25',
			'bleach 750ml',
			'pasta x3',
			'bulging tin of peaches',
			'mug chipped',
			'6 sachets yeast',
			'frozen peas 900g',
			'chutney 31/02/27',
			'sugar 1 kg'
		];
		await lineOf(page).evaluate((field, text) => {
			const data = new DataTransfer();
			data.setData('text', text);
			field.dispatchEvent(
				new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })
			);
		}, lines.join('\n'));
		await expect(page.getByText('18 of 19 lines entered.')).toBeVisible();
		const left = page.getByRole('list', { name: 'Lines that were not understood' });
		await expect(left).toContainText('There is no day 31/02/27');
		await left.getByRole('button', { name: 'Put right' }).tap();
		await lineOf(page).fill('chutney 28/2/27');
		await lineOf(page).press('Enter');

		// A thing that nobody knows is asked about, and its date and state are put right before Enter.
		await lineOf(page).fill('2 quux 12 dec dented');
		await expect(page.getByText('What is this?').first()).toBeVisible();
		await page.getByLabel('Kind of quux').selectOption({ label: 'Spreads' });
		await page.getByLabel('What 12 Dec 2025 is').selectOption('made');
		await page.getByRole('button', { name: 'Not dented' }).tap();
		await lineOf(page).press('Enter');
		await page.getByRole('button', { name: 'Put it right' }).first().tap();
		const sheet = page.getByRole('dialog', { name: 'Put quux right' });
		await expect(sheet.getByLabel('Kind', { exact: true })).toHaveValue('food.spreads');
		await expect(sheet.getByLabel('Date: made')).toHaveValue('12 Dec 2025');
		await sheet.getByLabel('How many').fill('5');
		await sheet.getByLabel('How many').press('Tab');
		await sheet.getByLabel('Size of one').fill('80 x 80 x 120');
		await sheet.getByLabel('Size of one').press('Tab');
		await sheet.getByRole('button', { name: 'Close' }).tap();
		await saved(page);

		// What was entered without a kind waits in Sort, as one list.
		await lineOf(page).fill('1 wibble');
		await lineOf(page).press('Enter');
		await goTo(page, 'Sort');
		const unknown = page.getByRole('region', { name: 'What is this?' });
		await expect(unknown).toContainText('wibble');
		await unknown.getByLabel('Kind of wibble').selectOption({ label: 'Drinks' });
		await expect(unknown).toHaveCount(0);
		// The home remembers it.
		await goTo(page, 'Clear');
		await lineOf(page).fill('3 wibble pots');
		await lineOf(page).fill('3 Wibbles');
		await expect(page.getByLabel('Kind of Wibbles')).toHaveValue('food.drinks');
	});
});

test('by keyboard: a thing is typed, put right on its sheet, renamed for one lot, taken away and brought back', async ({
	page
}) => {
	await openDemo(page, 'Clear');
	const line = lineOf(page);
	await page.keyboard.press('n');
	await expect(line).toBeFocused();
	await page.keyboard.type('2 jars zigzag jam bb 03/27');
	await page.keyboard.press('Enter');
	await page.keyboard.type('1 zigzag jam');
	await page.keyboard.press('Enter');
	const right = page.getByRole('button', { name: 'Put it right', exact: true });
	await right.focus();
	await page.keyboard.press('Enter');
	const sheet = page.getByRole('dialog', { name: 'Put zigzag jam right' });
	await expect(sheet).toBeVisible();
	await sheet.getByLabel('Name').fill('zigzag jelly');
	await page.keyboard.press('Tab');
	await expect(sheet.getByText('There are 2 lots of zigzag jam.')).toBeVisible();
	await sheet.getByRole('button', { name: 'Only this one' }).press('Enter');
	await expect(page.getByRole('dialog', { name: 'Put zigzag jelly right' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
	await saved(page);
	// Found by its name, and taken away: it was never here.
	await page.keyboard.press('Escape');
	await page.getByLabel('Find a thing').fill('zigzag jelly');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Turn', level: 1 })).toBeVisible();
	await page.getByRole('button', { name: 'More for zigzag jelly' }).press('Enter');
	await page.getByRole('button', { name: 'Put its record right' }).press('Enter');
	await page.getByRole('button', { name: 'It was never here' }).press('Enter');
	await expect(page.getByText('zigzag jelly')).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).press('Enter');
	await expect(page.getByText('zigzag jelly').first()).toBeVisible();
});

test('sizes are taken in one go, for like shelves at once, and follow the outside until they are', async ({
	page
}) => {
	await newHome(page, 'Sizes');
	await goTo(page, 'Walk');
	await page.getByRole('button', { name: 'Add the room' }).click();
	await page.getByLabel('Form of cabinet').selectOption('wall');
	await page.getByRole('button', { name: 'Add cabinet' }).click();
	await expect(page.getByText('0 % of the sizes are measured')).toHaveCount(0);
	const width = page.getByLabel('Outer width');
	await width.fill('700');
	await width.press('Enter');
	await page
		.locator('[aria-label="Details"], aside')
		.getByRole('button', { name: /shelf 1|Shelf 1/ })
		.first()
		.click();
	await expect(page.getByLabel('Inside width')).toHaveValue('664 mm');
	const inside = page.getByLabel('Inside width');
	await inside.fill('6 1/8');
	await inside.press('Enter');
	await expect(inside).toHaveValue('156 mm');
	await inside.fill('664 x 290 x 310');
	await inside.press('Enter');
	await expect(page.getByLabel('Inside height')).toHaveValue('310 mm');
	await page.getByRole('button', { name: /^All \d the same$/ }).click();
	await page.getByRole('button', { name: 'Close' }).click();
	await expect(page.getByText('100 % of the sizes are measured')).toBeVisible();
});
