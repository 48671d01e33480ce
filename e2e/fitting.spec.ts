import { expect, test, type Page } from '@playwright/test';
import { goTo, openPlanned, saved } from './helpers';

/** Fits every place of a freshly solved demo home together. */
async function fitAll(page: Page, crowd: readonly string[] = []) {
	await openPlanned(page, 'Place');
	// More on one shelf than it holds, by the keyboard: a notice that slides in takes no key away.
	for (const name of crowd) {
		const tag = page.getByRole('button', { name: `Tag ${name} in ` }).first();
		if ((await tag.getAttribute('aria-label'))!.includes(' in Over the drawers, middle')) continue;
		await tag.press('Enter');
		await page.getByRole('button', { name: /^Over the drawers, middle shelf: / }).press('Enter');
	}
	await goTo(page, 'Fit');
	await page.getByRole('button', { name: /^Fit the \d+ open places/ }).click();
	await expect(page.getByText(/\d+ places fitted/)).toBeVisible({ timeout: 60_000 });
}
const panelOf = (page: Page) =>
	page.getByRole('complementary', { name: 'What goes in and what it costs' });
const place = (page: Page) => page.getByRole('combobox', { name: 'Place' });

test('Fit: each container says what is in it; what did not go in finds another place', async ({
	page
}) => {
	test.setTimeout(120_000);
	await fitAll(page, ['Vases', 'Dog things', 'Lunch gear', 'Food boxes']);
	const panel = panelOf(page);
	await expect(panel.getByRole('heading', { name: 'Containers' })).toBeVisible();
	// What is drawn says what is in it when it is tapped.
	await page
		.getByRole('group', { name: /from above, front edge at the bottom/ })
		.locator('g')
		.first()
		.click();
	await expect(page.getByText('Tap a container or a row')).toHaveCount(0);
	// Places where not all goes in are listed for the whole home.
	await panel.getByText(/\d+ places? where not all goes in/).click();
	const links = panel.locator('details').getByRole('button');
	const count = await links.count();
	let moved = false;
	for (let i = 0; i < count && !moved; i++) {
		await links.nth(i).click();
		const over = panel.getByRole('region', { name: 'Did not fit' });
		await over
			.getByRole('button', { name: /^Where else/ })
			.first()
			.click();
		const put = over.getByRole('button', { name: /^Put in / }).first();
		await expect(put.or(over.getByText(/^Nowhere/).first())).toBeVisible();
		if (!(await put.isVisible())) continue;
		await put.click();
		moved = true;
	}
	expect(moved).toBe(true);
	await expect(page.getByRole('button', { name: /^Undo: move / })).toBeVisible();
	await expect(page.getByRole('button', { name: /^Fit the \d+ open places/ })).toBeVisible();
	await saved(page);
});

test('Fit: a row is moved by keys, by millimetres and with the mouse; what is in the way is said', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	const drawing = page.getByRole('group', { name: /from above, front edge at the bottom/ });
	const parts = drawing.getByRole('button');
	/** The part at the right, where there is room beside it and another one stands at the left wall in its way. */
	const movable = () =>
		drawing.evaluate((svg) => {
			const inside = svg.querySelector('.d-carcass')!.getBoundingClientRect();
			const all = [...svg.querySelectorAll('[data-part]')].map((one) =>
				one.getBoundingClientRect()
			);
			const right = Math.max(...all.map((one) => one.right));
			const at = all.findIndex((one) => one.right === right);
			const last = all[at];
			const isInTheWay = all.some(
				(one) =>
					one !== last &&
					one.left < inside.left + 12 &&
					last &&
					one.top < last.bottom - 4 &&
					last.top < one.bottom - 4
			);
			return isInTheWay && inside.right - right > 22 ? at : -1;
		});
	let at = -1;
	for (const label of [
		'Larder shelf 4',
		'Larder shelf 5',
		'Larder shelf 3',
		'Larder shelf 2',
		'Lamp room rack, shelf 3',
		'Lamp room rack, shelf 2',
		'Cool bench, upper tier'
	]) {
		await place(page).selectOption({ label });
		await expect(parts.first()).toBeVisible();
		at = await movable();
		if (at >= 0) break;
	}
	expect(at).toBeGreaterThanOrEqual(0);
	const last = parts.nth(at);
	await last.focus();
	await page.keyboard.press('Enter');
	const left = page.getByLabel('From the left', { exact: true });
	const before = parseInt(await left.inputValue());
	await last.focus();
	await page.keyboard.press('Shift+ArrowRight');
	await expect(left).toHaveValue(`${before + 10} mm`);
	await page.getByRole('button', { name: /^Undo: fit / }).click();
	await expect(page.getByRole('button', { name: 'Keep this one' })).toBeVisible();
	await expect(left).toHaveValue(`${before} mm`);
	await left.fill('0');
	await left.press('Enter');
	await expect(page.getByText(/^It stays where it was: .+ there\.$/)).toBeVisible();
	await expect(left).toHaveValue(`${before} mm`);
	// What was said at the bottom must not lie over it.
	await last.evaluate((part) => part.scrollIntoView({ block: 'center' }));
	const box = (await last.boundingBox())!;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2 + 300, box.y + box.height / 2, { steps: 6 });
	await page.mouse.up();
	// It ends at the wall, and is kept.
	await expect(page.getByText('Kept. Fit it again to see other arrangements.')).toBeVisible();
	expect(parseInt(await left.inputValue())).toBeGreaterThan(before + 20);
	await saved(page);
});

test('Fit: shelves are set for what stands on them, and back again; where a rule is against it, it says so', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	const ask = 'Would other heights hold more?';
	const set = 'The shelves stand so now';
	const heights = panelOf(page).getByRole('region', { name: 'Shelf heights' });
	const labels = (await place(page).getByRole('option').allInnerTexts()).filter((label) =>
		/shelf/.test(label)
	);
	/** Asks, where it was not looked at by itself, and waits for the answer. */
	const lookHere = async () => {
		const button = heights.getByRole('button', { name: ask });
		const answer = heights.getByText(/They stand well|Clear heights from below/);
		await expect(button.or(answer).first()).toBeVisible();
		if (await button.isVisible()) await button.click();
		await expect(answer).toBeVisible();
	};
	/** Looks at shelves one by one until what is said of them is of this kind. */
	const lookUntil = async (said: RegExp) => {
		for (const label of labels) {
			await place(page).selectOption({ label });
			await expect(place(page).getByRole('option', { name: label, exact: true })).toBeAttached();
			if (!(await heights.count())) continue;
			await lookHere();
			if (said.test(await heights.innerText())) return;
		}
		throw new Error(`No shelves of which ${said} is said.`);
	};
	await lookUntil(/a hard rule is against/);
	await expect(heights.getByRole('button', { name: set })).toHaveCount(0);
	await lookUntil(/(up|down) by \d+ holes? \(\d+ mm\)(?![^]*a hard rule is against)/);
	await expect(heights).toContainText('Then these stand whole on one shelf');
	await heights.getByRole('button', { name: set }).click();
	const undo = page.getByRole('button', { name: /^Undo: set the shelves/ });
	await expect(undo).toBeVisible();
	// What stood here may stand on another of the shelves now.
	if (await heights.count()) await lookHere();
	await expect(heights.getByRole('button', { name: set })).toHaveCount(0);
	await undo.click();
	await lookHere();
	await expect(heights.getByRole('button', { name: set })).toBeVisible();
	await saved(page);
});

test.describe('in the shop', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
	test('the card works without network; one bin is out of stock, another does', async ({
		page,
		context
	}) => {
		test.setTimeout(120_000);
		await fitAll(page);
		await page
			.getByRole('navigation', { name: 'Parts of Fit' })
			.getByRole('link', { name: 'Shop card' })
			.click();
		await expect(page.getByText(/To buy:/)).toBeVisible();
		const first = page.getByRole('listitem').filter({
			has: page.getByRole('button', { name: /^Bought: / })
		});
		const lines = await first.count();
		expect(lines).toBeGreaterThan(0);
		// Not that one.
		const line = first.first();
		await line.getByText('Found another one?').click();
		// Read with the meter, side by side; where it hears nothing it says so, and the rest is typed.
		await line.getByRole('button', { name: 'Read its width' }).click();
		await expect(
			line.getByRole('button', { name: 'Read its depth' }).or(line.getByRole('alert'))
		).toBeVisible();
		await context.setOffline(true);
		await line.getByLabel('Outer size, width × depth × height').fill('3 m');
		await line.getByRole('button', { name: 'Would it do?' }).click();
		await expect(line.getByRole('alert')).toContainText('Type width × depth × height');
		await line.getByLabel('Outer size, width × depth × height').fill('3000 x 400 x 150');
		await line.getByRole('button', { name: 'Would it do?' }).click();
		await expect(line.getByRole('list', { name: 'Where it would do' })).toContainText(
			'it does not go in'
		);
		// Into the basket, and out again.
		await line.getByRole('button', { name: /^Bought: / }).click();
		const basket = page.getByRole('region', { name: 'In the basket' });
		await expect(basket.getByRole('listitem')).toHaveCount(1);
		await basket.getByRole('button', { name: 'Put back' }).click();
		await expect(first).toHaveCount(lines);
		await saved(page);
		await context.setOffline(false);
	});
});

test('Fit: a liner is cut to a drawer, bought with the rest, and put back', async ({ page }) => {
	test.setTimeout(120_000);
	await fitAll(page);
	const parts = panelOf(page).getByRole('region', { name: 'Liners, hooks and dividers' });
	const wantLiner = parts.getByRole('button', { name: 'Put on the shop card: Non-slip liner' });
	// The first drawer that holds something that slides.
	for (const label of await place(page).locator('option').allTextContents()) {
		if (!/drawer/i.test(label)) continue;
		await place(page).selectOption({ label });
		if (await wantLiner.isVisible()) break;
	}
	await expect(parts).toContainText(/strips? of \d+ mm from a roll \d+ mm wide/);
	await wantLiner.click();
	await expect(parts.getByText('On the shop card', { exact: true })).toBeVisible();
	await page
		.getByRole('navigation', { name: 'Parts of Fit' })
		.getByRole('link', { name: 'Shop card' })
		.click();
	const bought = page.getByRole('button', { name: /^Bought: Non-slip liner/ });
	await expect(page.getByText(/\d m × Non-slip liner/)).toBeVisible();
	await bought.click();
	await expect(bought).toHaveCount(0);
	const basket = page.getByRole('region', { name: 'In the basket' });
	await expect(basket.getByRole('listitem')).toContainText(/\d m × Non-slip liner/);
	await basket.getByRole('button', { name: 'Put back' }).click();
	await expect(bought).toBeVisible();
	await saved(page);
});

test('Fit: a budget of nothing is kept to, and words that are no sum are refused', async ({
	page
}) => {
	test.setTimeout(120_000);
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	const budget = panelOf(page).getByLabel(/^Budget/);
	await budget.fill('a lot');
	await budget.press('Enter');
	await expect(panelOf(page).getByRole('alert')).toContainText('“a lot” is not one');
	await budget.fill('0');
	await budget.press('Enter');
	await page.getByRole('button', { name: /^Fit the \d+ open places/ }).click();
	await expect(page.getByText(/places fitted.*Nothing to buy/)).toBeVisible({ timeout: 60_000 });
});
