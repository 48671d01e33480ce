import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, openPlanned, panel } from './helpers';

const STAGES = ['Walk', 'Clear', 'Sort', 'Place', 'Fit', 'Mark', 'Turn', 'Keep'];

/** Opens a panel by the keyboard, and looks that the focus goes in, that Escape closes it, and that it comes back. */
async function inAndBack(page: Page, opener: ReturnType<Page['locator']>, name: string) {
	await opener.focus();
	await opener.press('Enter');
	const own = panel(page, name);
	await expect(own).toBeVisible();
	await expect
		.poll(() => own.evaluate((element) => element.contains(document.activeElement)))
		.toBe(true);
	// One press of Tab reaches what can be done in it.
	await page.keyboard.press('Tab');
	expect(await own.evaluate((element) => element.contains(document.activeElement))).toBe(true);
	await page.keyboard.press('Escape');
	await expect(opener).toBeFocused();
}

for (const [device, use] of Object.entries({
	desktop: { viewport: { width: 1280, height: 800 } },
	phone: { viewport: { width: 390, height: 844 } }
}))
	test.describe(`on a ${device}`, () => {
		test.use(use);
		test('the focus goes into every sheet and comes back, by the keyboard alone', async ({
			page
		}) => {
			await openPlanned(page, 'Walk');
			await inAndBack(
				page,
				page.getByRole('button', { name: /^Under the sink, in/ }),
				'Nook sheet'
			);
			await inAndBack(page, page.getByRole('button', { name: 'Cabinet Sink cabinet' }), 'Cabinet');
			await goTo(page, 'Sort');
			await inAndBack(page, page.getByRole('button', { name: /^Baking: / }), 'Group');
			await page.getByRole('link', { name: 'Board' }).click();
			await inAndBack(page, page.getByRole('button', { name: 'About anchovies' }), 'Thing');
			await page.getByRole('link', { name: 'Routines' }).click();
			await inAndBack(
				page,
				page.getByRole('table', { name: 'Routines' }).getByRole('button').first(),
				'Routine'
			);
			await goTo(page, 'Place');
			const tag = page.getByRole('button', { name: /^Tag / }).first();
			await tag.focus();
			await tag.press('Enter');
			await expect(page.getByText('You hold')).toBeVisible();
			// Let go of, it is looked at: its reasons have the focus.
			await page.keyboard.press('Escape');
			const reasons = panel(page, 'Reasons and figures');
			await expect
				.poll(() => reasons.evaluate((element) => element.contains(document.activeElement)))
				.toBe(true);
			await page.keyboard.press('Escape');
			await expect(page.getByText('effort a week, in metres')).toHaveCount(0);
		});
	});

test('all stages can be gone through by the keyboard: skip link, search, keys, letters off', async ({
	page
}) => {
	await openDemo(page);
	await page.keyboard.press('Tab');
	await expect(page.getByRole('link', { name: 'Skip to the work' })).toBeFocused();
	await page.keyboard.press('Enter');
	await page.keyboard.press('Tab');
	expect(await page.evaluate(() => !!document.activeElement?.closest('main'))).toBe(true);
	for (const stage of STAGES) {
		const link = page
			.getByRole('navigation', { name: 'Stages' })
			.getByRole('link', { name: stage });
		await link.focus();
		await page.keyboard.press('Enter');
		await expect(page.getByRole('heading', { level: 1, name: stage })).toBeVisible();
	}
	await goTo(page, 'Clear');
	await page.keyboard.press('?');
	const keys = page.getByRole('dialog', { name: 'Keys' });
	await expect(keys).toContainText('Keep all with no concerns');
	await keys.getByLabel('Single letters act as keys').press('Space');
	await page.keyboard.press('Escape');
	await expect(keys).toBeHidden();
	const advice = page.getByRole('complementary', { name: 'Advice' }).getByRole('heading');
	const first = await advice.innerText();
	const pile = page.getByRole('group', { name: /^Pile/ });
	await pile.focus();
	await page.keyboard.press('k');
	await expect(advice).toHaveText(first);
	// What was typed and taken is undone by Ctrl+Z in the field itself.
	await goTo(page, 'Walk');
	await page.getByRole('button', { name: /^Under the sink, in/ }).press('Enter');
	const width = page.getByLabel('Inside width');
	const before = await width.inputValue();
	await width.fill('700');
	await width.press('Enter');
	await expect(width).toHaveValue('700 mm');
	await width.press('Control+z');
	await expect(width).toHaveValue(before);
});

test('on a phone nothing that has the focus lies under the bar', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await openDemo(page);
	const hidden: string[] = [];
	for (const stage of STAGES) {
		await goTo(page, stage);
		await page.locator('main').focus();
		for (let i = 0; i < 45; i++) {
			await page.keyboard.press('Tab');
			const under = await page.evaluate(() => {
				const at = document.activeElement;
				const bar = document.querySelector('nav[aria-label="Stages"]')!.getBoundingClientRect();
				if (!at?.closest('main')) return null;
				const { top, bottom } = at.getBoundingClientRect();
				return top >= bar.top - 4 || bottom <= 0
					? (at.getAttribute('aria-label') ?? at.textContent)
					: '';
			});
			if (under === null) break;
			if (under) hidden.push(`${stage}: ${under.trim().slice(0, 40)}`);
		}
	}
	expect(hidden).toEqual([]);
});

for (const scheme of ['light', 'dark'] as const)
	test(`on a phone every screen and sheet passes the accessibility rules, ${scheme}`, async ({
		page
	}) => {
		test.setTimeout(240_000);
		await page.setViewportSize({ width: 390, height: 844 });
		await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
		await openPlanned(page);
		const found: string[] = [];
		const check = async (name: string) => {
			const { violations } = await new AxeBuilder({ page })
				.setLegacyMode(true)
				.options({
					resultTypes: ['violations'],
					preload: false,
					runOnly:
						scheme === 'light'
							? { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }
							: { type: 'rule', values: ['color-contrast'] }
				})
				.analyze();
			for (const { id, nodes } of violations)
				found.push(`${name}: ${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
		};
		await check('Job sheet');
		for (const stage of STAGES) {
			await goTo(page, stage);
			await check(stage);
			const opener = {
				Walk: page.getByRole('button', { name: /^Under the sink, in/ }),
				Clear: page.getByRole('list', { name: /^Pile/ }).getByRole('button').first(),
				Sort: page.getByRole('button', { name: /^Baking: / })
			}[stage];
			if (!opener) continue;
			await opener.press('Enter');
			await expect(page.getByRole('dialog')).toBeVisible();
			await check(`${stage}, with its sheet`);
			await page.keyboard.press('Escape');
			await expect(page.getByRole('dialog')).toHaveCount(0);
		}
		expect(found).toEqual([]);
	});
