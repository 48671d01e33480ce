import { expect, test, type Page, type TestInfo } from '@playwright/test';
import { goTo, openGenerated, openPlanned, solve } from './helpers';

/** A tag, a place, what the drawing says of it in three words at most, and what the page says when it is put there. */
type Row = readonly [tag: string, place: string, short: string, long: string];

/** Goes through the rules of a solved home: each move by hand is said to break its rule, and is taken back. */
async function breakEach(page: Page, rows: readonly Row[]): Promise<void> {
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	for (const [tag, place, short, long] of rows)
		await test.step(`${tag} in ${place}`, async () => {
			await page
				.getByRole('button', { name: new RegExp(`^Tag ${tag} in `) })
				.first()
				.click();
			await page.getByRole('button', { name: `${place}: ${short}`, exact: true }).click();
			await expect(page.getByText(new RegExp(`^${tag}: .*${long}`))).toBeVisible();
			await expect(panel).toContainText(long);
			await page
				.getByRole('button', { name: new RegExp(`^Undo: ${tag} to`) })
				.first()
				.click();
			await expect(page.getByRole('button', { name: `Tag ${tag} in ${place}` })).toHaveCount(0);
		});
}

/** Opens a sketched home and plans it. */
async function openSketched(
	page: Page,
	info: TestInfo,
	which: 'wheels' | 'freezers'
): Promise<void> {
	await openGenerated(page, info, which);
	await goTo(page, 'Place');
	await solve(page);
}

test('Place: what a hard rule forbids is said in words when it is done by hand', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await breakEach(page, [
		['Bakeware', 'Under the sink', 'drips here', 'Under a sink it drips'],
		['Bakeware', 'Use-first tray', 'kept free', 'Kept free for what must be used first'],
		['Bakeware', 'On top over the sink', 'not measured', 'This place is not measured yet'],
		['Bakeware', 'On top by the fridge', 'tops not used', 'Cabinet tops are not used'],
		['Bakeware', 'Basin cabinet, drawer', 'in a bathroom', 'stays out of a bathroom'],
		['Bakeware', 'Mirror cabinet, upper', 'too wide', 'The largest thing will not go in'],
		['Baking', 'Top drawer', 'too tall', 'The tallest thing is too tall'],
		['Baking', 'Fridge, top shelf', 'too cold', 'for what needs the cold'],
		['Baking', 'Over the oven, top shelf', 'too hot', 'No food where it freezes or gets hot'],
		['Baking', 'Tall unit, shelf 3', 'too damp', 'No food in a damp room'],
		['Baking', 'Worktop corner', 'pet’s reach', 'The pet could get at it'],
		['Fruit from the garden', 'Top drawer', 'needs a freezer', 'Frozen goods go in a freezer'],
		['Dairy and eggs', 'Top drawer', 'needs a fridge', 'Chilled goods go in a fridge'],
		['Raw meat and fish', 'Fridge, top shelf', 'may drip', 'go at the bottom of the fridge'],
		['Fridge jars', 'Crisper', 'below raw meat', 'it lies under the raw meat'],
		['Flour in bulk', 'By the fridge, lower shelf', 'heavy, low down', 'from below the knee'],
		['Bathroom cleaning', 'Tall unit, shelf 4', 'needs a lock', 'a catch is not enough']
	]);
});

test('Place: two that may not stand together are said to, in a place and in a cabinet', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await breakEach(page, [
		['Tea towels and linens', 'Dresser, cupboard below', 'full', 'It is over-full'],
		['Descalers', 'Under the sink', 'not together', 'Bleach and acids'],
		['Sauces', 'Fridge, middle shelf', 'too cold', 'for what needs the cold']
	]);
});

test('Place: who sits, and who may not climb, is thought of when something is moved by hand', async ({
	page
}, info) => {
	await openSketched(page, info, 'wheels');
	await breakEach(page, [
		['Hot drinks', 'Wall cabinet: Shelf 3', 'out of reach', 'Somebody who sits cannot reach it'],
		['Drinks', 'Open shelves: Shelf 5', 'heavy, high up', 'Too heavy to lift to this height']
	]);
});

test('Place: what needs a step stool is said where nobody may climb', async ({ page }, info) => {
	await openSketched(page, info, 'freezers');
	await breakEach(page, [
		['Cutlery', 'Wall cabinet: Shelf 3', 'needs a stool', 'Somebody who uses it may not climb']
	]);
});
