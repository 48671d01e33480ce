import { describe, expect, it } from 'vitest';
import { tinyHome } from '../core/fixtures/tiny-home';
import { addUsualKinds, plainKind } from '../core/fitting';
import { applyEdit, type Home } from '../core/model';
import {
	filledText,
	heightText,
	holdersText,
	holdsText,
	lookPriceText,
	missingHolderText,
	overText,
	proofText,
	shelfMoveText,
	shelvesText,
	standInText,
	standsText,
	togetherText
} from './fitting';

const home: Home = tinyHome();
const [one, two] = Object.values(home.things);
const group = Object.values(home.groups)[0]!;
const nook = Object.values(home.nooks)[0]!;

describe('words of Fit', () => {
	it('name what is in a container, the most first, and what it weighs', () => {
		const holds = [
			{ thingId: one!.id, pieces: 1 },
			{ thingId: two!.id, pieces: 4 }
		];
		expect(holdsText(home, holds)).toBe(`4 ${two!.name}, 1 ${one!.name}`);
		const grams = 500 + one!.massG + 4 * two!.massG;
		expect(filledText(home, 500, holds)).toBe(
			grams >= 1000 ? `${Number((grams / 1000).toFixed(1))} kg` : `${grams} g`
		);
	});
	it('say why something did not go in', () => {
		const over = { groupId: group.id, thingId: one!.id, pieces: 2, volumeMl: 900 };
		expect(overText(home, over)).toBe(`2 × ${one!.name}: no floor left.`);
		expect(overText(home, { ...over, tooLarge: { side: 'height', shortMm: 14 } })).toBe(
			`2 × ${one!.name}: 14 mm too tall here.`
		);
		expect(overText(home, { ...over, tooLarge: { side: 'floor', shortMm: 5 } })).toContain(
			'5 mm too large'
		);
		// An older fit knows only the group.
		expect(overText(home, { ...over, thingId: null })).toContain(group.name);
	});
	it('say how far a shelf moves, and what it brings', () => {
		expect(shelfMoveText(home, { nookId: nook.id, holes: 1, byMm: 32 })).toBe(
			`${nook.name}: up by 1 hole (32 mm)`
		);
		expect(shelfMoveText(home, { nookId: nook.id, holes: -3, byMm: -96 })).toContain(
			'down by 3 holes (96 mm)'
		);
		const setting = { levels: [], moves: [], assignments: [], against: [], isProven: true };
		expect(shelvesText(home, { ...setting, gains: [group.id], out: [] })).toBe(
			`Then these stand whole on one shelf: ${group.name}. No other heights hold more.`
		);
		expect(
			shelvesText(home, { ...setting, isProven: false, gains: [], out: [group.id] })
		).toContain(`Still not: ${group.name}.`);
		expect(shelvesText(home, { ...setting, gains: [], out: [], against: [group.id] })).toContain(
			`a hard rule is against ${group.name}`
		);
	});
	it('say what fitting all places came to', () => {
		const purchase = {
			status: 'proven' as const,
			lines: [{ kindId: 'bin-m', count: 2 }],
			costMinor: 560,
			objective: 700,
			bound: 700
		};
		expect(togetherText(home, { fitted: 3, not: 1, purchase })).toMatch(
			/^3 places fitted, 1 not\. 2 containers to buy for .*5\.60\. No other/
		);
		const stocked = applyEdit(home, addUsualKinds()).home;
		expect(
			togetherText(stocked, {
				fitted: 3,
				not: 0,
				purchase: { ...purchase, status: 'open', lines: [], costMinor: 0, bound: 500 }
			})
		).toMatch(/Nothing to buy.*At most .*2/);
		expect(
			togetherText(home, { fitted: 0, not: 3, purchase: { ...purchase, status: 'too-dear' } })
		).toContain('Raise it');
		expect(togetherText(home, { fitted: 1, not: 0, purchase: null })).toBe('1 place fitted.');
		const none = { ...purchase, lines: [], costMinor: 0 };
		expect(togetherText(home, { fitted: 3, not: 0, purchase: none })).toMatch(
			/knows none yet.*Containers/
		);
	});
	it('say what is cut, and what stands on what', () => {
		const at = (
			id: string,
			zMm: number,
			cut: { widthMm: number; depthMm: number } | null = null
		) => ({ id: id as never, xMm: 3, yMm: 10, zMm, cut });
		const pile = [at('a', 0), at('b', 190), at('c', 380)];
		expect(pile.map((one) => standsText(home, one, pile))).toEqual([
			'at the bottom',
			'layer 2',
			'on top'
		]);
		const tray = at('d', 0, { widthMm: 558, depthMm: 477 });
		expect(standsText(home, tray, [tray])).toBe('cut to 558 mm × 477 mm');
		expect(standsText(home, at('e', 0), [at('e', 0)])).toBe('');
	});
	it('say how good an arrangement is, and no more than is known', () => {
		const of = (status: 'proven' | 'open' | 'none', gap: number, hasDailyBehind = false) =>
			proofText(home, { proof: { status, gap }, hasDailyBehind });
		expect(of('proven', 0)).toMatch(/^Proven: none of the ways tried to hold this/);
		expect(of('none', 0)).toBe('Proven: none of the ways tried has all of it in.');
		expect(of('none', 0, true)).toContain('in front');
		expect(of('open', 240)).toContain('2.40');
		expect(of('open', 0.2)).toBe('');
		expect(of('open', Infinity)).toBe('');
	});
	it('say why what was chosen holds nothing here, and what comes nearest', () => {
		const bin = { ...plainKind('k-1'), name: 'Box' };
		const known: Home = { ...home, containerKinds: { 'k-1': bin } };
		const said = (nearest: Parameters<typeof missingHolderText>[1]) =>
			missingHolderText(known, nearest);
		expect(said(null)).toMatch(/^No container of that form is known here\. Add its size/);
		expect(
			said({ kindId: 'k-1', why: 'container', over: { side: 'height', shortMm: 13.2 } })
		).toContain('The nearest, Box, is 14 mm too tall.');
		expect(
			said({
				kindId: 'k-1',
				why: 'thing',
				thingId: one!.id,
				over: { side: 'width', shortMm: 8 }
			})
		).toContain(`${one!.name} is 8 mm too wide for the nearest, Box.`);
		expect(said({ kindId: 'k-1', why: 'no-room' })).toContain('Box would take it');
		expect(said({ kindId: null, why: 'from-above' })).toContain('from above');
		expect(holdersText([])).toBe('Usually stands free.');
		expect(holdersText(['level'])).toMatch(/^Usually stands free; on a second level where/);
		expect(holdersText(['riser', 'bin'])).toMatch(/^Usually in a riser with steps, or a bin: /);
	});
	it('say what a look costs beside any, and what height stays free', () => {
		const any = { look: '', costMinor: 640, containers: 11, leftOverMl: 0, lacks: 900 };
		expect(lookPriceText(home, any, any)).toMatch(/^any, mixed: .*6\.40 to buy, 11 containers\.$/);
		expect(lookPriceText(home, { ...any, look: 'clear' }, any)).toContain('no dearer than any.');
		const woven = { look: 'woven', costMinor: 1990, containers: 4, leftOverMl: 1200, lacks: 2900 };
		expect(lookPriceText(home, woven, any)).toMatch(
			/13\.50 more than any; 1\.2 l more stays out; more stands without what suits it\.$/
		);
		expect(heightText(home, null)).toBe('');
		expect(heightText(home, { overMm: 180, why: 'from-above' })).toMatch(
			/^180 mm of height stays free: one looks in from above/
		);
	});
	it('say what another container would do', () => {
		const at = { nookId: nook.id };
		expect(standInText(home, { ...at, status: 'too-big' })).toContain('does not go in');
		expect(standInText(home, { ...at, status: 'less-in', overMl: 2000 })).toContain('2.0 l more');
		expect(standInText(home, { ...at, status: 'less-in', overMl: 0 })).toContain('holds none');
		expect(standInText(home, { ...at, status: 'does', count: 2, fit: {} as never })).toBe(
			`${nook.name}: it does; you need 2.`
		);
	});
});
