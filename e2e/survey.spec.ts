import { readFile, writeFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { goTo, newHome, openDemo, panel, saved } from './helpers';

const fill = async (page: Page, label: string | RegExp, value: string) => {
	const field = page.getByLabel(label, { exact: true });
	await field.fill(value);
	await field.press('Enter');
};
const part = (page: Page, name: RegExp) =>
	page.getByRole('navigation', { name: 'Parts of Walk' }).getByRole('link', { name }).click();
/** Drags the middle of what is named by so many px. */
async function drag(page: Page, name: string, by: { x: number; y: number }) {
	const item = page.getByRole('button', { name, exact: true });
	await item.scrollIntoViewIfNeeded();
	const box = (await item.boundingBox())!;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2 + by.x, box.y + box.height / 2 + by.y, { steps: 6 });
	await page.mouse.up();
}

for (const [device, use] of Object.entries({
	desktop: { viewport: { width: 1280, height: 800 } },
	phone: { viewport: { width: 390, height: 844 }, hasTouch: true }
}))
	test.describe(`on a ${device}`, () => {
		test.use(use);
		test('a cabinet is surveyed from nothing', async ({ page }) => {
			await newHome(page, 'Our flat');
			await goTo(page, 'Walk');
			await page.getByLabel('Width', { exact: true }).fill('wide');
			await page.getByRole('button', { name: 'Add the room' }).click();
			await expect(page.getByRole('alert')).toContainText('“wide” is not a size');
			await page.getByLabel('Width', { exact: true }).fill('3.6 m');
			await page.getByLabel('Depth', { exact: true }).fill('240 cm');
			await page.getByRole('button', { name: 'Add the room' }).click();
			await page.getByLabel('Form of cabinet').selectOption({ label: 'Base cabinet' });
			await page.getByRole('button', { name: 'Add cabinet' }).click();

			// The cabinet comes with its usual numbers; they are corrected, and a shelf is added on a peg.
			await fill(page, 'Name of the cabinet', 'By the window');
			await fill(page, 'Outer width', '598');
			await panel(page)
				.getByRole('button', { name: /Shelf 1/ })
				.click();
			const usable = page.getByRole('region', { name: 'Usable space' });
			await expect(usable).toContainText(' l usable');
			for (const [spot, size] of [
				['at the bottom', '562'],
				['halfway up', '55.9 cm'],
				['at the top', '22"']
			] as const) {
				const summary = page.getByText('usual size, not measured').first();
				if (spot === 'at the bottom') await summary.click();
				await fill(page, spot, size);
			}
			await expect(page.getByLabel('Inside width')).toHaveValue('559 mm');
			await expect(page.getByText('smallest of 3 readings')).toBeVisible();
			await page.getByLabel('Kind of obstruction').selectOption('pipe');
			await page.getByRole('button', { name: 'Add it' }).click();
			await expect(page.getByText('From above')).toBeVisible();
			await page.getByRole('button', { name: 'It is smaller' }).click();
			await fill(page, 'Clear width', '500');
			await fill(page, 'Holds at most', '12 kg');
			await fill(page, 'Temperature', 'cold');
			await expect(page.getByRole('alert')).toContainText('“cold” is no temperature');
			await fill(page, 'Temperature', '18');
			await page.getByLabel('What may be fixed here').selectOption('no-holes');
			await page.getByLabel('In plain sight').check();
			await page.getByRole('button', { name: /^Shelf at .*on a peg/ }).click();
			await page.getByRole('button', { name: 'Close', exact: true }).click();
			await expect(
				page.getByRole('button', {
					name: /^By the window.*Shelf 1.*upper, in By the window|^.*Shelf 1 \(lowest\), upper, in By the window/
				})
			).toBeVisible();
			await page.getByRole('button', { name: 'Cabinet By the window' }).click();
			await page.getByRole('button', { name: 'Duplicate' }).click();
			const copy = page.getByRole('button', { name: 'Cabinet By the window, copy' });
			await expect(copy).toBeVisible();
			await page.getByRole('button', { name: 'Close', exact: true }).click();
			await copy.click();
			await page.getByRole('button', { name: 'Remove the cabinet' }).click();
			await expect(copy).toHaveCount(0);
			const upper = page.getByRole('button', { name: /upper, in By the window/ });
			await upper.click();
			// On a phone a tap on something so small brings it nearer first.
			if (device === 'phone') await upper.click();
			await page.getByRole('button', { name: 'Remove this place' }).click();
			await expect(page.getByRole('button', { name: /upper, in By the window/ })).toHaveCount(0);

			// What no tape was held to is gone through, one number at a time.
			await part(page, /^Tape list/);
			await page.getByRole('button', { name: 'Go through them one by one' }).click();
			const number = page.getByRole('textbox', { name: /^Inside (width|depth|height) of/ });
			const keys = page.getByRole('group', { name: 'Number keys' });
			for (const key of ['5', '4', '0'])
				await keys.getByRole('button', { name: key, exact: true }).click();
			await expect(number).toHaveValue('540');
			await page.getByRole('button', { name: 'Take', exact: true }).click();
			await expect(page.getByText('540 mm')).toBeVisible();
			await page.getByRole('button', { name: 'Next', exact: true }).click();
			await expect(page.getByText(/^2 of \d+$/)).toBeVisible();
			await number.fill('12 bananas');
			await number.press('Enter');
			await expect(page.getByRole('alert')).toContainText('“12 bananas” is not a size');
			await expect(number).toHaveValue('12 bananas');
			await page.getByRole('button', { name: 'Stop here' }).click();

			// The plan: a wall to an exact length, a doorway, something to walk round.
			await part(page, /^Plan/);
			const choose = async (name: string) => {
				// What is chosen stands over the plan on a phone, and is put away first.
				if (device === 'phone') await page.keyboard.press('Escape');
				const item = page.getByRole('button', { name, exact: true });
				await item.focus();
				await item.press('Enter');
			};
			await choose('Wall 1 of Kitchen');
			await fill(page, 'Length', '4.2 m');
			await page.getByRole('button', { name: 'Doorway here' }).click();
			await choose('Kitchen');
			await expect(panel(page).getByLabel('Width')).toHaveValue('4200 mm');
			await page.getByRole('button', { name: 'Put it in' }).first().click();
			await fill(page, 'From the left wall', '1500');
			await page.getByRole('button', { name: 'Take it out' }).click();
			await expect(page.getByRole('button', { name: 'Island', exact: true })).toHaveCount(0);
			await page.getByRole('button', { name: /^Undo: take it out/i }).click();
			await saved(page);
			await page.reload();
			await expect(page.getByRole('button', { name: 'Island', exact: true })).toBeVisible();
			// A line has no height, so it is not asked whether it is visible.
			await expect(page.getByRole('button', { name: 'Doorway 1 of Kitchen' })).toHaveCount(1);
		});
	});

test('Walk: the plan is edited by dragging, with snapping, and by arrow keys', async ({ page }) => {
	await openDemo(page, 'Walk');
	await part(page, /^Plan/);
	const panel = page.getByRole('complementary');
	await expect(panel).toContainText('Work triangle');
	await expect(panel.getByRole('list', { name: 'What is wrong with the triangle' })).toContainText(
		'All good: short walks'
	);
	await drag(page, 'Dining table', { x: -40, y: 12 });
	await expect(page.getByRole('button', { name: 'Undo: move Dining table' })).toBeVisible();
	const left = panel.getByLabel('From the left wall');
	const before = await left.inputValue();
	await page.getByRole('button', { name: 'Dining table', exact: true }).press('ArrowRight');
	await expect(left).not.toHaveValue(before);
	// A socket is marked on the wall, and moved by an exact number.
	await page.getByRole('button', { name: 'Kitchen', exact: true }).press('Enter');
	await panel.getByRole('button', { name: 'Socket' }).click();
	await expect(panel.getByRole('heading', { name: 'Socket 3 of Kitchen' })).toBeVisible();
	await expect(panel).toContainText('licensed electrician');
	await fill(page, 'From the left wall', '1200');
	await saved(page);
	await page.reload();
	await page.getByRole('button', { name: 'Socket 3 of Kitchen', exact: true }).press('Enter');
	await expect(panel.getByLabel('From the left wall')).toHaveValue('1200 mm');
	await panel.getByRole('button', { name: 'Remove the socket' }).click();
	await expect(page.getByRole('button', { name: 'Socket 3 of Kitchen', exact: true })).toHaveCount(
		0
	);
	// The sink far away, in the larder: the side is too long, and said so.
	await drag(page, 'Station Sink', { x: 240, y: 20 });
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect(panel).toContainText(/From Fridge to Sink is \d+ mm, over 2700 mm/);
	await page.getByRole('button', { name: 'Undo: move Sink' }).click();
	await expect(panel).toContainText('All good: short walks');
});

test('Walk: a cabinet is drawn along its wall by its tab', async ({ page }) => {
	await openDemo(page, 'Walk');
	await drag(page, 'Cabinet Drawer stack', { x: -20, y: 0 });
	await expect(page.getByRole('button', { name: 'Undo: move Drawer stack' })).toBeVisible();
	await page.getByRole('button', { name: 'Cabinet Drawer stack' }).click();
	await expect(page.getByLabel('From the left end')).not.toHaveValue('2640 mm');
});

test('Walk: the tape list leads to what is missing, and a laser measure sends it', async ({
	page
}) => {
	await openDemo(page, 'Walk');
	await part(page, /^Tape list/);
	await page.getByRole('button', { name: 'On top over the sink: height' }).click();
	const number = page.getByRole('textbox', { name: /^Inside height of On top over the sink/ });
	// The stand-in sends a reading, or says that it has none.
	await page.route('**/api/v1/stand-ins/laser*', (route) =>
		route.fulfill({ json: { error: 'out-of-range' } })
	);
	await page.getByRole('button', { name: 'Laser' }).click();
	await expect(page.getByRole('alert')).toContainText('Out of range');
	await page.unroute('**/api/v1/stand-ins/laser*');
	await page.route('**/api/v1/stand-ins/laser*', (route) => route.fulfill({ json: { mm: 352 } }));
	await page.getByRole('button', { name: 'Laser' }).click();
	await expect(page.getByText('352 mm')).toBeVisible();
	await expect(page.getByRole('alert')).toHaveCount(0);
	await page.unroute('**/api/v1/stand-ins/laser*');
	// Then it stops answering: said after a while, and the number can still be typed.
	await page.route('**/api/v1/stand-ins/laser*', () => {});
	await page.getByRole('button', { name: 'Laser' }).click();
	await expect(page.getByRole('alert')).toContainText('has not answered', { timeout: 20_000 });
	await number.fill('349');
	await number.press('Enter');
	await expect(page.getByText('349 mm')).toBeVisible();
	await page.getByRole('button', { name: 'Stop here' }).click();
	await expect(page.getByRole('button', { name: /^On top over the sink/ })).toHaveCount(0);
	await goTo(page, 'Walk');
	await page.getByRole('button', { name: /^On top over the sink, in/ }).click();
	await expect(page.getByLabel('Inside height')).toHaveValue('349 mm');
});

test('Walk: a laser measure that sends on its own fills the list by itself', async ({ page }) => {
	await openDemo(page, 'Walk');
	await part(page, /^Tape list/);
	await page.getByRole('button', { name: 'Go through them one by one' }).click();
	await page.getByRole('button', { name: 'Listen' }).click();
	// Three readings a number, from the real stand-in: the next one comes up by itself.
	await expect(page.getByText(/^2 of \d+$/)).toBeVisible({ timeout: 30_000 });
	await page.getByRole('button', { name: 'Stop', exact: true }).click();
	await expect(page.getByRole('button', { name: 'Listen' })).toBeVisible();
});

test('Walk: hidden storage becomes a place, by the rating that is asked for', async ({ page }) => {
	await openDemo(page, 'Walk');
	await part(page, /^Hidden storage/);
	const list = page.getByRole('list', { name: 'Hidden storage' });
	await list
		.getByRole('button', { name: /Hooks on the door|Hooks under the cabinet/ })
		.first()
		.click();
	const panel = page.getByRole('complementary', { name: 'Hidden storage' });
	await panel.getByRole('button', { name: 'Make it a place' }).click();
	await expect(panel.getByRole('alert')).toContainText('it is not guessed here');
	await panel.getByLabel('Rating of one hook').fill('500 g');
	const where = await panel.locator('p.soft').first().innerText();
	await panel.getByRole('button', { name: 'Make it a place' }).click();
	await expect(
		page.getByRole('button', { name: new RegExp(`^Undo: Hooks .*: ${where}`) })
	).toBeVisible();
	await saved(page);
});

/** Draws a picture of so many px in the page. */
const picture = async (page: Page, width: number, height: number): Promise<Buffer> => {
	const url = await page.evaluate(
		([w, h]) => {
			const canvas = document.createElement('canvas');
			[canvas.width, canvas.height] = [w!, h!];
			const pen = canvas.getContext('2d')!;
			for (let i = 0; i < 60; i++) {
				pen.fillStyle = `hsl(${i * 37} 60% 50%)`;
				pen.fillRect((i * w!) / 60, ((i * 7) % 60) * (h! / 60), w! / 6, h! / 6);
			}
			return canvas.toDataURL('image/jpeg', 0.9);
		},
		[width, height]
	);
	return Buffer.from(url.split(',')[1]!, 'base64');
};

test('Walk: a 12-megapixel picture is shrunk and goes along in the archive; no picture is said', async ({
	page
}, info) => {
	await openDemo(page, 'Walk');
	await page.getByRole('button', { name: /^Under the sink, in/ }).click();
	const sheet = page.getByRole('region', { name: 'Picture' });
	const input = sheet.getByLabel('Picture of this place');
	await input.setInputFiles({
		name: 'notes.jpg',
		mimeType: 'image/jpeg',
		buffer: Buffer.from('this is no picture')
	});
	await expect(sheet.getByRole('alert')).toContainText('“notes.jpg” is not a picture');
	await input.setInputFiles({
		name: 'sink.jpg',
		mimeType: 'image/jpeg',
		buffer: await picture(page, 4000, 3000)
	});
	await expect(sheet.getByRole('status')).toContainText('Shrunk from 4000 × 3000 to 1280 × 960');
	await expect(sheet.getByRole('img', { name: 'Under the sink, as it was' })).toBeVisible();
	await saved(page);
	await page.goto('/home/demo');
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'With its picture' }).click()
	]);
	expect(file.suggestedFilename()).toBe('the-halt-at-quillmere.keepnook.zip');
	const bytes = await readFile(await file.path());
	const path = info.outputPath('halt.keepnook.zip');
	await writeFile(path, bytes);
	await page.goto('/');
	await page.getByRole('button', { name: 'Delete The halt at Quillmere' }).click();
	await expect(page.getByText('None yet.')).toBeVisible();
	// Cut short it is refused, whole it brings the picture back.
	const cut = info.outputPath('cut.zip');
	await writeFile(cut, bytes.subarray(0, bytes.length / 2));
	await page.getByLabel('Import a home file').setInputFiles(cut);
	await expect(page.getByRole('alert')).toContainText('The archive is damaged or cut short');
	await page.getByLabel('Import a home file').setInputFiles(path);
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible();
	await goTo(page, 'Walk');
	await page.getByRole('button', { name: /^Under the sink, in/ }).click();
	await expect(page.getByRole('img', { name: 'Under the sink, as it was' })).toBeVisible();
});
