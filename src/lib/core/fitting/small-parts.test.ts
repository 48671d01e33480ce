import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW, withLines } from '../fixtures/tiny-home';
import { addGroup } from '../grouping/records';
import { GroupId, NookId, type Home, type Nook } from '../model';
import { DEFAULT_PLACE, placeHome, toZonePlan } from '../zoning';
import {
	addUsualKinds,
	cutFloor,
	fitNook,
	keepArrangements,
	keptOf,
	partLines,
	partOffers,
	shopCard
} from '.';
import { buyParts, dropPart, wantPart } from './small-parts';

const kitchen = bareKitchen();
const nooks = Object.values(kitchen.nooks);
const placeOf = (name: RegExp) => nooks.find((nook) => name.test(nook.name))!.id as string;
const [BASE, SINK] = [placeOf(/^Base cabinet/), placeOf(/^Sink cabinet/)];

/** A home whose plan puts each of these lists of things, a group each, into a place of this kind. */
function planned(
	groups: readonly (readonly [nookId: string, lines: readonly string[]])[],
	change: (nook: Nook) => void = () => undefined
): Home {
	let home = kitchen;
	groups.forEach(([nookId, lines], i) => {
		home = apply(withLines(home, lines, nookId), (draft) => {
			const { id } = addGroup(draft as Home, `g${i}`, `Group ${i}`);
			for (const thing of Object.values(draft.things)) thing.groupId ??= id;
		});
	});
	const solved = placeHome(home, { ...DEFAULT_PLACE, moves: 10 });
	const plan = toZonePlan(solved, 'p', 'by hand', NOW);
	const made = apply(home, (draft) => {
		for (const [nookId] of groups) change(draft.nooks[nookId as NookId]! as Nook);
		draft.zonePlans[plan.id] = {
			...plan,
			assignments: groups.map(([nookId], i) => ({
				groupId: GroupId.parse(`g${i}`),
				nookId: NookId.parse(nookId),
				share: 1
			}))
		};
		draft.activePlanId = plan.id;
	});
	// What fits as it is kept: all of it stands free.
	const fits = [...new Set(groups.map(([nookId]) => nookId))].flatMap((nookId) => {
		const found = fitNook(made, nookId, { kinds: [], owned: new Map() });
		return 'arrangements' in found
			? [{ nookId, kept: keptOf(found.arrangements[0]!), fingerprint: found.fingerprint }]
			: [];
	});
	return apply(made, keepArrangements(fits, NOW, 'k'));
}

const drawer = (nook: Nook) => {
	nook.kind = 'drawer';
	nook.inside = { widthMm: 860, depthMm: 500, heightMm: 120 };
};

describe('a floor cut from a roll', () => {
	it('takes the way that needs less', () => {
		expect(cutFloor({ widthMm: 860, depthMm: 500 }, 450)).toEqual({
			strips: 2,
			lengthMm: 500,
			lastWidthMm: 410
		});
		expect(cutFloor({ widthMm: 860, depthMm: 300 }, 300)).toEqual({
			strips: 1,
			lengthMm: 860,
			lastWidthMm: 300
		});
	});
	it('covers all of it with no strip to spare, and no way is shorter', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 50, max: 1500 }),
				fc.integer({ min: 50, max: 900 }),
				fc.constantFrom(300, 450, 600),
				(widthMm, depthMm, rollMm) => {
					const { strips, lengthMm, lastWidthMm } = cutFloor({ widthMm, depthMm }, rollMm);
					const across = lengthMm === widthMm ? depthMm : widthMm;
					expect(rollMm * (strips - 1) + lastWidthMm).toBe(across);
					expect(lastWidthMm).toBeGreaterThan(0);
					expect(lastWidthMm).toBeLessThanOrEqual(rollMm);
					const ways = [
						widthMm * Math.ceil(depthMm / rollMm),
						depthMm * Math.ceil(widthMm / rollMm)
					];
					expect(strips * lengthMm).toBe(Math.min(...ways));
				}
			),
			{ seed: 401 }
		));
});

describe('small parts for a place', () => {
	it('are offered where they help, with the reason', () => {
		const home = planned(
			[
				[BASE, ['6 dinner forks', '6 dinner knives']],
				[BASE, ['2 spatula']]
			],
			drawer
		);
		const offers = partOffers(home, BASE);
		expect(offers.map(({ use, reason, state }) => [use, reason, state])).toEqual([
			['liner', 'slides', 'offered'],
			['dividers', 'mixes', 'offered']
		]);
		expect(offers[0]!.wanted).toMatchObject({ form: 'cut', cut: { strips: 2, lengthMm: 500 } });
		expect(offers[1]!.wanted).toMatchObject({ form: 'pieces', count: 1, most: 500 });
		expect(partOffers(home, SINK)).toEqual([]);
		expect(partOffers(home, 'gone')).toEqual([]);
		// Before it is known what lies loose, no divider is proposed.
		const open = apply(home, (draft) => {
			for (const id of Object.keys(draft.fitPlans)) delete draft.fitPlans[id];
		});
		expect(partOffers(open, BASE).map(({ use }) => use)).toEqual(['liner']);
	});
	it('hold nothing still that an insert holds, cut to the drawer', () => {
		const bare = planned([[BASE, ['6 dinner forks', '6 dinner knives']]], drawer);
		const home = apply(bare, addUsualKinds());
		const [kindId] = Object.keys(home.containerKinds);
		const withInsert = (widthMm: number, isAllIn: boolean) =>
			apply(home, (draft) => {
				const fit = Object.values(draft.fitPlans).find(({ nookId }) => nookId === BASE);
				const cut = { widthMm, depthMm: 480 };
				if (isAllIn) fit!.standing = [];
				fit!.placements = [
					{
						id: 'one',
						kindId,
						groupId: 'g0',
						xMm: 0,
						yMm: 0,
						zMm: 0,
						turned: false,
						cut,
						holds: []
					} as never
				];
			});
		const inside = home.nooks[BASE]!.inside.widthMm!;
		const usesOf = (one: Home) => partOffers(one, BASE).map(({ use }) => use);
		expect(usesOf(withInsert(inside - 10, true))).toEqual([]);
		expect(usesOf(withInsert(inside - 100, true))).toEqual(['liner']);
		expect(usesOf(withInsert(inside - 10, false))).toEqual(['liner']);
	});
	it('catch what drips', () => {
		const home = planned([[SINK, ['1 bleach', '2 washing-up liquid']]], (nook) => {
			nook.inside = { widthMm: 560, depthMm: 500, heightMm: 400 };
		});
		expect(partOffers(home, SINK).map(({ use }) => use)).toEqual(['washable-liner']);
		// A roll of 60 cm covers it in one strip.
		expect(partOffers(home, SINK)[0]!.wanted).toMatchObject({
			part: { key: 'washable-600' },
			cut: { strips: 1, lengthMm: 500, lastWidthMm: 560 }
		});
	});
	it('say what is not measured, and what no hook carries', () => {
		const bare = planned([[SINK, ['1 olive oil']]], (nook) => {
			nook.inside = { widthMm: null, depthMm: 500, heightMm: 400 };
		});
		expect(partOffers(bare, SINK)[0]!.wanted).toBe('not-measured');
		const hung = (massG: number) =>
			apply(
				planned([[BASE, ['3 ladle']]], (nook) => {
					nook.kind = 'hooks';
				}),
				(draft) => {
					for (const thing of Object.values(draft.things)) thing.massG = massG;
				}
			);
		expect(partOffers(hung(300), BASE)[0]).toMatchObject({
			reason: 'hangs',
			wanted: { part: { key: 'hook-500' }, count: 3, most: 300 }
		});
		expect(partOffers(hung(800), BASE)[0]).toMatchObject({
			wanted: { part: { key: 'hook-1500' } }
		});
		expect(partOffers(hung(9000), BASE)[0]!.wanted).toBe('too-heavy');
	});
	it('offer no divider that is too short, too long or too high', () => {
		const with2 = (depthMm: number, heightMm: number) =>
			partOffers(
				planned(
					[
						[BASE, ['2 pens']],
						[BASE, ['3 batteries']]
					],
					(nook) => {
						nook.kind = 'drawer';
						nook.inside = { widthMm: 400, depthMm, heightMm };
					}
				),
				BASE
			).find(({ use }) => use === 'dividers')!.wanted;
		expect(with2(500, 100)).toMatchObject({ part: { key: 'divider-430' } });
		expect(with2(300, 100)).toMatchObject({ part: { key: 'divider-300' } });
		expect(with2(700, 100)).toBe('none-sold');
		expect(with2(500, 40)).toBe('none-sold');
	});
});

describe('small parts on the shop card', () => {
	const home = planned(
		[
			[BASE, ['6 dinner forks']],
			[SINK, ['4 glass tumblers']]
		],
		drawer
	);
	const wanting = apply(
		home,
		wantPart(BASE, 'liner', false, 'a'),
		wantPart(SINK, 'liner', false, 'b')
	);
	it('are bought together: what is over of one place goes into the next', () => {
		expect(partLines(home)).toEqual([]);
		// Each drawer takes 1 m of the wider roll, or 1.5 m of the narrow one.
		const [line, ...more] = partLines(wanting);
		expect(more).toEqual([]);
		const metres = line!.places.reduce(
			(sum, place) => sum + (place.form === 'cut' ? place.cut.strips * place.cut.lengthMm : 0),
			0
		);
		expect(line!.count).toBe(Math.ceil(metres / 1000));
		expect(line!.priceMinor).toBe(line!.count * line!.part.priceMinor);
		const card = shopCard(wanting);
		expect(card.parts).toEqual(partLines(wanting));
		expect(card.costMinor - shopCard(home).costMinor).toBe(line!.priceMinor);
	});
	it('leave the card once bought, and come back when put back', () => {
		const places = [{ nookId: BASE, use: 'liner' as const }];
		const bought = apply(wanting, buyParts(places, true));
		expect(partLines(bought)[0]!.places.map(({ nookId }) => nookId)).toEqual([SINK]);
		expect(partOffers(bought, BASE)[0]!.state).toBe('had');
		expect(partLines(apply(bought, buyParts(places, false)))).toEqual(partLines(wanting));
	});
	it('are one a place and use, and go when done without or when the plan puts other things there', () => {
		const twice = apply(wanting, wantPart(BASE, 'liner', true, 'c'));
		expect(Object.keys(twice.smallParts).sort()).toEqual(['a', 'b']);
		expect(partOffers(twice, BASE)[0]!.state).toBe('had');
		expect(Object.keys(apply(wanting, dropPart(BASE, 'liner')).smallParts)).toEqual(['b']);
		const moved = apply(wanting, (draft) => {
			draft.zonePlans['p']!.assignments = [];
		});
		expect(partLines(moved)).toEqual([]);
	});
});
