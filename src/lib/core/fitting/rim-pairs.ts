import { matchSets, type RimPiece } from '../clearing';
import type { Thing } from '../model';
import { piecesOf, type Good } from '../standing';

/** Pairs vessels with lids of theirs, piece by piece; lone ones are left out. */
export function rimPairs(
	own: readonly { readonly thing: Thing; readonly pieces: number }[]
): { readonly vessel: Thing; readonly lid: Thing }[] {
	const things = new Map<string, Thing>();
	const each = (part: 'vessel' | 'lid'): RimPiece[] =>
		own
			.filter(({ thing }) => thing.rim?.part === part)
			.flatMap(({ thing, pieces }) =>
				Array.from({ length: pieces }, (_, i): RimPiece => {
					const key = `${thing.id}/${i}`;
					things.set(key, thing);
					const { shape, widthMm, depthMm } = thing.rim!;
					return { key, shape, widthMm, depthMm };
				})
			);
	return matchSets(each('vessel'), each('lid')).pairs.map(({ vessel, lid }) => ({
		vessel: things.get(vessel)!,
		lid: things.get(lid)!
	}));
}

/** A vessel with its lid on: as large as both, and nothing stands in it. */
const withLid = (vessel: Thing, { piece: lid, massG }: Thing): Thing => ({
	...vessel,
	piece: {
		widthMm: Math.max(vessel.piece.widthMm, lid.widthMm),
		depthMm: Math.max(vessel.piece.depthMm, lid.depthMm),
		heightMm: vessel.piece.heightMm + lid.heightMm
	},
	massG: vessel.massG + massG,
	rim: null
});

/**
 * Puts the lids on the vessels that they fit: each such vessel is one good with its lid (`lid`), and what has no partner
 * stays as it is.
 * @example withLidsOn([4 boxes, 5 lids]) // 4 boxes with their lids on, and 1 lid
 */
export function withLidsOn(goods: readonly Good[]): Good[] {
	const pairs = new Map<string, { vessel: Thing; lid: Thing; count: number }>();
	const taken = new Map<string, number>();
	for (const { vessel, lid } of rimPairs(goods)) {
		const key = `${vessel.id}/${lid.id}`;
		const known = pairs.get(key);
		pairs.set(key, { vessel, lid, count: (known?.count ?? 0) + 1 });
		for (const { id } of [vessel, lid]) taken.set(id, (taken.get(id) ?? 0) + 1);
	}
	const closed = [...pairs.values()].map(({ vessel, lid, count }): Good => {
		const own = goods.find(({ thing }) => thing.id === vessel.id)!;
		return piecesOf({ ...own, thing: withLid(vessel, lid), lid }, count);
	});
	const rest = goods.flatMap((good) => {
		const left = good.pieces - (taken.get(good.thing.id) ?? 0);
		return left > 0 ? [piecesOf(good, left)] : [];
	});
	return [...closed, ...rest];
}

/** What pieces of goods are, thing by thing: a vessel with its lid on is two things. */
export function thingsIn(goods: readonly Good[]): { thingId: Thing['id']; pieces: number }[] {
	const counts = new Map<Thing['id'], number>();
	const add = ({ id }: Thing, pieces: number) => counts.set(id, (counts.get(id) ?? 0) + pieces);
	for (const { thing, lid, pieces } of goods) {
		add(thing, pieces);
		if (lid) add(lid, pieces);
	}
	return [...counts].map(([thingId, pieces]) => ({ thingId, pieces }));
}
