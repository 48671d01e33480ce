import { chromium, type Locator, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, chromiumPath } from '../scripts/chromium.mjs';
import { withServer } from './with-server';

/** A hand that counts what it does: taps on the glass (a choice in a list is two), and lines that are typed. */
class Hand {
	taps = 0;
	lines = 0;
	characters = 0;
	constructor(readonly page: Page) {}

	async tap(target: Locator): Promise<void> {
		await target.tap();
		this.taps++;
	}
	async choose(target: Locator, value: string | { label: string }): Promise<void> {
		await target.selectOption(value);
		this.taps += 2;
	}
	/** Types a line and enters it: the characters are counted apart from the taps. */
	async type(target: Locator, text: string): Promise<void> {
		await target.fill(text);
		await target.press('Enter');
		this.lines++;
		this.characters += text.length;
		this.taps++;
	}
	/** Keys of the number pad, one tap each. */
	async keys(text: string): Promise<void> {
		for (const key of text) {
			const name = key === 'x' ? 'by, then the next side' : key;
			await this.tap(this.page.getByRole('button', { name, exact: true }));
		}
	}
}

/** Sizes of eight places, width, depth and height: 24 numbers. */
const SIZES = [
	'564x512x276',
	'564x512x276',
	'564x512x640',
	'764x290x300',
	'764x290x300',
	'500x300x210',
	'470x280x150',
	'380x120x600'
];
/** Lines typed for what no list has. */
const TYPED = [
	'2 tins coconut milk bb 11/27',
	'half a cucumber',
	'soup made on sunday',
	'mince 500g frozen 12 jan',
	'fenugreek seeds',
	'opened harissa 3 weeks ago',
	'3 bottle openers',
	'children’s fever syrup exp 06/25'
];
const TICKED = 32;

async function addRoom(hand: Hand, name: string): Promise<void> {
	const { page } = hand;
	const form = page.locator('form', { has: page.getByLabel('Room', { exact: true }) });
	const fold = page.getByText('Add a room', { exact: true });
	await form.or(fold).first().waitFor({ state: 'attached' });
	if (await fold.count()) await hand.tap(fold);
	await form.getByLabel('Room', { exact: true }).fill(name);
	hand.characters += name.length;
	hand.taps++;
	await hand.tap(form.getByRole('button', { name: 'Add the room' }));
}

async function addCabinet(hand: Hand, form: string): Promise<void> {
	const { page } = hand;
	const close = page.getByRole('button', { name: 'Close' });
	await hand.choose(page.getByLabel('Form of cabinet'), form);
	await hand.tap(page.getByRole('button', { name: 'Add cabinet' }));
	await close.waitFor();
	await hand.tap(close);
}

/** Measures eight places on the number pad, each in one go. */
async function measure(hand: Hand): Promise<void> {
	const { page } = hand;
	await page.goto(page.url().replace(/\/walk.*/, '/walk/tape'));
	hand.taps++;
	await hand.tap(page.getByRole('button', { name: 'Go through them one by one' }));
	let done = 0;
	while (done < SIZES.length) {
		await hand.keys(SIZES[done]!);
		await hand.tap(page.getByRole('button', { name: 'Take', exact: true }));
		done++;
		const alike = page.getByRole('button', { name: /^All \d+ in that cabinet the same$/ });
		if (done === 1 && (await alike.isVisible())) {
			const count = Number(/\d+/.exec((await alike.textContent()) ?? '')?.[0] ?? 1);
			await hand.tap(alike);
			done += count - 1;
		}
	}
	await hand.tap(page.getByRole('button', { name: 'Stop here' }));
}

async function enterThings(hand: Hand): Promise<void> {
	const { page } = hand;
	await page.goto(page.url().replace(/\/walk.*/, '/clear'));
	hand.taps++;
	await hand.tap(page.getByRole('button', { name: 'Tick usual things' }));
	const section = page.getByRole('region', { name: 'Usual things' });
	const things = section.locator('li .tick');
	const list = section.getByLabel('Tick what is there');
	let ticked = 0;
	for (const name of ['Dry goods and cans', 'Spice shelf']) {
		await hand.choose(list, { label: name });
		for (let i = 0; i < (await things.count()) && ticked < TICKED; i++, ticked++)
			await hand.tap(things.nth(i));
	}
	await hand.tap(section.getByRole('button', { name: /^Enter/ }));
	for (const line of TYPED) await hand.type(page.getByLabel('Entry line: one thing'), line);
}

/** Decides on all: what has no concerns at once, the rest one by one as advised. */
async function decideAll(hand: Hand): Promise<void> {
	const { page } = hand;
	await hand.tap(page.getByRole('button', { name: /^(?:.*)Keep the \d+ with no concerns/ }));
	const open = page.getByText(/^\d+ to decide here$/);
	for (let guard = 0; guard < 20; guard++) {
		const row = page.locator('[aria-label^="Pile:"] button.row', { hasText: '?' }).first();
		if (!(await row.count())) return;
		await hand.tap(row);
		await open.waitFor();
		await hand.tap(page.locator('[aria-label="Decide, by button or by letter"] .btn-primary'));
		const close = page.getByRole('dialog').getByRole('button', { name: 'Close' });
		if (await close.isVisible()) await hand.tap(close);
	}
}

/**
 * Goes through the tour of a new user on a phone, two rooms, five cabinets, 24 sizes, 40 things entered and decided, and
 * counts the taps.
 */
export async function benchGestures(): Promise<object | null> {
	return withServer(async (base) => {
		const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
		try {
			const page = await browser.newPage({
				viewport: { width: 390, height: 844 },
				hasTouch: true,
				isMobile: true
			});
			page.setDefaultTimeout(10_000);
			await page.clock.setFixedTime(new Date('2026-03-02T09:00:00Z'));
			const hand = new Hand(page);
			await page.goto(base);
			await page.getByLabel('What do you call it?').fill('Tour');
			hand.characters += 4;
			await hand.tap(page.getByRole('button', { name: 'Make this home' }));
			await page.getByRole('heading', { name: 'Job sheet' }).waitFor();
			await page.goto(`${page.url()}/walk`);
			hand.taps++;
			const marks: Record<string, number> = {};
			await addRoom(hand, 'Kitchen');
			for (const form of ['base', 'wall', 'drawers']) await addCabinet(hand, form);
			await addRoom(hand, 'Bathroom');
			for (const form of ['basin', 'mirror']) await addCabinet(hand, form);
			marks.rooms = hand.taps;
			await measure(hand);
			marks.sizes = hand.taps - marks.rooms;
			await enterThings(hand);
			marks.things = hand.taps - marks.rooms - marks.sizes;
			await decideAll(hand);
			const { taps, lines, characters } = hand;
			const decided = taps - marks.rooms - marks.sizes - marks.things;
			return {
				bench:
					'taps of the tour: two rooms, five cabinets, 24 sizes, 40 things entered and decided',
				taps,
				...marks,
				decided,
				typedLines: lines,
				typedCharacters: characters
			};
		} finally {
			await browser.close();
		}
	});
}

const CUPBOARD = ['564x512x276', '564x512x340'];
/**
 * Takes one cabinet from nothing to its printed labels on a phone: who lives there, one cabinet, two shelves measured,
 * twelve things ticked and kept, grouped, placed, labels as a file. Counts taps and seconds of the program.
 */
export async function benchOneCabinet(): Promise<object | null> {
	return withServer(async (base) => {
		const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
		try {
			const page = await browser.newPage({
				viewport: { width: 390, height: 844 },
				hasTouch: true,
				isMobile: true,
				acceptDownloads: true
			});
			page.setDefaultTimeout(10_000);
			const hand = new Hand(page);
			const from = performance.now();
			const marks: Record<string, number> = {};
			const mark = (name: string) =>
				(marks[name] = hand.taps - Object.values(marks).reduce((a, b) => a + b, 0));
			const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
			const nextStep = (words: RegExp) => page.getByRole('link', { name: words });
			const toSheet = () => hand.tap(page.locator('header a[href^="/home/"]').first());
			await page.goto(base);
			await page.getByLabel('What do you call it?').fill('Cupboard');
			hand.characters += 8;
			await hand.tap(button('Make this home'));
			await hand.tap(button('Adult'));
			await hand.tap(button('Begin with: one cabinet'));
			mark('home');
			await hand.tap(nextStep(/Hold the tape to 2 places/));
			await hand.tap(button('Go through them one by one'));
			for (const size of CUPBOARD) {
				await hand.keys(size);
				await hand.tap(page.getByRole('button', { name: 'Take', exact: true }));
			}
			mark('sizes');
			await toSheet();
			await hand.tap(nextStep(/Empty one place/));
			await hand.tap(button('Tick usual things'));
			const section = page.getByRole('region', { name: 'Usual things' });
			await hand.choose(section.getByLabel('Tick what is there'), { label: 'Dry goods and cans' });
			for (let i = 0; i < 12; i++) await hand.tap(section.locator('li .tick').nth(i));
			await hand.tap(section.getByRole('button', { name: /^Enter/ }));
			await hand.tap(button(/^(?:.*)Keep the \d+ with no concerns/));
			mark('things');
			await toSheet();
			await hand.tap(nextStep(/a group/));
			await hand.tap(button(/^Group /));
			mark('groups');
			await toSheet();
			await hand.tap(nextStep(/Make the zone plan/));
			await hand.tap(page.getByRole('button', { name: 'Solve', exact: true }));
			await page.locator('[data-note]').first().waitFor();
			mark('plan');
			await toSheet();
			await hand.tap(nextStep(/Print \d+ labels?/));
			const download = page.waitForEvent('download');
			await hand.tap(button(/^PDF/));
			await download;
			mark('labels');
			const seconds = Math.round((performance.now() - from) / 100) / 10;
			return {
				bench: 'taps from nothing to printed labels of one cabinet: two shelves, twelve things',
				taps: hand.taps,
				...marks,
				typedCharacters: hand.characters,
				seconds
			};
		} finally {
			await browser.close();
		}
	});
}
