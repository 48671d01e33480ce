import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { groupOfLots, piecesIn } from '../grouping';
import { pieceVolumeMl, type Home, type Thing } from '../model';
import { placesOfLots } from './lot-places';
import { doMove, moveOrder } from './move-order';

const demo = demoHome(NOW);
const NOOKS = ['tall-1', 'tall-2', 'tall-3'] as const;
const planOf = (groupId: string, shares: readonly number[]) =>
	shares.map((share, i) => ({ groupId, nookId: NOOKS[i]!, share }) as never) as {
		groupId: never;
		nookId: never;
		share: number;
	}[];
const lotsOf = (home: Home, groupId: string) =>
	[...groupOfLots(home)].filter(([, id]) => id === groupId).map(([lotId]) => home.lots[lotId]!);
const thingNamed = (home: Home, name: string) =>
	Object.values(home.things).find((thing) => thing.name === name)!;

const groups = Object.keys(demo.groups).filter((id) => lotsOf(demo, id).length > 0);
/** The demo home with some lots elsewhere and of other counts, and a plan that parts one group. */
const cases = fc
	.record({
		group: fc.constantFrom(...groups),
		weights: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 3 }),
		shuffle: fc.array(fc.tuple(fc.nat(), fc.nat(3), fc.integer({ min: 1, max: 30 })), {
			maxLength: 12
		})
	})
	.map(({ group, weights, shuffle }) => {
		const own = lotsOf(demo, group);
		const home = apply(demo, (draft) => {
			for (const [l, n, count] of shuffle) {
				const lot = draft.lots[own[l % own.length]!.id]!;
				lot.nookId = (NOOKS[n] ?? null) as never;
				if (lot.unit === 'pack') lot.count = count - (count % 3 === 0 ? 0.5 : 0);
			}
		});
		const sum = weights.reduce((a, b) => a + b, 0);
		return {
			home,
			group,
			plan: planOf(
				group,
				weights.map((weight) => weight / sum)
			)
		};
	});

describe('which lots of a group live where', () => {
	it('gives a thing of two places to each by what that place still has to get', () => {
		const [first, second] = ['toilet-paper-rolls', 'kitchen-roll-paper'].map(
			(id) => demo.things[id]!
		);
		const pieces = (id: string) =>
			lotsOf(demo, 'paper')
				.filter((lot) => lot.thingId === id)
				.reduce((sum, lot) => sum + piecesIn(lot), 0);
		const ml = (thing: Thing) => pieceVolumeMl(thing) * pieces(thing.id);
		const rest = lotsOf(demo, 'paper')
			.map(({ thingId }) => demo.things[thingId]!)
			.filter((thing, i, all) => all.indexOf(thing) === i && thing !== first && thing !== second);
		const total = ml(first!) + ml(second!) + rest.reduce((sum, thing) => sum + ml(thing), 0);
		// The first place takes a quarter of the rolls beside all of the kitchen paper.
		const share = (ml(second!) + ml(first!) / 4) / total;
		const plan = [
			{ groupId: 'paper', nookId: 'tall-1', share, thingIds: [first!.id, second!.id] },
			{
				groupId: 'paper',
				nookId: 'tall-2',
				share: 1 - share,
				thingIds: [first!.id, ...rest.map(({ id }) => id)]
			}
		] as never[];
		const rolls = placesOfLots(demo, 'paper', plan).filter(({ thing }) => thing === first);
		const at = (nookId: string) =>
			rolls.filter((one) => one.nookId === nookId).reduce((sum, one) => sum + one.pieces, 0);
		expect(at('tall-1')).toBe(Math.round(pieces(first!.id) / 4));
		expect(at('tall-1') + at('tall-2')).toBe(pieces(first!.id));
	});
	it('gives each lot whole, in whole packs but for the one that is started', () => {
		fc.assert(
			fc.property(cases, ({ home, group, plan }) => {
				const shares = placesOfLots(home, group, plan);
				for (const lot of lotsOf(home, group)) {
					const own = shares.filter((share) => share.lot.id === lot.id);
					expect(own.reduce((sum, { count }) => sum + count, 0)).toBeCloseTo(lot.count, 9);
					expect(own.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(piecesIn(lot));
					expect(own.filter(({ count }) => !Number.isInteger(count)).length).toBeLessThan(2);
					if (lot.unit !== 'pack') expect(own).toHaveLength(1);
				}
			}),
			{ seed: 95, numRuns: 200 }
		);
	});
	it('leaves each nook within its largest piece of its share', () => {
		fc.assert(
			fc.property(cases, ({ home, group, plan }) => {
				const shares = placesOfLots(home, group, plan);
				const total = shares.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
				const piece = Math.max(
					...shares.map(({ lot, thing, pieces, volumeMl }) =>
						lot.unit === 'pack' ? pieceVolumeMl(thing) : volumeMl / pieces
					)
				);
				for (const { nookId, share } of plan) {
					const here = shares.filter((each) => each.nookId === nookId);
					const ml = here.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
					expect(ml - share * total).toBeLessThanOrEqual(piece + 1e-6);
				}
			}),
			{ seed: 96, numRuns: 200 }
		);
	});
	it('has nothing left to move once all is moved, and changes no count', () => {
		fc.assert(
			fc.property(cases, ({ home, group, plan }) => {
				const after = moveOrder(home, { assignments: plan }).steps.reduce(
					(now, step) => apply(now, doMove(step)),
					home
				);
				expect(moveOrder(after, { assignments: plan }).steps).toEqual([]);
				const count = (h: Home) => {
					const sums = new Map<string, number>();
					for (const lot of Object.values(h.lots))
						sums.set(lot.thingId, (sums.get(lot.thingId) ?? 0) + lot.count);
					return [...sums].map(([id, n]) => [id, Math.round(n * 1e6)]).sort();
				};
				expect(count(after)).toEqual(count(home));
				const nooks = new Set(plan.map(({ nookId }) => nookId as string));
				for (const lot of lotsOf(after, group)) expect(nooks.has(lot.nookId ?? '')).toBe(true);
			}),
			{ seed: 97, numRuns: 200 }
		);
	});
	it('does not move what stands right already', () => {
		const towels = lotsOf(demo, 'towels');
		const [bath, hand] = ['bath towels', 'hand towels'].map((name) => thingNamed(demo, name));
		const home = apply(demo, (draft) => {
			for (const lot of towels)
				draft.lots[lot.id]!.nookId = (lot.thingId === bath!.id ? 'tall-1' : 'tall-2') as never;
		});
		const ml = (id: string) =>
			lotsOf(home, 'towels')
				.filter((lot) => (lot.thingId === bath!.id) === (id === bath!.id))
				.reduce((sum, lot) => sum + pieceVolumeMl(home.things[lot.thingId]!) * piecesIn(lot), 0);
		const share = ml(bath!.id) / (ml(bath!.id) + ml(hand!.id));
		const shares = placesOfLots(home, 'towels', planOf('towels', [share, 1 - share]));
		for (const { lot, nookId } of shares) expect(lot.nookId).toBe(nookId);
	});
	it('parts a lot that is larger than a share, and keeps the rest of a thing together', () => {
		const home = apply(demo, (draft) => {
			for (const lot of lotsOf(demo, 'towels')) draft.lots[lot.id]!.nookId = 'dresser-1' as never;
		});
		const shares = placesOfLots(home, 'towels', planOf('towels', [1 / 3, 1 / 3, 1 / 3]));
		const nooksOf = (name: string) =>
			shares.filter(({ thing }) => thing.name === name).map(({ nookId }) => nookId);
		expect(nooksOf('bath towels').length).toBe(2);
		// Of ten kinds of towel no more are parted than the two cuts fall on.
		const names = [...new Set(shares.map(({ thing }) => thing.name))];
		expect(names.filter((name) => nooksOf(name).length > 1).length).toBeLessThanOrEqual(2);
	});
	it('goes by what each place names, where a group was parted by what it is made of', () => {
		const ids = lotsOf(demo, 'towels').map(({ thingId }) => thingId);
		const [first, ...others] = [...new Set(ids)];
		const plan = planOf('towels', [0.4, 0.6]).map((row, i) => ({
			...row,
			thingIds: i ? others : [first!]
		}));
		for (const { thing, nookId } of placesOfLots(demo, 'towels', plan))
			expect(nookId).toBe(thing.id === first ? NOOKS[0] : NOOKS[1]);
	});
	it('shares a thing that two places name, and finds a place for one that none does', () => {
		const [first, second, ...others] = [
			...new Set(lotsOf(demo, 'towels').map(({ thingId }) => thingId))
		];
		const plan = planOf('towels', [0.5, 0.5]).map((row, i) => ({
			...row,
			thingIds: i ? [first!, ...others] : [first!]
		}));
		const shares = placesOfLots(demo, 'towels', plan);
		expect(shares.some(({ thing }) => thing.id === second)).toBe(true);
		for (const lot of lotsOf(demo, 'towels')) {
			const own = shares.filter((share) => share.lot.id === lot.id);
			expect(own.reduce((sum, { count }) => sum + count, 0)).toBeCloseTo(lot.count, 9);
		}
	});
	it('leaves out what has no place: no other place of its group takes it', () => {
		const lots = lotsOf(demo, 'pots');
		const [first, second] = [...new Set(lots.map(({ thingId }) => thingId))];
		const all = (thingId: string) =>
			lots.filter((lot) => lot.thingId === thingId).map(({ id }) => id);
		const row = { groupId: 'pots', nookId: NOOKS[0], share: 0.4, thingIds: [first] } as never;
		const placed = placesOfLots(demo, 'pots', [row]).map(({ lot }) => lot.id);
		expect(new Set(placed)).toEqual(new Set(all(first!)));
		expect(placed).not.toContain(all(second!)[0]);
		// Once its shares are whole, what was bought since goes along.
		const whole = { ...(row as object), share: 1 } as never;
		expect(placesOfLots(demo, 'pots', [whole])).toHaveLength(lots.length);
	});
	it('parts no lot where spares are kept apart', () => {
		const apart = apply(demo, (draft) => {
			draft.groups['spare' as never] = {
				...structuredClone(demo.groups['towels' as never] as object),
				id: 'spare',
				stockOf: 'towels'
			} as never;
		});
		const shares = placesOfLots(apart, 'towels', planOf('towels', [0.5, 0.5]));
		expect(new Set(shares.map(({ lot }) => lot.id)).size).toBe(shares.length);
	});
});

it('leaves frozen goods of a kind that is planned fresh in the cold', () => {
	const fresh = Object.values(demo.lots).find(({ thingId }) =>
		demo.things[thingId]!.needs.includes('chilled')
	)!;
	const groupId = demo.things[fresh.thingId]!.groupId!;
	const home = apply(demo, (draft) => {
		const lot = draft.lots[fresh.id]!;
		lot.nookId = 'fz-1' as never;
		lot.dates.frozenOn = '2026-02-01';
	});
	const shares = placesOfLots(home, groupId, [{ groupId, nookId: 'fridge-2' as never, share: 1 }]);
	expect(shares.some(({ lot }) => lot.id === fresh.id)).toBe(false);
	const thawed = apply(home, (draft) => {
		draft.lots[fresh.id]!.dates.thawedOn = '2026-03-01';
	});
	const after = placesOfLots(thawed, groupId, [{ groupId, nookId: 'fridge-2' as never, share: 1 }]);
	expect(after.some(({ lot }) => lot.id === fresh.id)).toBe(true);
});
