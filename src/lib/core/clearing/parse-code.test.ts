import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkDigit, isInStore, looksLikeCode, parseCode } from '.';

const withCheck = (body: string) => `${body}${checkDigit(body)}`;
const GTIN = withCheck('200000000001').padStart(14, '0');
const issueOf = (text: string) => {
	const result = parseCode(text);
	return result.ok ? null : result.issue;
};
const facts = (text: string) => {
	const result = parseCode(text);
	if (!result.ok) throw new Error(result.issue.code);
	return result.facts;
};

describe('numbers on packs', () => {
	it('has the check digit of the rule: threes and ones from the right', () => {
		// By hand: 4×3 + 3 + 2×3 + 1 = 22, so 8 is missing to 30.
		expect(checkDigit('1234')).toBe(8);
		expect(checkDigit('200000000001')).toBe(5);
	});
	it('are read at 8, 12, 13 and 14 digits', () => {
		for (const length of [7, 11, 12, 13]) {
			const code = withCheck('2'.repeat(length));
			expect(facts(code).gtin).toBe(code.padStart(14, '0'));
			expect(facts(`${code.slice(0, 4)} ${code.slice(4)}`).gtin).toBe(code.padStart(14, '0'));
		}
	});
	it('notice any single wrong digit', () =>
		fc.assert(
			fc.property(
				fc.stringMatching(/^\d{12}$/),
				fc.nat(12),
				fc.integer({ min: 1, max: 9 }),
				(body, at, by) => {
					const good = withCheck(body);
					const digit = (Number(good[at]) + by) % 10;
					const bad = `${good.slice(0, at)}${digit}${good.slice(at + 1)}`;
					expect(parseCode(good).ok).toBe(true);
					expect(issueOf(bad)?.code).toBe('code-check-digit');
				}
			),
			{ seed: 306 }
		));
	it('name the digit that was expected, and a wrong length', () => {
		expect(issueOf('2000000000019')).toMatchObject({ found: 9, expected: 5 });
		expect(issueOf('20000000')).toMatchObject({ code: 'code-check-digit' });
		expect(issueOf('2000000001')).toMatchObject({ code: 'code-length', digits: 10 });
	});
	it('tell the range of one store from others', () => {
		expect(isInStore(GTIN)).toBe(true);
		expect(isInStore(withCheck('900000000001').padStart(14, '0'))).toBe(false);
	});
});

describe('strings of fields', () => {
	const want = { gtin: GTIN, useBy: '2027-03-31', batch: 'A7/x', bestBefore: null };
	it('are read with brackets, as a scanner sends them, and as an address', () => {
		expect(facts(`(01)${GTIN}(17)270331(10)A7/x`)).toMatchObject(want);
		expect(facts(`]C101${GTIN}1727033110A7/x`)).toMatchObject(want);
		expect(facts(`01${GTIN}10A7/x\u001d17270331`)).toMatchObject(want);
		expect(facts(`https://id.example/01/${GTIN}/10/A7%2Fx?17=270331&junk=1`)).toMatchObject(want);
		expect(facts(`https://id.example/some/01/${GTIN.slice(1)}`)).toMatchObject({ gtin: GTIN });
	});
	it('carry best before, counts and weights', () => {
		expect(facts(`(01)${GTIN}(15)270200(30)6(3103)001250`)).toMatchObject({
			bestBefore: '2027-02-28',
			count: 6,
			massG: 1250
		});
	});
	it.each([
		[`(01)${GTIN}(17)2703`, 'code-cut-short'],
		[`01${GTIN}172703`, 'code-cut-short'],
		[`(01)${GTIN}(10)`, 'code-cut-short'],
		[`(01)${GTIN.slice(0, 9)}`, 'code-cut-short'],
		[`(01)${GTIN}(17)270231`, 'code-date'],
		[`(01)${GTIN}(99)abc`, 'code-unknown-field'],
		[`(01)${GTIN}(10)${'x'.repeat(21)}`, 'code-length'],
		[`(01)${GTIN.slice(0, 13)}0`, 'code-check-digit'],
		['(01', 'code-unreadable'],
		['https://id.example/%E0%A4%A/01/1', 'code-unreadable'],
		['https://id.example/no/number', 'code-unreadable'],
		['hello', 'code-unreadable']
	])('%s is refused: %s', (text, code) => expect(issueOf(text)?.code).toBe(code));
	it('never throw, whatever is scanned', () =>
		fc.assert(
			fc.property(
				fc.oneof(fc.string(), fc.stringMatching(/^[\d()\u001d\]C1]{0,40}$/), fc.webUrl()),
				(text) => {
					expect(typeof parseCode(text).ok).toBe('boolean');
				}
			),
			{ seed: 307, numRuns: 500 }
		));
	it('are told from things that are typed', () => {
		expect(looksLikeCode('2000000000015')).toBe(true);
		expect(looksLikeCode('(01)123')).toBe(true);
		expect(looksLikeCode('3 tins beans')).toBe(false);
		expect(looksLikeCode('400')).toBe(false);
	});
});
