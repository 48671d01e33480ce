import { expect, test, type Locator, type Page } from '@playwright/test';
import { openPlanned } from './helpers';

/** A finger rests so long on what it taps, ms. */
const HELD_MS = 80;

/** Taps as a finger does: it comes down, rests, and goes up; the browser makes the click of it. */
async function tap(page: Page, target: Locator): Promise<void> {
	await target.scrollIntoViewIfNeeded();
	const box = (await target.boundingBox())!;
	const point = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
	const browser = await page.context().newCDPSession(page);
	await browser.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] });
	await page.waitForTimeout(HELD_MS);
	await browser.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
	await browser.detach();
}

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** One press, one act: what opened is the one thing asked for, and nothing of the home has changed. */
async function opensOnly(page: Page, target: Locator, sheet: string): Promise<void> {
	await tap(page, target);
	const opened = page.getByRole('dialog', { name: sheet });
	await expect(opened).toBeVisible();
	// Two frames more: what a second act of the same press would have done is done by then.
	await page.evaluate(
		() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))
	);
	await expect(page.getByRole('dialog')).toHaveCount(1);
	await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
	await page.keyboard.press('Escape');
	await expect(opened).toHaveCount(0);
}

test('a finger held on a target does one thing', async ({ page }) => {
	await openPlanned(page, 'Walk');
	for (const name of ['Cabinet Sink cabinet', 'Cabinet Drawer stack'])
		await opensOnly(page, page.getByRole('button', { name, exact: true }), 'Cabinet');
	await opensOnly(page, page.getByRole('button', { name: /^Under the sink, in/ }), 'Nook sheet');
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	const plan = page.locator('main');
	for (const name of [/^Station .*(?:sink|Sink)/, /^Station .*(?:hob|Hob)/, /^Sink cabinet/])
		await opensOnly(page, plan.getByRole('button', { name }).first(), 'On the plan');
});
