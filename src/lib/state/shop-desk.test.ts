import { describe, expect, it } from 'vitest';
import { counter, NOW, tinyHome } from '../core/fixtures/tiny-home';
import { addUsualKinds, byShop, fitTogether, keepArrangements, keptFits } from '../core/fitting';
import { applyEdit, type Home } from '../core/model';
import { adoptPlan, DEFAULT_PLACE, placeHome, toZonePlan } from '../core/zoning';
import { DeskStore } from './desk-store';
import { ShopDesk } from './shop-desk.svelte';

/** A home whose first fitted place wants three bins that nobody owns. */
function wanting(): Home {
	const bare = applyEdit(tinyHome(), addUsualKinds()).home;
	const plan = toZonePlan(placeHome(bare, { ...DEFAULT_PLACE, moves: 3000 }), 'p', 'P', NOW);
	const planned = applyEdit(bare, adoptPlan(plan)).home;
	const ids = [...new Set(plan.assignments.map(({ nookId }) => nookId as string))];
	const fits = keptFits(fitTogether(planned, ids).results);
	return applyEdit(planned, (draft) => {
		keepArrangements(fits, NOW, 'k')(draft);
		const fit = Object.values(draft.fitPlans)[0]!;
		const groupId = plan.assignments[0]!.groupId;
		fit.placements = [0, 1, 2].map((i) => ({
			id: `c${i}` as never,
			kindId: 'bin-half' as never,
			groupId,
			xMm: 3 + 130 * i,
			yMm: 10,
			zMm: 0,
			turned: false,
			cut: null,
			holds: []
		}));
		for (const other of Object.values(draft.fitPlans)) if (other !== fit) other.placements = [];
		for (const kind of Object.values(draft.containerKinds)) kind.owned = 0;
	}).home;
}

function desk(home = wanting()) {
	const store = new DeskStore(home);
	return { store, desk: new ShopDesk({ store: store.get, newId: counter('s'), now: () => NOW }) };
}

describe('in the shop', () => {
	it('ticks a line off, and puts it back', () => {
		const { desk: shop, store } = desk();
		const [line] = shop.card.lines;
		expect([line!.kind.id, line!.count]).toEqual(['bin-half', 3]);
		shop.tick(line!);
		expect(shop.card.lines).toEqual([]);
		expect(store.home.containerKinds['bin-half']!.owned).toBe(3);
		expect(shop.bought).toMatchObject([{ amount: '3', what: { kindId: 'bin-half', count: 3 } }]);
		shop.putBack(shop.bought[0]!);
		expect(shop.card.lines).toHaveLength(1);
		expect(shop.bought).toEqual([]);
	});
	it('forgets what it found for another size when the home has changed since', () => {
		const { desk: shop, store } = desk();
		shop.look(shop.card.lines[0]!, {
			widthMm: 5000,
			depthMm: 5000,
			heightMm: 100,
			priceMinor: 100
		});
		expect(shop.found?.places.map(({ status }) => status)).toEqual(['too-big']);
		// Nothing does, so nothing is taken.
		shop.take();
		expect(store.labels).toEqual([]);
		store.run('own', 'setOwned', 'bin-l', 1);
		expect(shop.found).toBeNull();
	});
	it('writes the card as a table with sizes and places', () => {
		const { desk: shop, store } = desk();
		const [head, row] = shop.csv().split('\r\n');
		expect(head).toContain('width mm');
		expect(row).toContain('Half-width bin,120,190,100,3,7.8');
		expect(row).toContain(store.home.nooks[shop.card.lines[0]!.places[0]!.nookId]!.name);
	});
	it('is parted by where things are sold; what nobody said comes last', () => {
		const { desk: shop, store } = desk();
		const [line] = shop.card.lines;
		expect(shop.parts).toMatchObject([{ shop: '', costMinor: line!.priceMinor }]);
		shop.sellAt(line!, ' The ironmonger ');
		expect(shop.parts.map((part) => part.shop)).toEqual(['The ironmonger']);
		expect(shop.shops).toEqual(['The ironmonger']);
		// Said again as it is: nothing is written.
		const steps = store.labels.length;
		shop.sellAt(shop.card.lines[0]!, 'The ironmonger');
		expect(store.labels).toHaveLength(steps);
		const other = { ...line!, kind: { ...line!.kind, id: 'other' as never, shop: '' } };
		const parts = byShop({ lines: [other, ...shop.card.lines] });
		expect(parts.map((part) => [part.shop, part.lines.length])).toEqual([
			['The ironmonger', 1],
			['', 1]
		]);
		expect(shop.csv()).toContain('The ironmonger');
	});
});
