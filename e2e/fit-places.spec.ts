import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, saved, solve } from './helpers';

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
	await openDemo(page, 'Place');
	await solve(page);
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
