import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../fixtures/solved-once';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { adoptPlan } from '../zoning';
import {
	buyContainers,
	checkContents,
	checkFit,
	fitFingerprint,
	fitTogether,
	keepArrangements,
	keptFits,
	kindLike,
	shopCard,
	standInsFor,
	takeStandIn,
	type HomeFit
} from '.';

const demo = demoHome(NOW);
const planned = apply(demo, adoptPlan(solvedOnce('demo', () => demo).plan));
const nookIds = [...new Set(planned.zonePlans['p']!.assignments.map((a) => a.nookId as string))];
const some = nookIds.slice(0, 14);
const together = fitTogether(planned, some);

const fitOf = (home: Home, nookId: string) =>
	Object.values(home.fitPlans).find((fit) => fit.nookId === nookId)!;
const usedIn = ({ results }: HomeFit) => {
	const used = new Map<string, number>();
	for (const result of results)
		if ('arrangements' in result)
			for (const { kindId } of result.arrangements[0]!.placements)
				used.set(kindId, (used.get(kindId) ?? 0) + 1);
	return used;
};

describe('places fitted together', () => {
	it('keep every rule, and lose nothing', () => {
		expect(together.results).toHaveLength(some.length);
		for (const result of together.results) {
			if (!('arrangements' in result)) continue;
			const [best] = result.arrangements;
			expect(checkFit(planned, result.nookId, best!.placements)).toEqual([]);
			expect(checkContents(planned, result.nookId, best as never)).toEqual([]);
		}
	});
	it('spend no container of the house twice: what is used is owned or bought', () => {
		const bought = new Map(together.purchase.lines.map(({ kindId, count }) => [kindId, count]));
		for (const [kindId, count] of usedIn(together))
			expect(count, kindId).toBeLessThanOrEqual(
				planned.containerKinds[kindId]!.owned + (bought.get(kindId) ?? 0)
			);
	});
	it('add up: each line at its price, each place its share', () => {
		const lines = together.purchase.lines.reduce(
			(sum, { kindId, count }) => sum + planned.containerKinds[kindId]!.priceMinor * count,
			0
		);
		expect(together.purchase.costMinor).toBe(lines);
		const places = together.results.reduce(
			(sum, result) => sum + ('arrangements' in result ? result.arrangements[0]!.costMinor : 0),
			0
		);
		expect(places).toBe(lines);
		expect(together.purchase.bound).toBeLessThanOrEqual(together.purchase.objective + 1e-6);
	});
	it('keep to a budget, however small', () => {
		for (const budgetMinor of [0, 500]) {
			const poor = apply(planned, (draft) => void (draft.settings.budgetMinor = budgetMinor));
			const { purchase } = fitTogether(poor, some.slice(0, 6));
			expect(purchase.status).not.toBe('too-dear');
			expect(purchase.costMinor).toBeLessThanOrEqual(budgetMinor);
		}
	});
});

describe('the shop card', () => {
	const kept = apply(planned, keepArrangements(keptFits(together.results), NOW, 'k'));
	// Without any container of its own the house has all of them to buy.
	const bare = apply(kept, (draft) => {
		for (const kind of Object.values(draft.containerKinds)) kind.owned = 0;
	});
	const card = shopCard(bare);
	it('lists every container that is used and not owned, once, with its places', () => {
		const used = usedIn(together);
		expect(new Map(card.lines.map(({ kind, count }) => [kind.id as string, count]))).toEqual(used);
		for (const { count, places, kind } of card.lines) {
			expect(places.reduce((sum, place) => sum + place.count, 0)).toBe(count);
			for (const { playMm } of places)
				expect(
					Math.min(playMm.width, playMm.depth, playMm.height),
					kind.name
				).toBeGreaterThanOrEqual(0);
		}
	});
	it('is shorter by what is bought, and says what the budget leaves', () => {
		const [line] = card.lines;
		const after = apply(bare, buyContainers(line!.kind.id, line!.count));
		for (const fit of Object.values(after.fitPlans))
			expect(fit.fingerprint).toBe(fitFingerprint(after, fit.nookId));
		expect(shopCard(after).lines.map(({ kind }) => kind.id)).toEqual(
			card.lines.slice(1).map(({ kind }) => kind.id)
		);
		const ceiling = apply(bare, (draft) => void (draft.settings.budgetMinor = 1000));
		expect(shopCard(ceiling).leftMinor).toBe(1000 - card.costMinor);
		expect(shopCard(apply(after, buyContainers(line!.kind.id, -line!.count)))).toEqual(card);
	});
	it('says where another size would do, and takes it there', () => {
		const line = card.lines[0]!;
		const { kind } = line;
		const same = kindLike(kind, 'found', {
			widthMm: Math.max(kind.outerTop.widthMm, kind.outerBase.widthMm),
			depthMm: Math.max(kind.outerTop.depthMm, kind.outerBase.depthMm),
			heightMm: kind.heightMm,
			priceMinor: 100
		});
		expect(same.inner).toEqual(kind.inner);
		const found = standInsFor(bare, line, same);
		const does = found.flatMap((place) => (place.status === 'does' ? [place] : []));
		expect(does).toHaveLength(line.places.length);
		const taken = apply(
			bare,
			takeStandIn(
				same,
				does.reduce((sum, { count }) => sum + count, 0),
				does.map(({ fit }) => fit),
				NOW,
				's'
			)
		);
		expect(shopCard(taken).lines.some(({ kind: { id } }) => id === 'found')).toBe(false);
		// What was bought is what stands there: nothing is out of date by it.
		for (const { nookId } of does)
			expect(fitOf(taken, nookId).fingerprint).toBe(fitFingerprint(taken, nookId));
		const huge = kindLike(kind, 'huge', {
			widthMm: 5000,
			depthMm: 5000,
			heightMm: 900,
			priceMinor: 100
		});
		expect(standInsFor(bare, line, huge).every(({ status }) => status === 'too-big')).toBe(true);
	});
});
