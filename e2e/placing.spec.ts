import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, openGenerated, openPlanned, saved, solve } from './helpers';

const part = (page: Page, name: RegExp) =>
	page.getByRole('navigation', { name: 'Parts of Place' }).getByRole('link', { name }).click();

test('Place: four schools side by side; one group’s place, then a whole plan is taken', async ({
	page
}) => {
	test.setTimeout(180_000);
	await openDemo(page, 'Place');
	await solve(page);
	await part(page, /^Side by side/);
	await page.getByRole('button', { name: 'Plan by four schools' }).click();
	const little = page.getByRole('region', { name: 'Change as little as possible' });
	await expect(page.getByRole('region', { name: 'Use every inch' })).toBeVisible({
		timeout: 120_000
	});
	await expect(little).toContainText('metres walked a week');
	const panel = page.getByRole('complementary', { name: 'Group by group' });
	await expect(panel).toContainText(/\d+ of \d+ groups end up in different places/);
	await panel.getByRole('listitem').first().getByRole('button').click();
	const put = page.getByRole('button', { name: 'Put it there in my plan' });
	const unlike = panel.getByRole('listitem').filter({ has: put }).first();
	const there = await unlike.innerText();
	await unlike.getByRole('button').click();
	await expect(panel.getByRole('listitem').first()).toContainText(
		there.split('\n')[1]!.replace('Put it there in my plan', '').trim()
	);
	await little.getByRole('button', { name: 'Take this plan' }).click();
	await saved(page);
	await part(page, /^Plan/);
	await expect(page.getByRole('combobox', { name: /^Change/ })).toHaveValue('little');
	await expect(page.getByText('This plan is out of date')).toHaveCount(0);
});

test('Place: what has no place is named, with the rule and the smallest change', async ({
	page
}) => {
	await openDemo(page, 'Walk');
	for (const [wall, cabinet] of [
		['Lamp room wall', 'Chest freezer'],
		['Kitchen, window side', 'Fridge-freezer']
	] as const) {
		await page.getByRole('combobox', { name: /^Wall/ }).selectOption({ label: wall });
		await page.getByRole('button', { name: `Cabinet ${cabinet}` }).click();
		await page.getByRole('button', { name: 'Remove the cabinet' }).click();
	}
	await goTo(page, 'Place');
	await solve(page);
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel.getByRole('heading', { name: 'Without a place' })).toBeVisible();
	const frozen = panel.getByRole('listitem').filter({ hasText: 'Frozen vegetables' });
	await expect(frozen).toContainText('No place in this home is allowed for it');
	await expect(frozen).toContainText('Frozen goods go in a freezer');
});

test('Place: the notes say until when the household learns', async ({ page }) => {
	await openPlanned(page, 'Place');
	await part(page, /^Notes/);
	await expect(page.getByRole('region', { name: 'Drawer stack' })).toContainText('Top drawer');
	await page.getByLabel('We are trying this out until').fill('2026-03-16');
	await expect(page.getByText('If something lands in the wrong place')).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByLabel('We are trying this out until')).toHaveValue('2026-03-16');
});

/** The group of a tag by what the tag is called. */
const nameOf = (label: string) => /^Tag (.+?) in /.exec(label)![1]!;

test.describe('on a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
	test('a note is moved by two taps, also to another wall; Cancel lets go of it', async ({
		page
	}) => {
		await openPlanned(page, 'Place');
		const walls = page.getByRole('navigation', { name: 'Walls' });
		const larder = walls.getByRole('button', { name: /^Larder, long wall [+−]\d+$/ });
		// The first group that the larder has room for, whatever the plan is.
		const tags = page.getByRole('button', { name: /^Tag .+ in / });
		const labels = await tags.evaluateAll((all) =>
			all.map((tag) => tag.getAttribute('aria-label')!)
		);
		let from = '';
		for (const label of labels) {
			if (labels.filter((other) => nameOf(other) === nameOf(label)).length > 1) continue;
			await page.getByRole('button', { name: label, exact: true }).tap();
			await expect(page.getByText('You hold')).toBeVisible();
			if (await larder.isVisible()) from = label;
			await page.getByRole('button', { name: 'Cancel' }).tap();
			await expect(page.getByText('You hold')).toHaveCount(0);
			if (from) break;
		}
		const first = page.getByRole('button', { name: from, exact: true });
		await expect(first).toBeVisible();
		await first.tap();
		await walls.getByRole('button', { name: /^Larder, long wall/ }).tap();
		const top = page.evaluate(() => scrollY);
		const free = page
			.getByRole('region', { name: 'Larder, long wall' })
			.getByRole('button', { name: /: [+−]\d+$/ })
			.first();
		const place = (await free.getAttribute('aria-label'))!.replace(/: .*$/, '');
		await expect(free).toBeInViewport({ ratio: 0.9 });
		await free.tap();
		await expect(
			page.getByRole('button', { name: `Tag ${nameOf(from)} in ${place}` })
		).toBeVisible();
		expect(await page.evaluate(() => scrollY)).toBe(await top);
		await page.getByRole('button', { name: 'Close' }).first().tap();
		await page
			.getByRole('button', { name: `Undo: ${nameOf(from)} to` })
			.first()
			.tap();
		await expect(page.getByRole('button', { name: from })).toBeAttached();
	});
	test('the moves are carried out one by one, and a slip is taken back', async ({ page }) => {
		await openPlanned(page, 'Place');
		await part(page, /^Moves/);
		const now = page.getByRole('region', { name: 'The step at hand' });
		const count = async () =>
			Number((await page.getByText(/^\d+ steps?,/).innerText()).split(' ')[0]);
		const before = await count();
		const first = await now.innerText();
		await now.getByRole('button', { name: 'Done, next' }).tap();
		await expect(page.getByText(new RegExp(`^${before - 1} steps,`))).toBeVisible();
		expect(await now.innerText()).not.toBe(first);
		await page.getByRole('button', { name: /^Undo: / }).tap();
		await expect(page.getByText(new RegExp(`^${before} steps,`))).toBeVisible();
		// Stopped half-way and looked at again, it goes on where it was.
		await now.getByRole('button', { name: 'Done, next' }).tap();
		await saved(page);
		await page.reload();
		await expect(page.getByText(new RegExp(`^${before - 1} steps,`))).toBeVisible();
		await goTo(page, 'Place');
	});
});

test('Place: a pin is kept, and the plan says what it costs', async ({ page }) => {
	await openPlanned(page, 'Place');
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel).toContainText(/\d+ of \d+ places stay empty; \d+ % of the space is\s+free/);
	// Put where it is dearer than anywhere, and pinned there.
	await page
		.getByRole('button', { name: /^Tag Hot drinks in / })
		.first()
		.press('Enter');
	const dear = page.getByRole('button', { name: /: \+\d{2,}$/ }).last();
	await dear.press('Enter');
	await panel.getByRole('button', { name: 'Pin here' }).click();
	const wish = panel.getByRole('list', { name: 'Wishes' }).getByRole('listitem');
	await expect(wish).toContainText('Solve again to see what that costs');
	await solve(page);
	await expect(wish).toContainText(/It costs [\d,]+ m of effort a week, at most [\d,]+ m/);
	await saved(page);
	await page.reload();
	await expect(wish).toContainText(/It costs [\d,]+ m of effort a week/);
});

test('Place: a solver that breaks down in the middle leaves the last plan, and can be run again', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	const tag = page.getByRole('button', { name: /^Tag Baking in / }).first();
	const before = await tag.getAttribute('aria-label');
	const script = /place\.worker/;
	await page.route(script, (route) =>
		route.fulfill({
			contentType: 'text/javascript',
			body: `addEventListener('message', ({ data }) => {
			postMessage({ kind: 'progress', id: data.id, progress: { doneShare: 0.3, best: { objective: 1 } } });
			queueMicrotask(() => { throw new Error('out of memory'); });
		});`
		})
	);
	await page.reload();
	await page.getByRole('button', { name: 'Solve again' }).click();
	await expect(page.getByRole('alert')).toContainText('The plan was not computed');
	await expect(page.getByRole('alert')).toContainText('out of memory');
	await expect(page.getByRole('alert')).toContainText('The last plan is still here');
	expect(await tag.getAttribute('aria-label')).toBe(before);
	await page.unroute(script);
	await page.reload();
	await solve(page);
	await expect(page.getByRole('alert')).toHaveCount(0);
});

test('Place: a house of 200 places and 250 groups: stopped in the middle, then planned to the end', async ({
	page
}, info) => {
	test.setTimeout(400_000);
	await openGenerated(page, info, 'house');
	await goTo(page, 'Place');
	await page.getByRole('button', { name: 'Solve', exact: true }).click();
	await expect(page.getByRole('status').filter({ hasText: /\d+ %, best/ })).toBeVisible({
		timeout: 60_000
	});
	await page.getByRole('button', { name: 'Stop, keep the best' }).click();
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel.getByRole('heading', { name: 'The whole week' })).toBeVisible();
	await expect(panel.getByRole('heading', { name: 'Broken rules' })).toHaveCount(0);
	await saved(page);
	await page.getByRole('button', { name: 'Solve again' }).click();
	await expect(page.getByRole('button', { name: 'Solve again' })).toBeVisible({
		timeout: 180_000
	});
	await expect(panel.getByRole('heading', { name: 'Broken rules' })).toHaveCount(0);
	await expect(panel).toContainText(/at\s+most \d+\.\d % from the best/);
});

test('Place: a proof finds the way back from a move by hand, and can be undone', async ({
	page
}, info) => {
	await openGenerated(page, info, 'room');
	await goTo(page, 'Place');
	await solve(page);
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel).toContainText('Proven: no plan is better');
	const effort = async () =>
		Number((await panel.innerText()).match(/Effort ([\d,]+)/)![1]!.replaceAll(',', ''));
	const best = await effort();
	await page
		.getByRole('button', { name: /^Tag Group 6 in / })
		.first()
		.press('Enter');
	await page
		.getByRole('button', { name: /: \+\d+$/ })
		.last()
		.press('Enter');
	await expect(panel).toContainText(/at most .+ from the best/);
	expect(await effort()).toBeGreaterThan(best);
	await panel.getByRole('button', { name: 'Prove it, or find better' }).click();
	await expect(page.getByText(/A better plan was found, [\d.]+ m a week less/)).toBeVisible({
		timeout: 30_000
	});
	await expect(panel).toContainText('Proven: no plan is better');
	expect(await effort()).toBe(best);
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(panel).toContainText(/at most .+ from the best/);
	expect(await effort()).toBeGreaterThan(best);
});

test('Place: the search for a proof can be stopped, and the plan stays', async ({ page }) => {
	await openPlanned(page, 'Place');
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel.getByRole('region', { name: 'Review' })).toHaveAttribute('aria-busy', 'false');
	const before = await panel.innerText();
	await panel.getByRole('button', { name: 'Prove it, or find better' }).click();
	await expect(panel.getByRole('status')).toContainText('Proving');
	await panel.getByRole('button', { name: 'Stop proving' }).click();
	await expect(panel.getByRole('button', { name: 'Prove it, or find better' })).toBeVisible();
	expect(await panel.innerText()).toBe(before);
});

test('Place: a home with a toddler asks for a lock; fitted, the plan is better', async ({
	page
}, info) => {
	await openGenerated(page, info, 'toddler');
	await goTo(page, 'Place');
	// Asked before anything is planned; here nobody has fitted it yet.
	const asked = page.getByRole('region', { name: 'Child safety' });
	await expect(asked.getByRole('listitem').first()).toContainText(
		/Sink cabinet: a lock\s+for .*Bleach/
	);
	await solve(page);
	const help = page.getByRole('region', { name: 'What would help most' });
	await help.getByRole('button', { name: 'Find out' }).click();
	await expect(help.getByRole('listitem').filter({ hasText: 'Lock: Sink cabinet' })).toContainText(
		/saves \d+ m of effort a week/,
		{ timeout: 60_000 }
	);
	await expect(help.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 60_000 });
	await asked.getByRole('button', { name: 'Lock fitted: Sink cabinet' }).click();
	await saved(page);
	await expect(asked.getByRole('listitem').filter({ hasText: 'Sink cabinet' })).toHaveCount(0);
	await solve(page);
	// The cleaners stand where one looks for them, now that a child does not get at them.
	await expect(
		page.getByRole('button', { name: 'Tag Cleaning in Sink cabinet: Under the sink', exact: true })
	).toBeVisible();
});

test('Place: what somebody who sits cannot reach says so; a shelf is moved for what is too tall', async ({
	page
}, info) => {
	await openGenerated(page, info, 'wheels');
	await goTo(page, 'Place');
	await solve(page);
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	const tall = panel
		.getByRole('listitem')
		.filter({ hasText: /Small appliances/ })
		.last();
	await expect(tall).toContainText(
		/\d+ holes? \(\d+ mm\) more under the shelf over .+ would let .+ in/
	);
	await tall.getByRole('button', { name: 'Shelf moved' }).click();
	await saved(page);
	await solve(page);
	await expect(panel.getByRole('heading', { name: 'Without a place' })).toHaveCount(0);
	// Whichever is in sight: of many in one place the last are counted, not drawn.
	await page
		.getByRole('button', { name: /^Tag (Cutlery|Everyday dishes) in / })
		.first()
		.click();
	await expect(
		page.getByRole('button', { name: 'Wall cabinet: Shelf 3: out of reach' })
	).toBeVisible();
});

test('Place: the household says where a kind belongs, and takes it back', async ({ page }) => {
	await openPlanned(page, 'Place');
	await page.getByText('Where kinds belong', { exact: true }).click();
	await page.getByRole('combobox', { name: /^Kind/ }).selectOption({ label: 'Baking' });
	await expect(page.getByText('Because dry food and cans belong in the larder.')).toBeVisible();
	await page
		.getByRole('combobox', { name: /^In this home/ })
		.selectOption({ label: 'lowest wall shelf' });
	await page.getByRole('button', { name: 'Keep', exact: true }).click();
	await saved(page);
	await expect(page.getByText('Baking: lowest wall shelf is first choice')).toBeVisible();
	await page.getByRole('button', { name: 'Forget it for Baking, lowest wall shelf' }).click();
	await expect(page.getByText('Baking: lowest wall shelf is first choice')).toHaveCount(0);
});
