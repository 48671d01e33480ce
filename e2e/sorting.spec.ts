import { expect, test } from '@playwright/test';
import { goTo, newHome, openDemo, saved, solve } from './helpers';

const part = (page: import('@playwright/test').Page, name: RegExp) =>
	page.getByRole('navigation', { name: 'Parts of Sort' }).getByRole('link', { name }).click();
const groups = (page: import('@playwright/test').Page) =>
	page.getByRole('list', { name: 'Groups' });

test('Sort: every figure says how it is made, and can be set by hand', async ({ page }) => {
	await openDemo(page, 'Sort');
	await groups(page)
		.getByRole('button', { name: /^Baking: / })
		.click();
	const panel = page.getByRole('complementary', { name: 'Group' });
	await panel.getByRole('button', { name: 'Litres: 19 l. How?' }).click();
	await expect(panel).toContainText('4 × plain flour');
	await expect(panel).toContainText('together 19 l');
	const litres = panel.getByLabel('Litres by hand');
	await litres.fill('a lot');
	await litres.press('Enter');
	await expect(panel.getByRole('alert')).toContainText('“a lot” cannot be read as litres');
	await litres.fill('25');
	await litres.press('Enter');
	await expect(
		panel.getByRole('button', { name: /^Litres: 25(\.0)? l, set by hand/ })
	).toBeVisible();
	await expect(
		groups(page).getByRole('button', { name: /^Baking: 21 uses a week, 25(\.0)? l/ })
	).toBeVisible();
	await panel.getByRole('button', { name: 'Compute it' }).click();
	await expect(panel.getByRole('button', { name: 'Litres: 19 l. How?' })).toBeVisible();
	// What it needs is a set of words.
	await panel
		.locator('summary')
		.filter({ hasText: /^Needs/ })
		.click();
	await panel.getByRole('checkbox', { name: 'dark' }).check();
	await expect(
		panel.getByRole('group', { name: 'Needs' }).getByRole('button', { name: 'Compute it' })
	).toBeVisible();
	await saved(page);
	await page.reload();
	await groups(page)
		.getByRole('button', { name: /^Baking: / })
		.click();
	await expect(panel.getByText('dark, dry')).toBeVisible();
});

test('Sort: proposals come with reasons, one by one, and leave what was put by hand', async ({
	page
}) => {
	await openDemo(page, 'Sort');
	await page.getByRole('link', { name: 'Board' }).click();
	await page.getByLabel('Find things').fill('popping corn');
	await page.getByRole('checkbox', { name: 'popping corn' }).check();
	await page.getByLabel('Move to').fill('nowhere');
	await page.getByRole('button', { name: 'Move there' }).click();
	await expect(page.getByRole('alert')).toContainText('No group is “nowhere”');
	await page.getByLabel('Move to').fill('SN');
	await page.getByLabel('Move to').press('Enter');
	await expect(page.getByRole('group', { name: 'What is chosen' })).toHaveCount(0);
	await page.getByRole('link', { name: /^Proposed/ }).click();
	const list = page.getByRole('list', { name: 'Proposed groups' });
	const kit = list.getByRole('listitem').filter({ hasText: 'Mixer kit' }).first();
	await expect(kit).toContainText('everything for the stand mixer appliance, fetched together');
	await expect(kit).toContainText('dough hook');
	await kit.getByRole('button', { name: /^Take: Make Mixer kit/ }).click();
	await expect(kit).toHaveCount(0);
	// Pulses would be a group of their own; the corn that was moved by hand is not among them.
	await expect(
		list.getByRole('listitem').filter({ hasText: 'Make Pulses' }).first()
	).not.toContainText('popping corn');
	await page.getByRole('button', { name: /^Take all \d+$/ }).click();
	await page.getByRole('button', { name: /^Take all \d+ pairs/ }).click();
	await expect(page.getByRole('heading', { name: 'Nothing to propose' })).toBeVisible();
	await page.getByRole('link', { name: 'Groups' }).first().click();
	await groups(page)
		.getByRole('button', { name: /^Snacks: / })
		.click();
	await expect(
		page
			.getByRole('complementary', { name: 'Group' })
			.getByRole('button', { name: /^popping corn/ })
	).toContainText('by hand');
	await saved(page);
	await page.getByRole('button', { name: /^Undo: take all proposed partners/ }).click();
	await page.getByRole('button', { name: /^Undo: take all proposed groups/ }).click();
	await page.getByRole('link', { name: /^Proposed/ }).click();
	await expect(list.getByRole('listitem').filter({ hasText: 'Make Pulses' }).first()).toBeVisible();
});

test('Sort: the board by keyboard: choose a range, make a group of it', async ({ page }) => {
	await openDemo(page, 'Sort');
	await page.getByRole('link', { name: 'Board' }).click();
	await page.getByLabel('Find things').fill('hot drinks');
	const first = page.getByRole('checkbox', { name: 'black tea bags' });
	await first.focus();
	await page.keyboard.press('Space');
	await page.keyboard.press('Shift+ArrowDown');
	await page.keyboard.press('Shift+ArrowDown');
	await expect(page.getByText('3 chosen')).toBeVisible();
	await page.keyboard.press('m');
	await expect(page.getByLabel('Move to')).toBeFocused();
	await page.keyboard.type('Guest drinks');
	await page.getByRole('button', { name: 'Make a group of them' }).click();
	await expect(page.getByRole('button', { name: 'Guest drinks: 3 things' })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: /^Undo: make Guest drinks/ }).click();
	await expect(page.getByRole('button', { name: 'Guest drinks: 3 things' })).toHaveCount(0);
});

test('Sort: things are dragged onto a tag of the board', async ({ page }) => {
	await openDemo(page, 'Sort');
	await page.getByRole('link', { name: 'Board' }).click();
	await page.getByLabel('Find things').fill('anchovies');
	await page
		.getByText('anchovies', { exact: true })
		.dragTo(page.getByRole('button', { name: /^Baking: 16/ }));
	await expect(page.getByRole('button', { name: 'Baking: 17 things' })).toBeVisible();
	await expect(page.getByRole('button', { name: /^Undo: move anchovies to Baking/ })).toBeEnabled();
});

test('Sort: spares live apart, are planned apart, and come back', async ({ page }) => {
	await openDemo(page, 'Sort');
	await groups(page)
		.getByRole('button', { name: /^Cans: vegetables and fruit: / })
		.click();
	const panel = page.getByRole('complementary', { name: 'Group' });
	await panel.getByRole('button', { name: 'Keep spares apart' }).click();
	await panel.getByRole('button', { name: 'Show the spares' }).click();
	await expect(panel).toContainText('The unopened spares of');
	await goTo(page, 'Place');
	await solve(page);
	await expect(
		page.getByRole('button', { name: /^Tag Cans: vegetables and fruit: spares in / }).first()
	).toBeVisible();
	await goTo(page, 'Sort');
	await groups(page)
		.getByRole('button', { name: /^Cans: vegetables and fruit: spares: / })
		.click();
	await panel.getByRole('button', { name: 'Keep both in one place' }).click();
	await expect(groups(page).getByRole('button', { name: /spares: / })).toHaveCount(0);
});

test('Sort: partners, joining, allergens and users are said by hand', async ({ page }) => {
	await openDemo(page, 'Sort');
	await groups(page)
		.getByRole('button', { name: /^Bread|^Spreads: / })
		.last()
		.click();
	const panel = page.getByRole('complementary', { name: 'Group' });
	await panel.getByLabel('Also near').selectOption({ label: 'Breakfast and bread' });
	const weight = panel.getByLabel('Trips a week to Breakfast and bread');
	await expect(weight).toHaveValue('2');
	await weight.fill('6');
	await weight.press('Tab');
	await expect(panel.getByRole('list', { name: /^Partners of/ })).toContainText('set by hand');
	await panel.getByRole('button', { name: /^peanut butter/ }).click();
	await panel.getByLabel('What peanut butter is free from').fill('Gluten, sesame');
	await panel.getByLabel('What peanut butter is free from').press('Tab');
	await expect(panel).toContainText('Said by hand. The pack decides');
	await panel.getByLabel('Group to join Spreads to').selectOption({ label: 'Sauces' });
	await panel.getByRole('button', { name: 'Join', exact: true }).click();
	await expect(panel.getByLabel('Name of the group')).toHaveValue('Sauces');
	await expect(groups(page).getByRole('button', { name: /^Spreads: / })).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: join Spreads to Sauces/ }).click();
	await expect(groups(page).getByRole('button', { name: /^Spreads: / })).toBeVisible();
});

test('Sort: a new home says what to do, and its first things are grouped', async ({ page }) => {
	await newHome(page, 'Gatehouse');
	await goTo(page, 'Sort');
	await expect(page.getByRole('heading', { name: 'No groups yet' })).toBeVisible();
	await page.getByRole('link', { name: 'Board' }).click();
	await expect(page.getByRole('heading', { name: 'Nothing to sort yet' })).toBeVisible();
	await page.getByRole('link', { name: /^Proposed/ }).click();
	await expect(page.getByRole('heading', { name: 'Nothing to propose' })).toBeVisible();
});

test('Sort: a routine is taken, changed and walked, and brings partners', async ({ page }) => {
	await openDemo(page, 'Sort');
	await part(page, /^Routines/);
	const table = page.getByRole('table', { name: 'Routines' });
	await expect(table.getByRole('row', { name: /^Breakfast 7 \d+\.\d m/ })).toBeVisible();
	await page.getByRole('button', { name: 'Take: Coffee and tea' }).click();
	const sheet = page.getByRole('complementary', { name: 'Routine' });
	const steps = sheet.getByRole('list', { name: 'Steps of Coffee and tea' }).getByRole('listitem');
	await expect(steps).toHaveCount(5);
	await expect(page.getByRole('button', { name: 'Take: Coffee and tea' })).toHaveCount(0);
	const round = () =>
		table
			.getByRole('row', { name: /^Coffee and tea/ })
			.getByRole('cell')
			.nth(1)
			.innerText();
	const before = await round();
	// The longest way there is: to the front door and back for every cup.
	await sheet.getByLabel('Next step').selectOption({ label: 'Front door' });
	await expect(steps).toHaveCount(6);
	expect(Number.parseFloat(await round())).toBeGreaterThan(Number.parseFloat(before));
	await sheet.getByRole('button', { name: 'Front door earlier' }).click();
	await expect(steps.nth(4)).toContainText('Front door');
	await sheet.getByRole('button', { name: 'Take out Front door' }).click();
	expect(await round()).toBe(before);
	await sheet.getByLabel('Times a week').fill('30');
	await sheet.getByLabel('Times a week').press('Enter');
	await saved(page);
	await page.reload();
	await expect(table.getByRole('row', { name: /^Coffee and tea 30 / })).toBeVisible();
	await part(page, /^Proposed/);
	const pair = page
		.getByRole('list', { name: 'Proposed partners' })
		.getByRole('listitem')
		.filter({ hasText: 'in your routine: Coffee and tea' });
	await expect(pair.first()).toContainText('15 trips a week');
});

test('Sort: a routine of one’s own is written down and taken away', async ({ page }) => {
	await openDemo(page, 'Sort');
	await part(page, /^Routines/);
	await page.getByRole('button', { name: 'Routine of our own' }).click();
	const sheet = page.getByRole('complementary', { name: 'Routine' });
	await expect(sheet).toContainText('No steps yet');
	await sheet.getByLabel('Name').fill('Stall morning');
	await sheet.getByLabel('Name').press('Enter');
	await sheet.getByLabel('Next step').selectOption({ label: 'Bakeware' });
	await sheet.getByLabel('Next step').selectOption({ label: 'Oven' });
	await expect(
		sheet.getByRole('list', { name: 'Steps of Stall morning' }).getByRole('listitem')
	).toHaveCount(2);
	await sheet.getByRole('button', { name: 'Remove the routine' }).click();
	const table = page.getByRole('table', { name: 'Routines' });
	await expect(table.getByRole('row', { name: /^Stall morning/ })).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: remove Stall morning/ }).click();
	await expect(table.getByRole('row', { name: /^Stall morning/ })).toBeVisible();
});
