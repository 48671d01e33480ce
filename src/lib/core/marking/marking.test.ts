import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import {
	fitText,
	imposeLabels,
	LABEL_SHEETS,
	nameLabel,
	linesOf,
	proposeLabels,
	sheetSvg,
	textWidthMm,
	unprintable,
	type LabelText
} from '.';

const box = { widthMm: 50, heightMm: 20, minCapMm: 3, maxCapMm: 8, maxLines: 2 };
const label = (title: string, note = ''): LabelText => ({
	id: title,
	nookId: 'n',
	placementId: title,
	groupId: 'g',
	title,
	note,
	code: 'AB',
	hue: 1,
	side: 'front'
});

describe('fitting text', () => {
	it('breaks into two lines when that allows larger letters', () => {
		const fitted = fitText('Chopped tomatoes', box);
		expect(fitted).toMatchObject({ ok: true, lines: ['Chopped', 'tomatoes'] });
	});
	it('never leaves its box', () => {
		const word = fc.stringMatching(/^[a-z]{1,9}$/);
		fc.assert(
			fc.property(
				fc.array(word, { minLength: 1, maxLength: 5 }),
				fc.integer({ min: 10, max: 120 }),
				(words, widthMm) => {
					const { lines, sizeMm } = fitText(words.join(' '), { ...box, widthMm });
					for (const line of lines)
						expect(textWidthMm(line, sizeMm)).toBeLessThanOrEqual(widthMm + 1e-6);
					expect(lines.join(' ')).toBe(words.join(' '));
				}
			),
			{ seed: 81 }
		);
	});
	it('says by how many millimetres a text is too long', () => {
		const fitted = fitText('Unpronounceablewords', { ...box, widthMm: 20 });
		expect(fitted.ok).toBe(false);
		if (!fitted.ok) expect(fitted.shortMm).toBeGreaterThan(5);
	});
	it('names what the letters cannot print', () => {
		expect(unprintable('Äpfel & Reis')).toEqual([]);
		expect(unprintable('米 rice')).toEqual(['米']);
	});
	it('grows in step with the size', () =>
		expect(textWidthMm('Rice', 10)).toBeCloseTo(2 * textWidthMm('Rice', 5)));
});

describe('sheets', () => {
	it.each(LABEL_SHEETS)('$name lies on its paper', (sheet) => {
		const right =
			sheet.leftMm + sheet.columns * sheet.labelWidthMm + (sheet.columns - 1) * sheet.gapXMm;
		const bottom = sheet.topMm + sheet.rows * sheet.labelHeightMm + (sheet.rows - 1) * sheet.gapYMm;
		expect(right).toBeLessThanOrEqual(sheet.widthMm);
		expect(bottom).toBeLessThanOrEqual(sheet.heightMm);
		const [w, h] = sheet.paper === 'A4' ? [210, 297] : [215.9, 279.4];
		expect([sheet.widthMm, sheet.heightMm]).toEqual([w, h]);
	});
	it('lay every label once, without overlap, after those already used', () => {
		const sheet = LABEL_SHEETS[0]!;
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 50 }),
				fc.integer({ min: 0, max: 20 }),
				(count, skip) => {
					const labels = Array.from({ length: count }, (_, i) => label(`Label ${i}`));
					const pages = imposeLabels(labels, sheet, { skip, viewingMm: 800 });
					const all = pages.flatMap((page, p) =>
						page.labels.map((placed) => ({
							key: `${p}/${placed.xMm}/${placed.yMm}`,
							title: placed.label.title
						}))
					);
					expect(all.map(({ title }) => title)).toEqual(labels.map(({ title }) => title));
					expect(new Set(all.map(({ key }) => key)).size).toBe(count);
				}
			),
			{ seed: 82 }
		);
		const [first] = imposeLabels([label('One')], sheet, { skip: 4, viewingMm: 800 })[0]!.labels;
		expect(first).toMatchObject({
			xMm: sheet.leftMm + sheet.labelWidthMm + sheet.gapXMm,
			yMm: sheet.topMm + sheet.labelHeightMm
		});
	});
	it('use one letter size for the set and keep every line inside its label', () => {
		const [page] = imposeLabels(
			[label('Rice'), label('Chopped tomatoes', 'Larder shelf 2')],
			LABEL_SHEETS[0]!
		);
		const sizes = page!.labels.map((placed) => placed.title.sizeMm);
		expect(sizes[0]).toBe(sizes[1]);
		for (const placed of page!.labels)
			for (const line of linesOf(placed)) {
				expect(line.xMm + textWidthMm(line.text, line.sizeMm)).toBeLessThanOrEqual(
					placed.xMm + placed.widthMm
				);
				expect(line.yMm).toBeGreaterThan(placed.yMm);
				expect(line.yMm).toBeLessThan(placed.yMm + placed.heightMm);
			}
	});
	it('are drawn at their true size, with hostile words as plain text', () => {
		const [page] = imposeLabels([label('<script>alert("x")</script> & Co')], LABEL_SHEETS[0]!);
		const svg = sheetSvg(page!);
		expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
		expect(svg).not.toContain('<script');
		expect(svg).toContain('&#60;script&#62;');
	});
});

describe('proposing labels', () => {
	const demo = demoHome(NOW);
	const fitted = apply(demo, (draft) => {
		draft.fitPlans['fit-d-1'] = {
			id: 'fit-d-1',
			nookId: 'd-1',
			placements: ['div-s', 'div-m'].map((kindId, i) => ({
				id: `container-${i + 1}`,
				kindId,
				groupId: 'cutlery',
				xMm: i * 100,
				yMm: 10,
				zMm: 0,
				turned: false,
				holds: []
			})),
			standing: [],
			leftOver: [],
			costMinor: 0,
			fingerprint: '',
			madeAt: NOW
		} as never;
	});
	it('makes one a container, for the side from which it is seen', () => {
		expect(proposeLabels(fitted)).toMatchObject([
			{ title: 'Cutlery', note: 'Top drawer', code: 'CU', side: 'top' },
			{ title: 'Cutlery', side: 'top' }
		]);
	});
	it('keeps the words that were written by hand', () => {
		const named = apply(fitted, nameLabel(proposeLabels(fitted)[1]!, 'Forks', 'm'));
		expect(proposeLabels(named).map(({ title }) => title)).toEqual(['Cutlery', 'Forks']);
		const again = apply(named, nameLabel(proposeLabels(named)[1]!, 'Spoons', 'm2'));
		expect(Object.values(again.marks).map(({ text }) => text)).toEqual(['Spoons']);
		expect(apply(again, nameLabel(proposeLabels(again)[1]!, '', 'm3')).marks).toEqual({});
	});
	it('has none where nothing is fitted', () => expect(proposeLabels(demo)).toEqual([]));
});
