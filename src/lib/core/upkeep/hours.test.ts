import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, counter, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import { IdText, makeHome, NookId, type Home } from '../model';
import { addReset, finishReset } from './reset-edits';
import {
	addMaterial,
	addWorkTime,
	hoursByStage,
	materialsCost,
	removeMaterial,
	removeWorkTime
} from './hours';
import { homeSummary } from './home-summary';
import { addPicture, picturePair, picturePairs, removePicture } from './pictures';
import { ownWords, partsToTake, TAKE_OVER, takeOver } from './take-over';

const empty = (): Home => makeHome({ id: 'e', name: 'Empty', now: NOW });

describe('hours and materials', () => {
	it('sum what was timed and what was written down, in the order of the work', () => {
		const home = apply(
			empty(),
			addWorkTime({ on: TODAY, stage: 'shop', minutes: 45, note: '' }, 'w1'),
			addWorkTime({ on: TODAY, stage: 'walk', minutes: 60, note: 'tape' }, 'w2'),
			addWorkTime({ on: TODAY, stage: 'walk', minutes: 30, note: '' }, 'w3')
		);
		expect(hoursByStage(home)).toEqual([
			{ stage: 'walk', minutes: 90 },
			{ stage: 'shop', minutes: 45 }
		]);
		expect(hoursByStage(apply(home, removeWorkTime('w3'), removeWorkTime('w2')))).toEqual([
			{ stage: 'shop', minutes: 45 }
		]);
		expect(hoursByStage(demoHome(NOW)).map(({ stage }) => stage)).toContain('clear');
	});
	it('count materials by their price, and say how many have none', () => {
		const home = apply(
			empty(),
			addMaterial({ on: TODAY, name: 'liner', count: 3.5, priceMinor: 240 }, 'm1'),
			addMaterial({ on: TODAY, name: 'tape', count: 1, priceMinor: null }, 'm2')
		);
		expect(materialsCost(home)).toEqual({ minor: 840, unpriced: 1 });
		expect(materialsCost(apply(home, removeMaterial('m1')))).toEqual({ minor: 0, unpriced: 1 });
	});
});

describe('what waits in a home', () => {
	it('is the first line of its job sheet, what is due, what is past and soon', () => {
		const summary = homeSummary(demoHome(NOW), TODAY);
		expect(summary.next?.code).toBe('measure');
		expect(summary.past).toBeGreaterThan(0);
		expect(summary.soon).toBeGreaterThan(0);
		expect(summary.resetsDue).toBeGreaterThan(0);
		expect(homeSummary(empty(), TODAY)).toMatchObject({
			next: { code: 'add-cabinets' },
			resetsDue: 0,
			nextResetDays: null,
			minutes: 0
		});
	});
	it('says how far the next reset is when none is due', () => {
		const home = apply(
			empty(),
			addReset('r1', { kind: 'own', cabinetId: null, nookIds: [], everyDays: 30, name: 'Wipe' }),
			finishReset('r1', TODAY, NOW)
		);
		expect(homeSummary(home, TODAY)).toMatchObject({
			resetsDue: 0,
			nextResetDays: 30
		});
	});
});

describe('before and after', () => {
	const [a, b] = Object.keys(tinyHome().nooks).map((id) => NookId.parse(id));
	const picture = (nookId = a!, on = TODAY, when: 'before' | 'after' = 'before') => ({
		nookId,
		on,
		when,
		photoId: IdText.parse(`photo-${on}-${when}`)
	});
	it('pair the latest of now with the latest before it, place by place', () => {
		const home = apply(
			tinyHome(),
			addPicture(picture(a, '2026-01-01'), 'p1'),
			addPicture(picture(a, '2026-01-05'), 'p2'),
			addPicture(picture(a, '2026-01-06', 'after'), 'p3'),
			addPicture(picture(a, '2026-02-20'), 'p4'),
			addPicture(picture(b, '2026-03-01'), 'p5')
		);
		const pair = picturePair(home, a!);
		expect([pair.before?.id, pair.after?.id]).toEqual(['p2', 'p3']);
		expect(picturePairs(home).map(({ nookId }) => nookId)).toEqual([b, a]);
		expect(picturePair(apply(home, removePicture('p3')), a!).before?.id).toBe('p4');
	});
	it('go with their place', () => {
		const home = apply(tinyHome(), addPicture(picture(), 'p1'));
		expect(Object.keys(apply(home, (draft) => void delete draft.nooks[a!]).pictures)).toEqual([]);
	});
});

describe('taking over from another home', () => {
	const demo = demoHome(NOW);
	it('brings people, ways, containers and words, owns none of them, and takes nothing away', () => {
		const before = apply(tinyHome(), (draft) => void (draft.labelWords = { Old: 'Kept' }));
		const home = apply(
			before,
			takeOver(partsToTake({ ...demo, labelWords: { Pasta: 'Noodles' } }, TAKE_OVER), counter('t'))
		);
		const names = (records: Readonly<Record<string, { name: string }>>) =>
			Object.values(records).map(({ name }) => name);
		expect(names(home.people)).toEqual(
			expect.arrayContaining([...names(before.people), ...names(demo.people)])
		);
		expect(home.schools).toEqual(demo.schools);
		expect(home.settings).toEqual(demo.settings);
		expect(home.labelWords).toMatchObject({ Old: 'Kept', Pasta: 'Noodles' });
		const added = Object.values(home.containerKinds).filter(({ id }) => !before.containerKinds[id]);
		expect(added.length).toBeGreaterThan(10);
		expect(added.every(({ owned }) => owned === 0)).toBe(true);
		for (const [id, kind] of Object.entries(before.containerKinds))
			expect(home.containerKinds[id]).toEqual(kind);
	});
	it('brings nothing twice', () => {
		const taken = partsToTake(demo, TAKE_OVER);
		const once = apply(tinyHome(), takeOver(taken, counter('t')));
		expect(apply(once, takeOver(taken, counter('u')))).toEqual(once);
	});
	it('leaves out what was not asked for', () => {
		const home = apply(tinyHome(), takeOver(partsToTake(demo, ['people']), counter('t')));
		expect(home.schools).toEqual(tinyHome().schools);
		expect(home.containerKinds).toEqual(tinyHome().containerKinds);
	});
	it('knows words that were said on labels, and uses those that came along', () => {
		expect(ownWords({ ...empty(), labelWords: { A: 'B' } })).toEqual({ A: 'B' });
	});
});
