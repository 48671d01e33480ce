import { readFile } from 'node:fs/promises';
import { expect, test, type Download } from '@playwright/test';
import { goTo, openDemo, openPlanned, saved, solve } from './helpers';

const textOf = async (download: Download) => readFile(await download.path(), 'utf8');

test('Walk: read, change and obstruct a nook in any unit', async ({ page }) => {
	await openDemo(page, 'Walk');
	await page.getByRole('button', { name: /^Under the sink, in Sink cabinet/ }).click();
	const sheet = page.getByRole('complementary', { name: 'Nook sheet' });
	const usable = sheet.getByRole('region', { name: 'Usable space' });
	await expect(usable).toContainText('234 l usable');
	const width = sheet.getByLabel('Inside width');
	await width.fill('23 1/2"');
	await width.press('Enter');
	await expect(width).toHaveValue('597 mm');
	await expect(usable).not.toContainText('234 l');
	await width.fill('59.8cm');
	await width.press('Enter');
	await expect(width).toHaveValue('598 mm');
	const before = await usable.getByText(/ l usable/).innerText();
	await sheet.getByLabel('Kind of obstruction').selectOption('filter');
	await sheet.getByRole('button', { name: 'Add it' }).click();
	await expect(usable.getByText(/ l usable/)).not.toHaveText(before);
	// A unit slip, an impossible size and nonsense are said at the field.
	await width.fill('60');
	await width.press('Enter');
	await expect(sheet).toContainText('Did you mean 600 mm?');
	await width.fill('900');
	await width.press('Enter');
	await expect(sheet).toContainText("more than the cabinet's own 800 mm");
	await width.fill('wide');
	await width.press('Enter');
	await expect(sheet.getByRole('alert')).toContainText('“wide” is not a size');
	await saved(page);
});

test('Clear: type, see what is understood, decide by one letter, take it back', async ({
	page
}) => {
	await openDemo(page, 'Clear');
	await page.getByRole('combobox', { name: 'Place' }).selectOption('larder-2');
	const line = page.getByLabel('Entry line: one thing');
	await line.fill('3 tins chopped tomatoes 400g bb 03/27 dent');
	for (const chip of ['count3 tins', 'knownchopped tomatoes', 'size400 g', 'statedented'])
		await expect(page.getByText(chip, { exact: true })).toBeVisible();
	await expect(page.getByLabel('What 31 Mar 2027 is')).toHaveValue('best-before');
	await line.press('Enter');
	await expect(line).toHaveValue('');
	const pile = page.getByRole('list', { name: 'Pile: Larder shelf 2' });
	await expect(
		pile.getByRole('button', { name: /3 chopped tomatoes dented/ }).first()
	).toBeVisible();
	// The can that bulges comes first, with its reason.
	const advice = page.getByRole('complementary', { name: 'Advice' });
	await expect(advice).toContainText('Advice: Discard');
	await expect(advice).toContainText('Do not open or taste it');
	const first = await advice.getByRole('heading').innerText();
	// Letters are the line's while it is typed in; Escape goes to the pile.
	await line.press('Escape');
	await page.keyboard.press('d');
	await expect(advice.getByRole('heading')).not.toHaveText(first);
	await expect(page.getByRole('region', { name: 'Tally of this visit' })).toContainText(
		'Discard 1'
	);
	await page.keyboard.press('x');
	await expect(advice.getByRole('heading')).toHaveText(first);
	await expect(page.getByRole('region', { name: 'Tally of this visit' })).toHaveCount(0);
});

test('Clear: a date that does not exist is said and the line stays; many lines can be pasted', async ({
	page
}) => {
	await openDemo(page, 'Clear');
	const line = page.getByLabel('Entry line: one thing');
	await line.fill('2 soup bb 31/02/27');
	await line.press('Enter');
	await expect(
		page.getByRole('alert').filter({ hasText: 'There is no day 31/02/27' })
	).toBeVisible();
	await expect(line).toHaveValue('2 soup bb 31/02/27');
	await line.fill('');
	await line.evaluate((input) => {
		const data = new DataTransfer();
		data.setData('text', '2 rusks\n4 barley crisps bb 12/26\n1 odd bb 99/99/99');
		input.dispatchEvent(
			new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })
		);
	});
	await expect(page.getByRole('list', { name: /^Pile/ })).toContainText('barley crisps');
	await expect(page.getByRole('list', { name: 'Lines that were not understood' })).toContainText(
		'1 odd bb 99/99/99'
	);
});

test('Sort: figures are computed from things, and a thing moves to another group', async ({
	page
}) => {
	await openDemo(page, 'Sort');
	const baking = page.getByRole('button', { name: /^Baking: / });
	await expect(baking).toHaveAccessibleName('Baking: 21 uses a week, 19 l, tallest 170 mm');
	await baking.click();
	await page.getByLabel('Group of plain flour').selectOption({ label: 'Spreads' });
	await expect(baking).not.toHaveAccessibleName('Baking: 21 uses a week, 19 l, tallest 170 mm');
	await page.getByRole('button', { name: /^cocoa/ }).click();
	await page.getByLabel('How often cocoa is used').selectOption('daily');
	await expect(baking).toHaveAccessibleName(/^Baking: 2[4-9] uses/);
	await page.getByRole('button', { name: /^Undo: uses of cocoa/ }).click();
	await page.getByRole('button', { name: /^Undo: move plain flour/ }).click();
	await expect(baking).toHaveAccessibleName('Baking: 21 uses a week, 19 l, tallest 170 mm');
});

test('Place: solve, read the reason, move by keyboard, pin, solve again', async ({ page }) => {
	await openDemo(page, 'Place');
	await solve(page);
	const panel = page.getByRole('complementary', { name: 'Reasons and figures' });
	await expect(panel.getByRole('row', { name: /metres walked/ })).toContainText(/[\d,]+\s*[\d,]+/);
	await expect(panel).toContainText(/at\s+most \d+\.\d % from the best/);
	const tag = page.getByRole('button', { name: /^Tag Hot drinks in / });
	await tag.focus();
	await page.keyboard.press('Enter');
	await expect(panel).toContainText('effort a week, in metres');
	await expect(panel).toContainText(/Next best with room|No better place/);
	// While it is held every place says what it would cost, or why not.
	await expect(page.getByRole('button', { name: 'Freezer drawer, top: too cold' })).toBeVisible();
	const target = page.getByRole('button', { name: /: \+\d+$/ }).first();
	const place = (await target.getAttribute('aria-label'))!.replace(/: \+\d+$/, '');
	await target.focus();
	await page.keyboard.press('Enter');
	const moved = page.getByRole('button', { name: `Tag Hot drinks in ${place}`, exact: true });
	await expect(moved).toBeVisible();
	await panel.getByRole('button', { name: 'Pin here' }).click();
	// A group that no place takes whole is parted along what it is made of, and says so.
	await page
		.getByRole('button', { name: /^Tag Small appliances in / })
		.first()
		.click();
	await expect(panel).toContainText(/\d+ % of the group: \p{L}+/u);
	await solve(page);
	await expect(
		page.getByRole('button', { name: `Tag Hot drinks in ${place}, pinned`, exact: true })
	).toBeVisible();
	await page.getByRole('button', { name: 'Tag Small appliances in ' }).first().click();
	await expect(panel).toContainText('effort a week, in metres');
});

test('Place: drag a tag with the pointer; a broken rule is said in words', async ({ page }) => {
	await openPlanned(page, 'Place');
	const tag = page.getByRole('button', { name: /^Tag Dairy and eggs in / }).first();
	const target = page.getByRole('button', { name: /^By the fridge, lower shelf/ });
	await tag.scrollIntoViewIfNeeded();
	const from = (await tag.boundingBox())!;
	const to = (await target.boundingBox())!;
	await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
	await page.mouse.down();
	await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
	await page.mouse.up();
	await expect(
		page.getByText('Dairy and eggs: Chilled goods go in a fridge.').first()
	).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Broken rules' })).toBeVisible();
	await expect(page.getByText('A plan that breaks a rule has no effort')).toBeVisible();
	// What else is picked up still has its prices.
	await page.getByRole('button', { name: /^Tag Vases / }).click();
	await expect(page.getByRole('button', { name: /: [+−]\d+$/ }).first()).toBeVisible();
	await expect(page.getByRole('button', { name: /NaN|∞/ })).toHaveCount(0);
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: /^Undo: Dairy and eggs to/ }).click();
	await expect(page.getByRole('heading', { name: 'Broken rules' })).toHaveCount(0);
	// Of a group in several places the part in hand moves; the others stay.
	const parts = page.getByRole('button', { name: /^Tag Paper and refills in / });
	const names = () => parts.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
	const before = await names();
	expect(before.length).toBeGreaterThan(1);
	await parts.last().click();
	await expect(page.getByRole('status').filter({ hasText: 'You hold' })).toContainText(
		/\d+ % of it/
	);
	const free = page.getByRole('button', { name: /: \+\d+$/ }).first();
	const place = (await free.getAttribute('aria-label'))!.replace(/: \+\d+$/, '');
	await free.click();
	await expect(
		page.getByRole('button', { name: `Tag Paper and refills in ${place}` })
	).toBeVisible();
	expect((await names()).sort()).toEqual(
		[`Tag Paper and refills in ${place}`, ...before.slice(0, -1)].sort()
	);
});

test('Fit, Mark: containers go in and are bought; their labels come as PDF and SVG to scale', async ({
	page
}) => {
	await openPlanned(page, 'Place');
	await goTo(page, 'Fit');
	await expect(page.getByRole('group', { name: 'Arrangements' })).toBeVisible();
	await expect(
		page.getByRole('group', { name: /from above, front edge at the bottom, drawn to scale/ })
	).toBeVisible();
	await expect(page.getByRole('group', { name: /from the front, drawn to scale/ })).toBeVisible();
	await page.getByRole('button', { name: 'Keep this one' }).click();
	await page.getByRole('button', { name: /^Fit the \d+ open places/ }).click();
	await expect(page.getByText(/\d+ places fitted/)).toBeVisible({ timeout: 60_000 });
	const panel = page.getByRole('complementary', { name: 'What goes in and what it costs' });
	await expect(panel).toContainText('One trip');
	await goTo(page, 'Mark');
	await expect(page.getByRole('img', { name: /^Sheet 1 of labels/ })).toBeVisible();
	const words = page
		.getByRole('complementary', { name: 'Sheet and words' })
		.getByRole('listitem')
		.first()
		.getByRole('textbox');
	await words.fill('Our own words');
	await words.press('Enter');
	await expect(page.getByRole('img', { name: /Our own words/ })).toBeVisible();
	const [pdf] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: /^PDF/ }).click()
	]);
	expect(pdf.suggestedFilename()).toBe('the-halt-at-quillmere-labels-containers.pdf');
	const body = await readFile(await pdf.path(), 'latin1');
	expect(body.startsWith('%PDF-')).toBe(true);
	// A4 in points.
	expect(body).toMatch(/\/MediaBox \[0 0 595\.2\d* 841\.8\d*\]/);
	const [svg] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'SVG' }).click()
	]);
	const drawing = await textOf(svg);
	expect(drawing.slice(0, 200)).toContain('width="210mm" height="297mm"');
	expect(drawing.replace(/base64,[^)]*/g, '').includes('>Our own')).toBe(true);
	expect(drawing.includes('data:font/ttf;base64,')).toBe(true);
	await page.getByRole('combobox', { name: 'Sheet' }).selectOption('letter-30');
	await expect(page.getByText(/Letter paper/)).toBeVisible();
});

test('Turn: take one down with one tap, see the list follow, undo', async ({ page }) => {
	await openDemo(page, 'Turn');
	const rows = page.getByRole('listitem').filter({ hasText: 'sliced bread loaf' });
	await expect(rows.filter({ hasText: 'printed on the pack' })).toBeVisible();
	await page.getByRole('button', { name: 'Take down one sliced bread loaf' }).click();
	await expect(rows.filter({ hasText: 'printed on the pack' })).toHaveCount(0);
	const parts = page.getByRole('navigation', { name: 'Parts of Turn' });
	await parts.getByRole('link', { name: /^Shopping list/ }).click();
	const line = page
		.getByRole('main')
		.getByRole('listitem')
		.filter({ hasText: 'sliced bread loaf' });
	await expect(line).toContainText('run out: have 0 of 1');
	// Its own toast takes back that and nothing else, though more was done since.
	await page.getByRole('textbox', { name: 'Add to the list' }).fill('2 birthday candles');
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	const toast = page.getByRole('listitem').filter({ hasText: 'sliced bread loaf taken down' });
	await toast.getByRole('button', { name: 'Undo' }).click();
	await expect(line.filter({ hasText: 'run out' })).toHaveCount(0);
	await expect(
		page.getByRole('listitem').filter({ hasText: 'birthday candles' }).first()
	).toBeVisible();
	await parts.getByRole('link', { name: 'Today' }).click();
	await expect(rows.first()).toBeVisible();
});

test('Keep: see what is due, do it, and take the calendar along', async ({ page }) => {
	await openDemo(page, 'Keep');
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Calendar file' }).click()
	]);
	expect(file.suggestedFilename()).toBe('the-halt-at-quillmere-resets.ics');
	const text = await textOf(file);
	expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(10);
	expect(text).toContain('INTERVAL=7');
	const fridge = page.getByRole('listitem').filter({ hasText: 'Fridge, Fridge-freezer' });
	await expect(fridge).toContainText('2 days ago');
	await page.getByRole('link', { name: 'Start: Fridge, Fridge-freezer' }).click();
	await page.getByRole('link', { name: /^Done: the other \d+ are as listed$/ }).click();
	await expect(fridge).toContainText('in 9 days');
	await expect(fridge).toContainText('less often, since little was found');
});
