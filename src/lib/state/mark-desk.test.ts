import { describe, expect, it } from 'vitest';
import { counter, NOW } from '../core/fixtures/tiny-home';
import { applyEdit, type Home } from '../core/model';
import { adoptPlan, DEFAULT_PLACE, placeHome, toZonePlan } from '../core/zoning';
import { tinyHome } from '../core/fixtures/tiny-home';
import { DeskStore } from './desk-store';
import { MarkDesk } from './mark-desk.svelte';

const planned = (): Home => {
	const home = tinyHome();
	const plan = toZonePlan(placeHome(home, { ...DEFAULT_PLACE, moves: 2000 }), 'p', 'P', NOW);
	return applyEdit(home, adoptPlan(plan)).home;
};
function desk(home = planned()) {
	const store = new DeskStore(home);
	const mark = new MarkDesk({
		store: store.get,
		newId: counter('m'),
		inkOf: () => '#222233',
		codeOf: (text) => (text ? [[true]] : null),
		addressOf: (nookId) => `http://here/${nookId}`
	});
	return { store, mark };
}

describe('labels of a home', () => {
	it('are for the places until something is fitted', () => {
		const { mark } = desk();
		expect(mark.set).toBe('places');
		expect(mark.isEmpty).toBe(false);
		expect(mark.printed.length).toBe(mark.labels.length);
		expect(desk(tinyHome()).mark.isEmpty).toBe(true);
	});
	it('are renamed, kept blank, and refuse what no label takes', () => {
		const { mark, store } = desk();
		const [first] = mark.labels;
		mark.rename(first!, 'Our things');
		expect(mark.labels[0]!.title).toBe('Our things');
		mark.rename(mark.labels[0]!, 'x'.repeat(300));
		expect(mark.wrong).toMatch(/300 letters. A label takes 120/);
		expect(mark.labels[0]!.title).toBe('Our things');
		mark.rename(mark.labels[0]!, mark.labels[0]!.proposed);
		expect(store.home.marks).toEqual({});
		mark.setBare(mark.labels[0]!, true);
		expect(mark.printed.length).toBe(mark.labels.length - 1);
	});
	it('say what cannot be read, and what cannot be printed', () => {
		const { mark } = desk();
		mark.rename(mark.labels[0]!, 'Extraordinarilyunbreakablewordhere 米');
		mark.setSheet('roll-24');
		mark.setLabels({ viewingMm: 2000 });
		expect(mark.tooLong.length).toBeGreaterThan(0);
		expect(mark.odd).toEqual(['米']);
	});
	it('take codes and fields for the whole set, and forget a slip that is no number', () => {
		const { mark, store } = desk();
		mark.code = 'link';
		mark.toggleField('write-on');
		const [label] = mark.pages()[0]!.labels;
		expect(label!.print.code2d).toEqual([[true]]);
		expect(label!.print.fields).toEqual([{ name: '', value: '' }]);
		// Each set has its own.
		mark.setSet('lots');
		expect(mark.fields).toEqual([]);
		mark.setSet('places');
		expect(mark.fields).toEqual(['write-on']);
		mark.toggleField('write-on');
		expect(mark.fields).toEqual([]);
		mark.setLabels({ slipXMm: NaN });
		expect(store.home.settings.labels.slipXMm).toBe(0);
		mark.setLabels({ slipXMm: 1.5 });
		expect(store.home.settings.labels.slipXMm).toBe(1.5);
	});
	it('take a sheet of the household’s own, if it lies on its paper', () => {
		const { mark, store } = desk();
		const own = {
			name: 'Our sheet',
			paper: 'A4' as const,
			widthMm: 210,
			heightMm: 297,
			columns: 2,
			rows: 4,
			labelWidthMm: 90,
			labelHeightMm: 60,
			leftMm: 10,
			topMm: 10,
			gapXMm: 5,
			gapYMm: 5,
			shape: 'box' as const,
			cut: false
		};
		expect(mark.addSheet({ ...own, columns: 3 })).toBe(false);
		expect(mark.wrong).toMatch(/3 labels of 90 mm do not lie side by side on 210 mm/);
		expect(mark.addSheet({ ...own, rows: 9 })).toBe(false);
		expect(mark.addSheet({ ...own, name: ' ' })).toBe(false);
		expect(mark.addSheet({ ...own, labelWidthMm: 0 })).toBe(false);
		expect(store.home.settings.labels.sheets).toEqual([]);
		expect(mark.addSheet(own)).toBe(true);
		expect(mark.sheet.name).toBe('Our sheet');
		expect(mark.shown[0]!.labels[0]!.widthMm).toBe(90);
	});
	it('shows one sheet at a time, and only those to look at when that is asked', () => {
		const { mark } = desk();
		mark.setSheet('roll-62');
		expect(mark.shown).toHaveLength(mark.printed.length);
		mark.goTo(99);
		expect(mark.at).toBe(mark.shown.length - 1);
		mark.onlyChanged = true;
		expect(mark.printed).toEqual([]);
		expect(mark.shown).toEqual([]);
		expect(mark.at).toBe(0);
	});
	it('knows what was printed: later sheets can have what is new or says something else', () => {
		const { mark, store } = desk();
		expect(mark.unprinted).toEqual([]);
		mark.notePrinted();
		expect(store.labels.at(-1)).toBe('labels printed');
		expect(mark.unprinted).toEqual([]);
		// Nothing new: nothing is written.
		const steps = store.labels.length;
		mark.notePrinted();
		expect(store.labels).toHaveLength(steps);
		const [label] = mark.printed;
		store.run('words', 'nameLabel', label!, 'Quite another name', 'mark-x');
		expect(mark.unprinted.map(({ title }) => title)).toEqual(['Quite another name']);
		mark.onlyUnprinted = true;
		expect(mark.printed.map(({ id }) => id)).toEqual([label!.id]);
		mark.notePrinted();
		expect(mark.unprinted).toEqual([]);
	});
});
