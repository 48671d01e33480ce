import { expect, test, type Page } from '@playwright/test';
import { goTo, openGenerated, openPlanned, saved, solve } from './helpers';

const panelOf = (page: Page) =>
	page.getByRole('complementary', { name: 'What goes in and what it costs' });
const openPlace = async (page: Page, label: string) => {
	await page.getByRole('combobox', { name: 'Place' }).selectOption({ label });
	await expect(panelOf(page).getByRole('heading', { name: label, exact: true })).toBeVisible();
	await expect(panelOf(page).getByRole('heading', { name: 'Containers' })).toBeVisible();
};
/** Opens the place that has a group, of those where it may be. */
async function openWith(page: Page, group: string, labels: RegExp): Promise<void> {
	const all = await page
		.getByRole('combobox', { name: 'Place' })
		.locator('option')
		.allTextContents();
	for (const label of all.filter((one) => labels.test(one))) {
		await openPlace(page, label.trim());
		if (await panelOf(page).getByLabel(`What holds ${group}`, { exact: true }).count()) return;
	}
	throw new Error(`${group} is in none of ${all.join(', ')}`);
}
/** Says what holds a group, and waits for the place to be fitted anew. */
async function holdWith(page: Page, group: string, holder: string): Promise<void> {
	const choice = panelOf(page).getByRole('combobox', {
		name: `What holds ${group}`,
		exact: true
	});
	if (!(await choice.isVisible()))
		await panelOf(page).getByText('What holds it', { exact: true }).click();
	await choice.selectOption({ label: holder });
}
/** Containers of a kind in the list, with what is in each. */
const held = (page: Page, kind: RegExp) =>
	panelOf(page).getByRole('listitem').filter({ hasText: kind });

test('Fit: each place gets what its goods want: trap, cutlery, raw food, spices, freezer', async ({
	page
}) => {
	test.setTimeout(120_000);
	await openPlanned(page, 'Place');
	// The spices get a shelf of their own over the sink: steps take more floor than jars in rows.
	const reason = page.getByRole('complementary', { name: 'Reasons and figures' });
	await page
		.getByRole('button', { name: /^[^T].*: .*Spices and herbs/ })
		.first()
		.click();
	await reason.getByRole('button', { name: /Spices and herbs$/ }).click();
	await reason.getByRole('button', { name: 'Move it' }).click();
	await page.getByRole('button', { name: /^Over the sink, middle shelf/ }).click();
	await goTo(page, 'Fit');

	await test.step('under the sink a caddy beside the trap, carried out whole', async () => {
		await openPlace(page, 'Under the sink');
		await holdWith(page, 'Cleaning', 'caddy');
		const caddies = held(page, /Carrying caddy/).first();
		await expect(caddies).toContainText('washing-up liquid');
		// What stands as high as the trap keeps off it, as it is drawn from above.
		const hits = await page
			.getByRole('group', { name: /from above, front edge at the bottom/ })
			.evaluate((svg) => {
				const boxes = (query: string) =>
					[...svg.querySelectorAll(query)].map((one) => one.getBoundingClientRect());
				const inside = svg.querySelector('.d-carcass')!.getBoundingClientRect();
				return boxes('[data-part]').filter(
					({ left, right, top, bottom }) =>
						left < inside.left - 2 ||
						right > inside.right + 2 ||
						top < inside.top - 2 ||
						bottom > inside.bottom + 2
				).length;
			});
		expect(hits).toBe(0);
	});
	await test.step('cutlery in trays, each kind in its own', async () => {
		await openWith(page, 'Cutlery', /drawer$/);
		const trays = held(page, /Drawer (?:tray|box)/);
		await expect(trays.filter({ hasText: 'dinner forks' }).first()).toBeVisible();
		await expect(panelOf(page).getByText(/^\d+ dinner forks/)).toBeVisible();
		await expect(panelOf(page).getByText(/^\d+ teaspoons/)).toBeVisible();
	});
	await test.step('raw meat on drip trays, low in the fridge', async () => {
		await openPlace(page, 'Fridge, lowest shelf');
		const trays = held(page, /Drip tray/).first();
		await expect(trays).toContainText('chicken thighs raw');
		await expect(trays).toContainText('minced beef raw');
		// It never goes without, whatever is said.
		await holdWith(page, 'Raw meat and fish', 'nothing: it stands free');
		await expect(held(page, /Drip tray/).first()).toContainText('chicken thighs raw');
	});
	await test.step('spices on steps, seen over each other', async () => {
		await openPlace(page, 'Over the sink, middle shelf');
		await holdWith(page, 'Spices and herbs', 'riser with steps');
		await expect(held(page, /[Rr]iser|Spice steps/).first()).toContainText(/basil|cumin|cinnamon/);
	});
	await test.step('frozen packs in a basket that lifts out', async () => {
		await openWith(page, 'Frozen meat and fish', /^(?:Freezer|Chest)/);
		await holdWith(page, 'Frozen meat and fish', 'basket');
		await expect(held(page, /[Bb]asket/).first()).toContainText(/frozen|fish/);
	});
	await saved(page);
});

/** A home with a plan and the usual containers to choose from, at Fit. */
async function planned(page: Page): Promise<void> {
	await goTo(page, 'Place');
	await solve(page);
	await goTo(page, 'Fit');
	const parts = page.getByRole('navigation', { name: 'Parts of Fit' });
	await parts.getByRole('link', { name: 'Containers' }).click();
	await page.getByRole('button', { name: 'Show the usual kinds' }).click();
	await expect(page.getByText('Freezer basket', { exact: true })).toBeVisible();
	await parts.getByRole('link', { name: 'Places' }).click();
	await expect(page.getByRole('button', { name: 'Keep this one' })).toBeVisible();
}

test('Fit: a cutlery drawer gets a tray cut to it, and the shop card says to what size', async ({
	page
}, info) => {
	test.setTimeout(120_000);
	await openGenerated(page, info, 'family');
	await planned(page);
	await openWith(page, 'Cutlery', /Drawer/);
	// In its place by the names of the arrangements: calm fills the drawer from side to side.
	await page.getByRole('button', { name: /^Calm/ }).click();
	const insert = held(page, /Cutlery insert/).first();
	await expect(insert).toContainText(/cut to 558 mm × \d+ mm/);
	await expect(insert).toContainText('12 forks');
	await expect(insert).toContainText('12 teaspoons');
	await expect(panelOf(page)).toContainText(
		'Proven: none of the ways tried to hold this here does better'
	);
	await page.getByRole('button', { name: 'Keep this one' }).click();
	await page
		.getByRole('navigation', { name: 'Parts of Fit' })
		.getByRole('link', { name: 'Shop card' })
		.click();
	const line = page
		.getByRole('listitem')
		.filter({ hasText: /Cutlery insert/ })
		.first();
	await expect(line).toContainText(/cut to 558 mm × \d+ mm; leaves 6 mm across/);
	await saved(page);
});

test('Fit: baskets of a chest freezer stand in layers, and what is where is said', async ({
	page
}, info) => {
	test.setTimeout(120_000);
	await openGenerated(page, info, 'freezers');
	await planned(page);
	await openPlace(page, 'Chest freezer: Bottom layer');
	await panelOf(page).getByText('What holds it', { exact: true }).click();
	const choices = panelOf(page).getByRole('combobox', { name: /^What holds / });
	for (const choice of await choices.all()) {
		await choice.selectOption({ label: 'basket' });
		await expect(page.getByRole('button', { name: 'Keep this one' })).toBeVisible();
	}
	const baskets = held(page, /[Bb]asket|crate/);
	await expect(baskets.filter({ hasText: 'at the bottom' }).first()).toBeVisible();
	await expect(baskets.filter({ hasText: 'on top' }).first()).toBeVisible();
	await saved(page);
});

test('Fit: one look for a room has its price, and is kept to', async ({ page }) => {
	test.setTimeout(120_000);
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	await openPlace(page, 'Basin cabinet, drawer');
	const look = panelOf(page).getByRole('region', { name: 'One look' });
	await look.getByRole('button', { name: 'What would one look cost here?' }).click();
	const prices = look.getByRole('list', { name: 'What each look costs' });
	await expect(prices.getByRole('listitem')).toHaveCount(4, { timeout: 60_000 });
	await expect(prices).toContainText(/white: .* to buy/);
	await look.getByRole('combobox', { name: /Containers in/ }).selectOption('white');
	await expect(
		panelOf(page)
			.getByText(/White (?:deep )?bin|White lidded/)
			.first()
	).toBeVisible();
	await expect(held(page, /^\d+ × (?:Open|Small open|Narrow) bin/)).toHaveCount(0);
	await saved(page);
});

test('Fit: boxes have their lids on where that is said, and the lids stand with them', async ({
	page
}) => {
	test.setTimeout(120_000);
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	const all = await page
		.getByRole('combobox', { name: 'Place' })
		.locator('option')
		.allTextContents();
	const lids = panelOf(page).getByRole('region', { name: 'Lids' });
	for (const label of all) {
		await openPlace(page, label.trim());
		if (await lids.count()) break;
	}
	const ways = lids.getByRole('group', { name: /^Lids of / }).first();
	await expect(ways.getByRole('button', { name: 'Nested' })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await ways.getByRole('button', { name: 'Lids on' }).click();
	await expect(ways.getByRole('button', { name: 'Lids on' })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await expect(page.getByRole('button', { name: 'Keep this one' })).toBeVisible();
	// A box and its lid are in one row or one container.
	const together = panelOf(page)
		.getByRole('listitem')
		.filter({ hasText: /food box.*box lid/ });
	await expect(together.first()).toBeVisible();
	await saved(page);
});
