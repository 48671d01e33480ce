import { chromium, expect, test } from '@playwright/test';
import products from '../data/products.json' with { type: 'json' };
import { CHROMIUM_ARGS, chromiumPath } from '../scripts/chromium.mjs';
import { filmOfCode } from './camera-film';

const product = products[0]!;

test('a pack is scanned by the camera, its number looked up, and what it is put right', async ({
	baseURL
}, info) => {
	const film = info.outputPath('pack.y4m');
	filmOfCode(product.code, film);
	const browser = await chromium.launch({
		executablePath: chromiumPath(),
		args: [
			...CHROMIUM_ARGS,
			'--use-fake-ui-for-media-stream',
			'--use-fake-device-for-media-stream',
			`--use-file-for-fake-video-capture=${film}`
		]
	});
	try {
		const context = await browser.newContext({ baseURL: baseURL!, serviceWorkers: 'block' });
		const page = await context.newPage();
		await page.goto('/demo');
		await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
		await page.goto('/home/demo/clear');
		await page.getByRole('button', { name: 'Scan a pack' }).click();
		const line = page.getByLabel('Entry line: one thing');
		await expect(line).toHaveValue(new RegExp(product.name));
		await expect(page.getByRole('dialog', { name: 'Scan a pack' })).toHaveCount(0);
		await line.press('Enter');
		await expect(page.getByText(`${product.name} entered`)).toBeVisible();
	} finally {
		await browser.close();
	}
});

test('without a camera the stand-in answers, and says that its products are invented', async ({
	page
}) => {
	await page.goto('/demo');
	await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
	await page.goto('/home/demo/clear');
	await page.evaluate(() =>
		Object.defineProperty(navigator.mediaDevices, 'enumerateDevices', { value: async () => [] })
	);
	// The stand-in misreads one pack in a few, as scanners do: here it reads right.
	await page.route('**/stand-ins/scanner', (route) =>
		route.fulfill({ json: { text: product.code } })
	);
	await page.getByRole('button', { name: 'Scan a pack' }).click();
	const line = page.getByLabel('Entry line: one thing');
	await expect(line).toHaveValue(new RegExp(product.name));
	await line.fill('');
	await expect(page.getByText(/stand-in scanner, whose products are invented/)).toBeVisible();
});
