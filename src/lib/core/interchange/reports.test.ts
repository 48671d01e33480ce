import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { decide, tallyHome, VERDICT_KEYS } from '../clearing';
import { NOW } from '../fixtures/tiny-home';
import { applyEdit, type Verdict } from '../model';
import { tallyCsv, tallyMarkdown, toCsv, type ReportWords } from './reports';

const rowsOf = (text: string) => Papa.parse<string[]>(text, { skipEmptyLines: true }).data;

describe('cells that a spreadsheet would run', () => {
	it.each(['=1+1', '+cmd', '-2', '@SUM(A1)'])('are escaped: %j', (cell) => {
		expect(rowsOf(toCsv([['name'], [cell]]))[1]).toEqual([`'${cell}`]);
	});
	it('plain words and numbers stay as they are, quotes and commas too', () => {
		expect(rowsOf(toCsv([['a, "b"', 2.5]]))).toEqual([['a, "b"', '2.5']]);
	});
});

describe('the tally as a file', () => {
	const demo = demoHome(NOW);
	const lot = Object.values(demo.lots).find(
		({ nookId, count }) => nookId === 'larder-2' && count > 0
	)!;
	const named = {
		...demo,
		nooks: { ...demo.nooks, 'larder-2': { ...demo.nooks['larder-2']!, name: '=Shelf|2' } }
	};
	const home = applyEdit(
		named,
		decide({
			lotId: lot.id,
			verdict: 'give',
			advice: null,
			wantAgain: false,
			toNookId: null,
			ids: { decision: 'd1', event: 'e1', rest: 'r1' },
			now: NOW
		})
	).home;
	const verdicts = Object.values(VERDICT_KEYS);
	const words: ReportWords = {
		verdict: Object.fromEntries(verdicts.map((v) => [v, v])) as Record<Verdict, string>,
		volume: (ml) => `${ml / 1000} l`,
		money: (minor) => `${minor / 100}`,
		minutes: (minutes) => `${minutes} min`
	};
	const found = tallyHome(home, NOW, NOW);

	it('has a row for the place and one in all, with what was given', () => {
		const rows = rowsOf(tallyCsv(home, found, words));
		expect(rows.map(([place, verdict, things]) => [place, verdict, things])).toEqual([
			['place', 'verdict', 'things'],
			["'=Shelf|2", 'give', String(found.whole.lines[0]!.things)],
			['The whole home', 'give', String(found.whole.lines[0]!.things)]
		]);
	});
	it('cannot break its Markdown table by a name', () => {
		const text = tallyMarkdown(home, found, words, 'Our *tally*');
		expect(text).toContain('=Shelf\\|2');
		expect(text.split('\n')[0]).toBe('# Our \\*tally\\*');
	});
});
