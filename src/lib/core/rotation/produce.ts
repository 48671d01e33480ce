import { z } from 'zod';
import rows from '../../../../data/produce.json';
import { memoOn, stock, type Lot, type Nook, type Thing } from '../model';
import { climateOf } from '../survey';

/** How a kind of fruit, vegetable, herb, egg or bread keeps best. */
export const Produce = z.strictObject({
	name: z.string(),
	words: z.array(z.string()).min(1),
	/**
	 * `never` in the fridge; `either`; `crisper` or `fridge`: always there; `ripe-first`: on the worktop until ripe, then
	 * in the fridge.
	 */
	cold: z.enum(['never', 'either', 'crisper', 'fridge', 'ripe-first']),
	/** Gives off a gas that ripens its neighbours; is spoiled by it. */
	gives: z.boolean(),
	suffers: z.boolean(),
	/** Sprouts or turns green in the light. */
	dark: z.boolean(),
	/** Days it keeps whole where it keeps best, and in the fridge once cut; null: not cut. */
	wholeDays: z.int(),
	cutDays: z.int().nullable(),
	how: z.string(),
	source: z.string()
});
export type Produce = z.infer<typeof Produce>;

export const PRODUCE: readonly Produce[] = z.array(Produce).parse(rows);
/** Longer words first: sweet potatoes are no potatoes. */
const KNOWN = PRODUCE.flatMap((row) =>
	row.words.map((word) => ({
		row,
		is: new RegExp(`(^|[^a-z])${word}($|[^a-z])`),
		length: word.length
	}))
).sort((a, b) => b.length - a.length);
/** Only what is sold fresh: apple puree, dried onions and frozen berries keep by other rules. */
const FRESH = /^food\.(fruit|salad|onions|potatoes|eggs|bread)$/;
const NOT_FRESH =
	/\b(dried|frozen|tinned|pickled|puree|jam|powder|crumbs|breadcrumbs|wraps|boiled)\b/;

/** Finds how a fresh thing keeps best. Null for anything else. @example produceOf(bananas)?.cold // 'never' */
export function produceOf(thing: Pick<Thing, 'name' | 'category'>): Produce | null {
	if (!FRESH.test(thing.category)) return null;
	const name = thing.name.toLowerCase();
	if (NOT_FRESH.test(name)) return null;
	return KNOWN.find(({ is }) => is.test(name))?.row ?? null;
}

/** Something fresh that would keep longer elsewhere. */
export type KeepsBetter =
	| {
			/** Too cold; too warm; too light; in the door, where it is never equally cold. */
			readonly code: 'too-cold' | 'too-warm' | 'too-light' | 'in-the-door';
			readonly lot: Lot;
			readonly thing: Thing;
			readonly produce: Produce;
			readonly nook: Nook;
	  }
	| {
			/** It is ripened, sprouted or spoiled by a neighbour. */
			readonly code: 'beside';
			readonly lot: Lot;
			readonly thing: Thing;
			readonly produce: Produce;
			readonly nook: Nook;
			readonly neighbour: Thing;
	  }
	| {
			/** It spoils several others where it is: it alone had best go. */
			readonly code: 'spoils';
			readonly lot: Lot;
			readonly thing: Thing;
			readonly produce: Produce;
			readonly nook: Nook;
			/** Two or more, in the order of the stock. */
			readonly others: readonly Thing[];
	  };

const isOnionOf = ({ name }: Produce) => name === 'onions';
const isPotatoOf = ({ name }: Produce) => name === 'potatoes' || name === 'sweet potatoes';
/** Whether one spoils the other: by its gas, or onions beside potatoes. */
function spoils(giver: Produce, other: Produce): boolean {
	if (giver.gives && other.suffers && giver !== other) return true;
	return isOnionOf(giver) && isPotatoOf(other);
}

function placeIssue(
	produce: Produce,
	nook: Nook
): Exclude<KeepsBetter['code'], 'beside' | 'spoils'> | null {
	const climate = climateOf(nook);
	if (climate === 'frozen') return null;
	if (climate === 'chilled') {
		if (produce.cold === 'never') return 'too-cold';
		return produce.name === 'eggs' && nook.kind === 'fridge-door' ? 'in-the-door' : null;
	}
	if (produce.cold === 'crisper' || produce.cold === 'fridge') return 'too-warm';
	return produce.dark && nook.kind === 'worktop' ? 'too-light' : null;
}

/** A fridge, and so a place that is too warm without one, is nothing to be said of a home that has none. */
const hasFridge = (nooks: Readonly<Record<string, Nook>>) =>
	Object.values(nooks).some((nook) => climateOf(nook) === 'chilled');

/**
 * Lists fresh things that stand where they keep badly, or beside what spoils them: one line a lot, its place before its
 * neighbours. What spoils several others is named instead of them, so that one thing moves and not all of them. In the
 * order of the stock.
 */
export const keepsBetter = memoOn(['lots', 'things', 'nooks'], (home): readonly KeepsBetter[] => {
	const cold = hasFridge(home.nooks);
	const fresh = stock(home).flatMap((lot) => {
		const thing = home.things[lot.thingId];
		const produce = thing && produceOf(thing);
		const nook = lot.nookId ? home.nooks[lot.nookId] : undefined;
		return produce && nook && lot.dates.frozenOn === null ? [{ lot, thing, produce, nook }] : [];
	});
	const codeOf = ({ produce, nook }: (typeof fresh)[number]) => {
		const code = placeIssue(produce, nook);
		return code === 'too-warm' && !cold ? null : code;
	};
	const well = fresh.filter((one) => !codeOf(one));
	const spoiledBy = new Map(
		fresh.map((giver) => [
			giver,
			well.filter(
				(other) => other.nook.id === giver.nook.id && spoils(giver.produce, other.produce)
			)
		])
	);
	return fresh.flatMap((one): KeepsBetter[] => {
		const code = codeOf(one);
		if (code) return [{ code, ...one }];
		const others = spoiledBy.get(one)!;
		if (others.length > 1)
			return [{ code: 'spoils', ...one, others: others.map(({ thing }) => thing) }];
		// What goes away anyway spoils nothing any more.
		const giver = fresh.find((each) => {
			const spoiled = spoiledBy.get(each)!;
			return spoiled.length === 1 && spoiled[0] === one && !codeOf(each);
		});
		return giver ? [{ code: 'beside', ...one, neighbour: giver.thing }] : [];
	});
});
