import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { counter, NOW } from '../fixtures/tiny-home';
import { applyEdit, type Home } from '../model';
import { applyCut, cutPlace, piecesOut } from './place-cut';

const demo = demoHome(NOW);
const NONE = { stay: new Set<string>(), go: new Set<string>() };
const pieces = (home: Home, thingId: string) =>
	Object.values(home.lots).reduce((sum, lot) => sum + (lot.thingId === thingId ? lot.count : 0), 0);
/** Places of the demo with more in them than they hold, the first few. */
const full = Object.keys(demo.nooks)
	.filter((id) => {
		const found = cutPlace(demo, id, NONE);
		return found && found.cut.keep.length < found.wanting.length;
	})
	.slice(0, 6);

describe('carrying out a cut', () => {
	it('has a place that is too full to try it on', () => expect(full.length).toBeGreaterThan(0));
	it.each(full)('%s: no piece is lost, and what stays is what the cut keeps', (nookId) => {
		const found = cutPlace(demo, nookId, NONE)!;
		const out = piecesOut(found);
		const { home } = applyEdit(demo, applyCut(out, counter('cut')));
		for (const thingId of Object.keys(demo.things))
			expect(pieces(home, thingId)).toBe(pieces(demo, thingId));
		for (const [lotId, gone] of out) {
			const before = demo.lots[lotId]!;
			const after = home.lots[lotId]!;
			const stays = after.nookId === nookId ? after.count : 0;
			expect(stays).toBe(Math.max(0, before.count - gone));
		}
		// Done once, nothing more is too much there.
		const again = cutPlace(home, nookId, NONE);
		expect(again ? again.wanting.length - again.cut.keep.length : 0).toBe(0);
	});
	it('looks at very many pieces in parts, and loses none of them', () => {
		const nookId = full[0]!;
		const [lot] = Object.values(demo.lots).filter((each) => each.nookId === nookId);
		const many = applyEdit(demo, (draft) => void (draft.lots[lot!.id]!.count = 1_000_000)).home;
		const found = cutPlace(many, nookId, NONE)!;
		const own = found.wanting.filter(({ lots }) => lots[0]!.lot.id === lot!.id);
		expect(own.length).toBeLessThan(600);
		expect(own.reduce((sum, { lots }) => sum + lots[0]!.pieces, 0)).toBe(1_000_000);
		expect(piecesOut(found).get(lot!.id)).toBeGreaterThan(900_000);
	});
});
