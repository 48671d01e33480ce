import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { solvedOnce } from '$lib/core/fixtures/solved-once';
import { imposeLabels, LABEL_SHEETS, type LabelPrint } from '$lib/core/marking';
import { medicinesOf } from '$lib/core/rotation';
import { CAP_SHARE, type PrintPage } from '$lib/core/printing';
import { NOW, TODAY } from '$lib/core/fixtures/tiny-home';
import { markedPlaces } from '$lib/core/marking';
import { adoptPlan, lotsAt, type HomeState } from '$lib/core/zoning';
import { applyEdit } from '$lib/core/model';
import { demoHome } from '$lib/data/demo';
import { binderOf, Doc } from './doc';
import { documentPages, DOCUMENTS } from './documents';
import { pagesPdf } from './print-pdf';
import { numbersOf, whereLines } from './where-index';

const font = (name: string) =>
	readFileSync(new URL(`../../../../static/fonts/${name}.ttf`, import.meta.url)).toString('base64');
const FONTS = { bold: font('label-bold'), plain: font('label-plain') };
const MM_PER_POINT = 25.4 / 72;

interface Written {
	readonly page: number;
	readonly xMm: number;
	readonly yMm: number;
	readonly sizeMm: number;
}
/** Reads where text begins, and how large it is, out of the bytes of a PDF that is not packed. */
function textsOf(pdf: ArrayBuffer): { texts: Written[]; sizes: [number, number][] } {
	const bytes = Buffer.from(pdf).toString('latin1');
	const sizes = [...bytes.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(
		([, w, h]) => [Number(w) * MM_PER_POINT, Number(h) * MM_PER_POINT] as [number, number]
	);
	const texts: Written[] = [];
	let page = -1;
	for (const [, stream] of bytes.matchAll(/stream\r?\n([\s\S]*?)endstream/g)) {
		if (!/\bBT\b|\bre\b|\bl\b/.test(stream!) || /begincmap|FontFile/.test(stream!)) continue;
		if (!/BT\n/.test(stream!)) continue;
		page++;
		const height = sizes[page]![1];
		for (const [, block] of stream!.matchAll(/BT\n([\s\S]*?)ET/g)) {
			const size = /\/F\d+ ([\d.]+) Tf/.exec(block!)?.[1];
			const at = /([-\d.]+) ([-\d.]+) Td/.exec(block!);
			if (size && at)
				texts.push({
					page,
					xMm: Number(at[1]) * MM_PER_POINT,
					yMm: height - Number(at[2]) * MM_PER_POINT,
					sizeMm: Number(size) * MM_PER_POINT
				});
		}
	}
	return { texts, sizes };
}
const textItems = (pages: readonly PrintPage[]) =>
	pages.flatMap(({ items }, page) =>
		items.flatMap((item) => (item.kind === 'text' ? [{ page, ...item }] : []))
	);

const print = (title: string): LabelPrint => ({
	id: title,
	title,
	note: 'Larder shelf 2',
	code: 'BA',
	ink: '#2f5d8c',
	hazard: 'Keep from children. Never mix',
	fields: [{ name: 'Best before', value: '31 Mar 2027' }],
	code2d: null
});

describe('sheets measured from their own PDF', () => {
	it.each(LABEL_SHEETS)('$name: paper, places and letters are as promised', (sheet) => {
		const prints = ['Flour', 'Brown sugar', 'Dried fruit'].map(print);
		const pages = imposeLabels(prints, sheet, {
			skip: 1,
			viewingMm: 500,
			slipXMm: 0.5,
			slipYMm: 0
		});
		const { texts, sizes } = textsOf(pagesPdf(pages, FONTS, false));
		expect(sizes).toHaveLength(pages.length);
		for (const [w, h] of sizes) {
			expect(Math.abs(w - sheet.widthMm)).toBeLessThan(0.2);
			expect(Math.abs(h - sheet.heightMm)).toBeLessThan(0.2);
		}
		const meant = textItems(pages);
		expect(texts).toHaveLength(meant.length);
		meant.forEach((item, i) => {
			const found = texts[i]!;
			expect(found.page).toBe(item.page);
			expect(Math.abs(found.yMm - item.yMm)).toBeLessThan(0.2);
			if (!item.align) expect(Math.abs(found.xMm - item.xMm)).toBeLessThan(0.2);
			expect(Math.abs(found.sizeMm - item.sizeMm)).toBeLessThan(0.05);
		});
		for (const { title } of pages.flatMap(({ labels }) => labels))
			if (title.ok) expect(title.sizeMm * CAP_SHARE).toBeGreaterThanOrEqual(2.5 - 1e-6);
	});
});

describe('prints of a home', () => {
	const demo = demoHome(NOW);
	const plan = solvedOnce('demo', () => demo).plan;
	const home = applyEdit(demo, adoptPlan(plan)).home;
	const said = (pages: readonly PrintPage[]) => textItems(pages).map(({ text }) => text);

	it.each(DOCUMENTS)('%s stays on its paper, both kinds', (kind) => {
		for (const paper of ['A4', 'Letter'] as const) {
			const pages = documentPages(home, kind, paper, TODAY);
			expect(pages.length).toBeGreaterThan(0);
			for (const { widthMm, heightMm, items } of pages)
				for (const item of items) {
					const points =
						item.kind === 'box'
							? [
									[item.xMm, item.yMm],
									[item.xMm + item.widthMm, item.yMm + item.heightMm]
								]
							: item.kind === 'line'
								? [item.fromMm, item.toMm]
								: item.kind === 'text'
									? [[item.xMm, item.yMm]]
									: [];
					for (const [x, y] of points) {
						expect(x).toBeGreaterThanOrEqual(10);
						expect(x).toBeLessThanOrEqual(widthMm - 10);
						expect(y).toBeGreaterThanOrEqual(10);
						expect(y).toBeLessThanOrEqual(heightMm - 8);
					}
				}
		}
	});
	it('the binder names every page that it has, at its number', () => {
		const pages = documentPages(home, 'binder', 'A4', TODAY);
		const contents = said(
			pages.slice(
				0,
				pages.findIndex(({ title }, i) => i > 0 && title !== '')
			)
		);
		pages.forEach(({ title }, i) => {
			// Notes go in the order of the maps: the contents name the first page of them alone.
			if (i === 0 || !title || title.startsWith('Notes: ')) return;
			const at = contents.indexOf(title);
			expect(at, title).toBeGreaterThan(-1);
			const numbers = contents.flatMap((text, k) => (text === title ? [contents[k + 1]] : []));
			expect(numbers).toContain(String(i + 1));
		});
		const first = pages.findIndex(({ title }) => title.startsWith('Notes: '));
		expect(contents).toContain(`Notes for the doors, from page ${first + 1}`);
	});
	it('the lid sheet has a box for every pack of the freezers, and the binder no secrets of its own', () => {
		const pages = documentPages(home, 'freezer', 'A4', TODAY);
		expect(said(pages)).toContain('frozen peas');
		const boxes = pages.flatMap(({ items }) => items.filter((item) => item.kind === 'box'));
		expect(boxes.length).toBeGreaterThan(20);
		expect(said(documentPages(home, 'medicines', 'A4', TODAY)).join(' ')).toContain(
			'antihistamine'
		);
	});
	it.each<HomeState>(['plan', 'today'])('door maps and the index are of one state: %s', (state) => {
		const pages = documentPages(home, 'binder', 'A4', TODAY, state);
		const heads = new Map(
			markedPlaces(home, state).map(({ nook, groups, things }) => [
				`${nook.name}: ${groups.map(({ name }) => name).join(', ')}`,
				{ groups, things }
			])
		);
		const words = said(pages);
		let seen = 0;
		for (const [head, { groups, things }] of heads) {
			const at = words.indexOf(head);
			if (at < 0) continue;
			seen++;
			// What stands under a heading is of the groups that it names.
			for (const thing of things) expect(groups.map(({ id }) => id)).toContain(thing.groupId);
			if (things.length) expect(words[at + 1]).toContain(things[0]!.name.split(' ')[0]);
		}
		expect(seen).toBeGreaterThan(20);
		expect(words.join(' ')).toContain(state === 'plan' ? 'as planned' : 'as it is today');
		// No other document of the same state says otherwise.
		const numbers = numbersOf(home);
		for (const { thing, nookId } of lotsAt(home, state)) {
			const number = numbers.get(nookId ?? '');
			const line = whereLines(home, state).find(({ name }) => name === thing.name);
			if (number) expect(line!.numbers).toContain(number);
		}
	});
	it('the carer’s sheet sets apart what must not be given', () => {
		const pages = documentPages(home, 'medicines', 'A4', TODAY);
		const words = said(pages);
		const apart = words.indexOf('Do not give: ask the pharmacist');
		expect(apart).toBeGreaterThan(0);
		for (const { thing, not } of medicinesOf(home, TODAY)) {
			if (not) expect(words.indexOf(thing.name, apart)).toBeGreaterThan(apart);
			else expect(words.slice(0, apart)).toContain(thing.name);
		}
		// Boxes to tick stand before it alone.
		const yOf = (text: string) =>
			textItems(pages).find((item) => item.kind === 'text' && item.text === text)!;
		const line = yOf('Do not give: ask the pharmacist');
		const page = pages[line.page]!;
		for (const item of page.items)
			if (item.kind === 'box' && line.page === 0) expect(item.yMm).toBeLessThan(line.yMm);
	});
	it('the index names everything that has a place once, with the number that stands in the drawing', () => {
		const numbers = numbersOf(home);
		const lines = whereLines(home, 'today');
		expect(new Set(lines.map(({ name }) => name)).size).toBe(lines.length);
		expect([...lines].map(({ name }) => name)).toEqual(
			lines
				.map(({ name }) => name)
				.sort((a, b) => a.localeCompare(b, 'en', { sensitivity: 'base' }))
		);
		for (const { thing, nookId } of lotsAt(home, 'today')) {
			if (!nookId) continue;
			const line = lines.find(({ name }) => name === thing.name)!;
			expect(line.numbers).toContain(numbers.get(nookId));
		}
		const pages = documentPages(home, 'where', 'A4', TODAY, 'today');
		const words = pages.flatMap(({ items }) =>
			items.flatMap((item) => (item.kind === 'text' ? [item] : []))
		);
		// Every place has its number in a drawing, and every line stands on the paper.
		for (const number of numbers.values())
			expect(words.some(({ text }) => text === String(number))).toBe(true);
		for (const { xMm, yMm } of words) {
			expect(xMm).toBeGreaterThan(10);
			expect(xMm).toBeLessThanOrEqual(210);
			expect(yMm).toBeLessThan(297);
		}
		const index = words.filter(({ face, sizeMm }) => face === 'plain' && sizeMm === 3.3);
		expect(index).toHaveLength(lines.length);
	});
	it('says when there is nothing, and begins a new page when one is full', () => {
		const doc = new Doc('A4', 'foot');
		doc.begin('One');
		for (let i = 0; i < 80; i++) doc.row([`row ${i}`, { boxes: 2 }], [0.5, 0.5]);
		const pages = doc.pages(4);
		expect(pages.length).toBeGreaterThan(1);
		expect(pages.map(({ title }) => title)).toEqual(['One', ...pages.slice(1).map(() => '')]);
		expect(said([pages[1]!])).toContain('5');
		expect(binderOf('B', '', 'A4', [{ name: 'none', make: () => {} }])).toHaveLength(1);
	});
});
