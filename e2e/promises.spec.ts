import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { goTo, openDemo, openPlanned, saved, solve } from './helpers';

const STAGES = ['Walk', 'Clear', 'Sort', 'Place', 'Fit', 'Mark', 'Turn', 'Keep'];

test.describe('with the program kept for later', () => {
	test.use({ serviceWorkers: 'allow' });
	test('after the first load everything works with the server out of reach', async ({
		page,
		context
	}) => {
		// The proof alone may take a minute, on a busy machine two.
		test.setTimeout(240_000);
		await openDemo(page);
		await page.evaluate(async () => {
			await navigator.serviceWorker.ready;
			if (!navigator.serviceWorker.controller)
				await new Promise((done) =>
					navigator.serviceWorker.addEventListener('controllerchange', done)
				);
		});
		// The solver of proofs and the reader of codes are large and seldom asked for; they are there all the same.
		const kept = await page.evaluate(async () => {
			const opened = await Promise.all((await caches.keys()).map((name) => caches.open(name)));
			const requests = await Promise.all(opened.map((cache) => cache.keys()));
			return requests.flat().map(({ url }) => url);
		});
		expect(kept.filter((url) => url.endsWith('.wasm'))).toHaveLength(2);
		await context.setOffline(true);
		await page.goto('/home/demo/place');
		await solve(page);
		// Its worker loads parts that no page names.
		await page.getByRole('button', { name: 'Prove it, or find better' }).click();
		// A bound comes from the solver alone, and so does an answer; the proof itself need not be waited for.
		await expect(
			page
				.getByText(
					/Proving: no plan can|Proven: no plan|better plan was found|plan that saves|nothing better|Not proven/
				)
				.first()
		).toBeVisible({
			timeout: 120_000
		});
		await goTo(page, 'Turn');
		await page.getByRole('button', { name: 'Take down one sliced bread loaf' }).click();
		await saved(page);
		await page.reload();
		await expect(
			page.getByRole('button', { name: 'Undo: 1 sliced bread loaf taken down' })
		).toBeVisible();
		await goTo(page, 'Fit');
		await expect(page.getByRole('group', { name: 'Arrangements' })).toBeVisible();
		await page.goto('/');
		await expect(page.getByRole('link', { name: /The halt at Quillmere/ })).toBeVisible();
	});
});

test('no request leaves the machine, and the policy forbids it', async ({ page }) => {
	const foreign: string[] = [];
	const violations: string[] = [];
	page.on('request', (request) => {
		const url = new URL(request.url());
		if (!['localhost', ''].includes(url.hostname) && !['data:', 'blob:'].includes(url.protocol))
			foreign.push(request.url());
	});
	page.on('console', (message) => {
		if (/Content Security Policy/i.test(message.text())) violations.push(message.text());
	});
	const response = await page.goto('/');
	const policy = response!.headers()['content-security-policy']!;
	for (const rule of [
		"default-src 'self'",
		"script-src 'self'",
		"connect-src 'self'",
		"object-src 'none'",
		"frame-ancestors 'none'"
	])
		expect(policy).toContain(rule);
	expect(policy).not.toMatch(/unsafe-eval|https?:/);
	expect(policy.match(/script-src[^;]*/)![0]).not.toContain('unsafe-inline');
	// Workers go by the policy of their own file.
	for (const file of ['/service-worker.js', '/fonts/label-bold.ttf']) {
		const { [`content-security-policy`]: own, 'x-content-type-options': sniff } = (
			await page.request.get(file)
		).headers();
		expect(own).toContain("default-src 'self'");
		expect(sniff).toBe('nosniff');
	}
	await openDemo(page);
	for (const stage of STAGES) await goTo(page, stage);
	await goTo(page, 'Place');
	await solve(page);
	expect(foreign).toEqual([]);
	expect(violations).toEqual([]);
	const blocked = await page.evaluate(() =>
		fetch('http://198.51.100.1/').then(
			() => 'sent',
			() => 'blocked'
		)
	);
	expect(blocked).toBe('blocked');
	expect(violations.length).toBeGreaterThan(0);
});

test('text of a file is never run as markup', async ({ page }) => {
	await openDemo(page, 'Clear');
	const line = page.getByLabel('Entry line: one thing');
	await line.fill('1 <img src=x onerror=alert(1)>');
	await line.press('Enter');
	await expect(page.getByRole('list', { name: /^Pile/ })).toContainText(
		'<img src=x onerror=alert(1)>'
	);
	await expect(page.locator('img[src="x"]')).toHaveCount(0);
});

test('the schema and the API answer', async ({ request }) => {
	const schema = await request.get('/schema/home.v12.json');
	expect((await schema.json()).properties.format.const).toBe('keepnook-home');
	const bad = await request.post('/api/v1/place', { data: { home: {} } });
	expect(bad.status()).toBe(400);
	expect((await bad.json()).issues.length).toBeGreaterThan(0);
	const large = await request.post('/api/v1/fit', {
		data: 'x'.repeat(20_500_000),
		headers: { 'content-type': 'application/json' }
	});
	expect(large.status()).toBe(413);
});

test('the server plans the very same as the page', async ({ page, request }) => {
	await openDemo(page);
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Export the home' }).click()
	]);
	const { readFile } = await import('node:fs/promises');
	const { home } = JSON.parse(await readFile(await file.path(), 'utf8'));
	const answer = await request.post('/api/v1/place', {
		data: { home, options: { seed: 1 } }
	});
	expect(answer.status()).toBe(200);
	const plan = await answer.json();
	await goTo(page, 'Place');
	await solve(page);
	await saved(page);
	await page.goto('/home/demo');
	const [after] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Export the home' }).first().click()
	]);
	const planned = JSON.parse(await readFile(await after.path(), 'utf8')).home;
	const own = planned.zonePlans[planned.activePlanId];
	expect(own.assignments).toEqual(plan.assignments);
	expect(own.objective).toBe(plan.objective);
	expect(own.bound).toBe(plan.bound);
});

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** Checks the page at hand against the rules, and names the screen in what it finds. */
const checker =
	(page: Page, rules: 'all' | 'colours' = 'all') =>
	async (name: string) => {
		// The program has no frames, and only what breaks a rule is read: without the rest a check takes a third.
		const axe = new AxeBuilder({ page }).setLegacyMode(true).options({
			resultTypes: ['violations'],
			preload: false,
			runOnly:
				rules === 'all'
					? { type: 'tag', values: RULES }
					: { type: 'rule', values: ['color-contrast'] }
		});
		const { violations } = await axe.analyze();
		const found = violations.flatMap(({ id, nodes }) =>
			nodes.map((node) => `${name}: ${id}: ${node.target.join(' ')}: ${node.failureSummary}`)
		);
		expect(found).toEqual([]);
	};

for (const scheme of ['light', 'dark'] as const)
	test(`every screen passes the accessibility rules, ${scheme}`, async ({ page }) => {
		test.setTimeout(240_000);
		await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
		// The dark differs in colours alone.
		const check = checker(page, scheme === 'light' ? 'all' : 'colours');
		await page.goto('/');
		await expect(page.getByText('None yet.')).toBeVisible();
		await check('Homes');
		await openPlanned(page);
		await expect(page.locator('html')).toHaveAttribute(
			'data-theme',
			scheme === 'light' ? 'linen' : 'cellar'
		);
		await check('Job sheet');
		for (const stage of STAGES) {
			await goTo(page, stage);
			if (stage === 'Walk') await page.getByRole('button', { name: /^Under the sink, in/ }).click();
			if (stage === 'Sort') await page.getByRole('button', { name: /^Baking: / }).click();
			if (stage === 'Place') await page.getByRole('button', { name: /^Tag Baking/ }).click();
			// Every place is fitted once, in the light.
			if (stage === 'Fit' && scheme === 'dark') {
				await expect(page.getByRole('group', { name: 'Arrangements' })).toBeVisible();
			} else if (stage === 'Fit') {
				await page.getByRole('button', { name: /^Fit the \d+ open/ }).click();
				await expect(page.getByText(/places fitted/)).toBeVisible({ timeout: 60_000 });
			}
			await check(stage);
		}
	});

for (const stages of [
	['Walk', 'Clear', 'Sort', 'Place'],
	['Fit', 'Mark', 'Turn']
])
	test(`every part of ${stages.join(', ')} passes the accessibility rules`, async ({ page }) => {
		test.setTimeout(240_000);
		await page.emulateMedia({ reducedMotion: 'reduce' });
		await openDemo(page);
		const check = checker(page);
		for (const stage of stages) {
			await goTo(page, stage);
			const parts = page.getByRole('navigation', { name: `Parts of ${stage}` }).getByRole('link');
			for (let i = 1; i < (await parts.count()); i++) {
				await parts.nth(i).click();
				await expect(parts.nth(i)).toHaveAttribute('aria-current', 'page');
				await check(`${stage}, ${await parts.nth(i).innerText()}`);
			}
		}
	});

for (const [name, { size, texts }] of Object.entries({
	'phone, with text twice as large too,': { size: { width: 390, height: 844 }, texts: [1, 2] },
	tablet: { size: { width: 820, height: 1180 }, texts: [1] }
}))
	test(`every screen fits a ${name} without scrolling sideways`, async ({ page }) => {
		test.setTimeout(240_000);
		await page.setViewportSize(size);
		await openDemo(page);
		const beyond = () =>
			page.evaluate(() => {
				const over = document.documentElement.scrollWidth - window.innerWidth;
				// Half a pixel may be rounded up.
				if (over <= 1) return '';
				const wide = [...document.querySelectorAll('main *, header *')].filter(
					(element) =>
						element.getBoundingClientRect().right > window.innerWidth + 1 &&
						!element.closest('.tabs, .strip, svg')
				);
				return `${over} px, by ${wide
					.slice(0, 3)
					.map((element) => `${element.tagName}.${element.className}`)
					.join(', ')}`;
			});
		const found: string[] = [];
		const check = async (screen: string) => {
			for (const share of texts) {
				await page.evaluate(async (size) => {
					document.documentElement.style.fontSize = `${size * 100}%`;
					// Drawings take their size once they are laid out.
					await new Promise(requestAnimationFrame);
					await new Promise(requestAnimationFrame);
				}, share);
				const over = await beyond();
				if (over) found.push(`${screen}, text × ${share}: ${over}`);
			}
			await page.evaluate(() => (document.documentElement.style.fontSize = ''));
		};
		for (const stage of ['', ...STAGES]) {
			if (stage) await goTo(page, stage);
			await check(stage || 'Job sheet');
			const parts = page.getByRole('navigation', { name: `Parts of ${stage}` }).getByRole('link');
			for (let i = 0; i < (await parts.count()); i++) {
				await parts.nth(i).click();
				await expect(parts.nth(i)).toHaveAttribute('aria-current', 'page');
				await expect(parts.nth(i)).toBeInViewport({ ratio: 0.9 });
				await check(`${stage}, ${await parts.nth(i).innerText()}`);
			}
		}
		expect(found).toEqual([]);
	});
