import { expect, test } from '@playwright/test';
import { goTo, openDemo, openPlanned, saved, solve } from './helpers';

test('the household sets the rules: a lock taken away rules the sink out for cleaners', async ({
	page
}) => {
	await openDemo(page, 'Walk');
	await page.getByRole('button', { name: /^Under the sink, in/ }).click();
	await page.getByRole('button', { name: 'Its cabinet' }).click();
	await page.getByLabel('Has a lock', { exact: true }).uncheck();
	await saved(page);
	await goTo(page, 'Place');
	await solve(page);
	// Hold the cleaners, wherever they are now: the sink says no.
	await page
		.getByRole('button', { name: /^Tag Cleaning in |CL\s*Cleaning$/ })
		.first()
		.click();
	await expect(page.getByRole('button', { name: /^Under the sink: needs a lock/ })).toBeVisible();
});

test('people, pets and stations are entered where the survey is', async ({ page }) => {
	await openDemo(page, 'Walk');
	await page.getByRole('link', { name: /^People/ }).click();
	const household = page.getByRole('region', { name: 'People and pets' });
	await household.getByLabel('Name of a person').fill('Tilda');
	await household.getByRole('button', { name: 'Person' }).click();
	await household.getByText('Tilda, adult').click();
	const stature = household.getByLabel('Height of Tilda');
	await stature.fill(`5' 2"`);
	await stature.press('Enter');
	await expect(stature).toHaveValue('1575 mm');
	await household
		.getByRole('group')
		.filter({ hasText: 'Tilda' })
		.getByLabel('May not climb')
		.check();
	await expect(household.getByText('Tilda, adult, may not climb')).toBeVisible();
	const lifts = household.getByLabel('Tilda lifts at most');
	await lifts.fill('two bags');
	await lifts.press('Enter');
	await expect(household.getByRole('alert')).toContainText('“two bags” is not a weight');
	await lifts.fill('4.5 kg');
	await lifts.press('Enter');
	await expect(household.getByRole('alert')).toHaveCount(0);
	await household.getByLabel('Allergies of Tilda').fill('peanut, milk');
	await household.getByLabel('Allergies of Tilda').press('Enter');
	await expect(household).toContainText('a doctor says how strict to be');
	await household.getByLabel('Name of a pet').fill('Moss');
	await household.getByRole('button', { name: 'Pet', exact: true }).click();
	const kind = household.getByLabel('Kind of Moss');
	await expect(kind).toHaveValue('pet');
	await kind.selectOption('rabbit');
	await saved(page);
	await expect(kind).toHaveValue('rabbit');
	const reach = page.getByRole('complementary', { name: 'What each can reach' });
	await reach.getByLabel('Space by reach of').selectOption({ label: 'Tilda' });
	await expect(reach).toContainText('out of reach');
	await page.getByRole('link', { name: 'Walls' }).click();
	await page.getByRole('combobox', { name: /^Reach of/ }).selectOption({ label: 'Tilda' });
	await page.getByRole('button', { name: 'Cabinet Sink cabinet' }).click();
	await page.getByLabel('What you do in front of it').selectOption('laundry');
	await page.getByRole('button', { name: 'Put it here' }).click();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.getByRole('button', { name: 'Station Laundry' })).toBeVisible();
	await page.getByRole('link', { name: 'Walls' }).click();
	await page.getByRole('button', { name: /^Under the sink, in/ }).click();
	await page.getByLabel('Name of this place').fill('Below the basin of the kitchen');
	await page.getByLabel('Name of this place').press('Enter');
	await expect(
		page.getByRole('button', { name: /^Below the basin of the kitchen, in/ })
	).toBeVisible();
});

test('what is held and what the house has steer the lists', async ({ page }) => {
	await openPlanned(page, 'Sort');
	await page.getByRole('button', { name: /^Grains, pasta, pulses:/ }).click();
	await page.getByRole('button', { name: /^penne/ }).click();
	const par = page.getByLabel('Packs of penne to hold');
	await par.fill('9');
	await par.press('Enter');
	await goTo(page, 'Turn');
	await page.getByRole('link', { name: /^Shopping list/ }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'penne' })).toContainText(
		'have 3 of 9'
	);
	await goTo(page, 'Fit');
	await page.getByRole('link', { name: 'Containers in the house' }).click();
	await page.getByLabel('Find a container').fill('flour jar');
	const owned = page.getByLabel('Flour jar owned', { exact: true });
	await owned.fill('4');
	await owned.press('Enter');
	await page.getByRole('button', { name: 'One Flour jar more', exact: true }).click();
	await expect(owned).toHaveValue('5');
	await page.getByLabel('Find a container').fill('');
	await page.getByRole('button', { name: 'New kind' }).click();
	const sheet = page.getByRole('complementary', { name: 'Container' });
	await sheet.getByLabel('Name').fill('Wicker basket');
	await sheet.getByLabel('Width', { exact: true }).fill('12"');
	await sheet.getByLabel('Depth', { exact: true }).fill('20 cm');
	await sheet.getByLabel('Height', { exact: true }).fill('wide');
	await sheet.getByLabel('Name').focus();
	await expect(sheet.getByRole('alert')).toContainText('“wide” is not a size');
	await expect(sheet.getByRole('button', { name: 'Save it' })).toBeDisabled();
	await sheet.getByLabel('Height', { exact: true }).fill('15 cm');
	await sheet.getByLabel('Name').focus();
	await sheet.getByRole('button', { name: 'Save it' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Wicker basket' })).toContainText(
		'305 mm × 200 mm × 150 mm'
	);
	// A shop's list comes in as a table: what is wrong with a row is said, the others are taken.
	await page.getByLabel('A table of containers').setInputFiles({
		name: 'shop.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(
			'Item;W;D;H;Each\nPantry tub;18 cm;28 cm;12 cm;3,20\nLow tray;30 cm;20 cm;;1,10'
		)
	});
	await expect(page.getByRole('row', { name: /Low tray/ })).toContainText('No height');
	await page.getByRole('button', { name: 'Take in 1 container kind' }).click();
	await page.getByLabel('Find a container').fill('tub');
	await expect(page.getByRole('listitem').filter({ hasText: 'Pantry tub' })).toContainText(
		'180 mm × 280 mm × 120 mm'
	);
	await saved(page);
});

test('what is moved goes to its place, or waits on the table', async ({ page }) => {
	await openDemo(page, 'Clear');
	await page.getByRole('combobox', { name: 'Place' }).selectOption('n2-up');
	const advice = page.getByRole('complementary', { name: 'Advice' });
	await expect(advice).toContainText('Advice: Move');
	// Cleaners are many here and food is little: the food moves.
	await expect(advice).toContainText('It stands among things that can hurt');
	const first = await advice.getByRole('heading').innerText();
	await page.keyboard.press('m');
	await page.getByRole('combobox', { name: 'Place' }).selectOption({ label: 'On the table (1)' });
	await expect(advice.getByRole('heading')).toHaveText(first);
	await advice.getByLabel('Move it to').selectOption({ label: 'Under the sink' });
	await advice.getByRole('button', { name: 'Move', exact: true }).click();
	await expect(page.getByText('This place is empty.')).toBeVisible();
	await page.getByRole('combobox', { name: 'Place' }).selectOption('sink');
	await expect(page.getByRole('list', { name: 'Pile: Under the sink' })).toContainText(
		first.replace(/^\d+ × /, '')
	);
});
