import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAP_SHARE, LINE_SHARE, textWidthMm, unprintable } from '../printing';
import { fitText, type TextBox } from './fit-text';

const box = { widthMm: 50, heightMm: 20, minCapMm: 3, maxCapMm: 8, maxLines: 2 };

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
	it('breaks as well as any way there is', () => {
		const word = fc.stringMatching(/^[a-zA-Z]{1,9}$/);
		fc.assert(
			fc.property(
				fc.array(word, { minLength: 1, maxLength: 6 }),
				fc.integer({ min: 1, max: 3 }),
				fc.integer({ min: 10, max: 120 }),
				(words, maxLines, widthMm) => {
					const most = { ...box, widthMm, maxLines, maxCapMm: 50 };
					const { sizeMm } = fitText(words.join(' '), most);
					expect(sizeMm).toBeCloseTo(largest(words, most), 6);
				}
			),
			{ seed: 82 }
		);
	});
});

/** The largest letters of all breaks there are: each gap between two words is a break or none. */
function largest(words: readonly string[], { widthMm, heightMm, maxCapMm, maxLines }: TextBox) {
	let best = 0;
	for (let breaks = 0; breaks < 1 << (words.length - 1); breaks++) {
		const lines = [words[0]!];
		words.slice(1).forEach((word, i) => {
			if ((breaks >> i) & 1) lines.push(word);
			else lines.push(`${lines.pop()!} ${word}`);
		});
		if (lines.length > maxLines) continue;
		const widest = Math.max(...lines.map((line) => textWidthMm(line, 1)));
		const high = 1 + (lines.length - 1) * LINE_SHARE;
		best = Math.max(best, Math.min(widthMm / widest, heightMm / high, maxCapMm / CAP_SHARE));
	}
	return best;
}
