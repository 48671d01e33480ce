import rows from '../../../../data/small-parts.json';
import { z } from 'zod';
import {
	activePlan,
	groupBy,
	NookId,
	SMALL_PART_USES,
	SmallPartId,
	type Edit,
	type Home,
	type Nook,
	type SmallPartUse
} from '../model';
import { goodsOf, type Good } from '../standing';
import { isDamp, nooksInOrder, placeOfNook } from '../survey';
import { placesOfLots } from '../zoning';

const Sold = z.discriminatedUnion('use', [
	z.strictObject({
		key: z.string(),
		use: z.enum(['liner', 'washable-liner']),
		name: z.string(),
		/** Width of the roll, mm; it is sold by the metre. */
		widthMm: z.int().positive(),
		priceMinor: z.int().nonnegative(),
		source: z.string()
	}),
	z.strictObject({
		key: z.string(),
		use: z.literal('hooks'),
		name: z.string(),
		/** What one carries, g, as it stands on its pack. */
		carriesG: z.int().positive(),
		priceMinor: z.int().nonnegative(),
		source: z.string()
	}),
	z.strictObject({
		key: z.string(),
		use: z.literal('dividers'),
		name: z.string(),
		/** It is pulled out to between these, mm. */
		fromMm: z.int().positive(),
		toMm: z.int().positive(),
		heightMm: z.int().positive(),
		priceMinor: z.int().nonnegative(),
		source: z.string()
	})
]);
/** Small parts as they are sold: liners by the metre, hooks and dividers by the piece. */
export const SMALL_PARTS = z.array(Sold).parse(rows);
export type SoldPart = z.infer<typeof Sold>;

/** How a liner is cut for a place: so many strips of one length from a roll. */
export interface Cut {
	readonly strips: number;
	readonly lengthMm: number;
	/** Width that the last strip keeps, mm; the others are as wide as the roll. */
	readonly lastWidthMm: number;
}
/** What one place is to get. */
export type PartFor = { readonly nookId: string; readonly part: SoldPart } & (
	| { readonly form: 'cut'; readonly cut: Cut }
	| {
			readonly form: 'pieces';
			readonly count: number;
			/** Hooks: what hangs on one at most, g. Dividers: how long each is, mm. */
			readonly most: number;
	  }
);
/** Why a place is worth a part. */
export type PartReason = 'slides' | 'drips' | 'hangs' | 'mixes';
export interface PartOffer {
	readonly use: SmallPartUse;
	readonly reason: PartReason;
	/** What it would be; a text code where it cannot be. */
	readonly wanted: PartFor | 'not-measured' | 'too-heavy' | 'none-sold';
	/** The household wants it here, or has it. */
	readonly state: 'offered' | 'wanted' | 'had';
}

const SLIDES =
	/^kitchen\.(dishes|glasses|cutlery|tools|knives|pots|food-boxes|lids)$|^food\.spices$/;
const DRIPS =
	/^food\.(oils|sauces|raw-meat|dairy|salad|fridge-jars)$|^kitchen\.(cleaning|bleach|acids)$|^bathroom\.cleaning$/;
const FLAT: ReadonlySet<Nook['kind']> = new Set(['shelf', 'fridge-shelf', 'crisper', 'undersink']);
/** Groups that lie loose in one drawer and are kept apart by a divider between each two. */
const APART_FROM = 2;
/** A hook carries half of what its pack says where it is damp. */
const DAMP_SHARE = 0.5;

/** What the plan puts into a place, group by group. */
function plannedIn(home: Home, nookId: string): Map<string, Good[]> {
	const assignments = activePlan(home)?.assignments ?? [];
	const ids = new Set(
		assignments.filter((each) => each.nookId === nookId).map(({ groupId }) => groupId as string)
	);
	return new Map(
		[...ids].map((id) => [
			id,
			goodsOf(placesOfLots(home, id, assignments).filter((share) => share.nookId === nookId))
		])
	);
}

const keptIn = (home: Home, nookId: string) =>
	Object.values(home.fitPlans).find((each) => each.nookId === nookId);

/** Groups of which something lies in no container by the arrangement that was kept; 0: none was. */
const looseIn = (home: Home, nookId: string): number =>
	new Set(keptIn(home, nookId)?.standing.map(({ groupId }) => groupId)).size;

/** What is cut to a drawer reaches as near to its sides as this, mm. */
const SNUG_MM = 15;
/** Whether an insert that was cut to the drawer holds all that is in it: then nothing slides. */
const isFilled = (home: Home, { id, inside: { widthMm } }: Nook): boolean => {
	const kept = keptIn(home, id);
	return (
		!!kept &&
		!kept.standing.length &&
		kept.placements.some(({ cut }) => !!cut && cut.widthMm >= (widthMm ?? Infinity) - SNUG_MM)
	);
};

function reasonOf(
	home: Home,
	nook: Nook,
	groups: ReadonlyMap<string, readonly Good[]>,
	use: SmallPartUse
) {
	const goods = [...groups.values()].flat();
	const has = (kinds: RegExp) => goods.some(({ thing }) => kinds.test(thing.category));
	switch (use) {
		case 'liner':
			return nook.kind === 'drawer' && has(SLIDES) && !isFilled(home, nook) ? 'slides' : null;
		case 'washable-liner':
			return FLAT.has(nook.kind) && has(DRIPS) ? 'drips' : null;
		case 'hooks':
			return nook.kind === 'hooks' && goods.length ? 'hangs' : null;
		case 'dividers':
			return nook.kind === 'drawer' && looseIn(home, nook.id) >= APART_FROM ? 'mixes' : null;
	}
}

/**
 * Cuts a floor from a roll: strips across or to the back, whichever takes less of the roll; across on a tie.
 * @example cutFloor({ widthMm: 860, depthMm: 500 }, 450) // { strips: 2, lengthMm: 500, lastWidthMm: 410 }
 */
export function cutFloor(
	{ widthMm, depthMm }: { readonly widthMm: number; readonly depthMm: number },
	rollMm: number
): Cut {
	const along = (lengthMm: number, coverMm: number): Cut => {
		const strips = Math.ceil(coverMm / rollMm);
		return { strips, lengthMm, lastWidthMm: coverMm - (strips - 1) * rollMm };
	};
	const [across, back] = [along(widthMm, depthMm), along(depthMm, widthMm)];
	return back.strips * back.lengthMm < across.strips * across.lengthMm ? back : across;
}
const lengthOf = ({ strips, lengthMm }: Cut) => strips * lengthMm;

function cheapest(found: readonly PartFor[], costOf: (part: PartFor) => number) {
	return [...found].sort((a, b) => costOf(a) - costOf(b) || (a.part.key < b.part.key ? -1 : 1))[0];
}
const costOf = (wanted: PartFor) =>
	wanted.part.priceMinor * (wanted.form === 'cut' ? lengthOf(wanted.cut) / 1000 : wanted.count);

/** What a use comes to in one place. */
function wantedIn(
	home: Home,
	nook: Nook,
	groups: ReadonlyMap<string, readonly Good[]>,
	use: SmallPartUse
): PartOffer['wanted'] {
	const { widthMm, depthMm, heightMm } = nook.inside;
	const sold = SMALL_PARTS.filter((part) => part.use === use);
	const nookId = nook.id;
	if (use === 'hooks') {
		const goods = [...groups.values()].flat();
		const heaviestG = Math.max(0, ...goods.map(({ thing }) => thing.massG));
		const place = placeOfNook(home, nookId);
		const share = place && isDamp(place) ? DAMP_SHARE : 1;
		const count = goods.reduce((sum, { pieces }) => sum + pieces, 0);
		const carrying = sold.flatMap((part): PartFor[] =>
			part.use === 'hooks' && part.carriesG * share >= heaviestG
				? [{ nookId, part, form: 'pieces', count, most: heaviestG }]
				: []
		);
		return cheapest(carrying, costOf) ?? 'too-heavy';
	}
	if (widthMm === null || depthMm === null) return 'not-measured';
	if (use === 'dividers') {
		const going = sold.flatMap((part): PartFor[] =>
			part.use === 'dividers' &&
			depthMm >= part.fromMm &&
			depthMm <= part.toMm &&
			part.heightMm <= (heightMm ?? Infinity)
				? [{ nookId, part, form: 'pieces', count: looseIn(home, nookId) - 1, most: depthMm }]
				: []
		);
		return cheapest(going, costOf) ?? 'none-sold';
	}
	const cuts = sold.flatMap((part): PartFor[] =>
		'widthMm' in part
			? [{ nookId, part, form: 'cut', cut: cutFloor({ widthMm, depthMm }, part.widthMm) }]
			: []
	);
	return cheapest(cuts, costOf) ?? 'none-sold';
}

/** Lists the small parts that are worth having in a place as the plan fills it, and those it was to get; by use. */
export function partOffers(home: Home, nookId: string): PartOffer[] {
	const nook = home.nooks[nookId];
	if (!nook) return [];
	const groups = plannedIn(home, nookId);
	const own = Object.values(home.smallParts).filter((part) => part.nookId === nookId);
	return SMALL_PART_USES.flatMap((use): PartOffer[] => {
		const reason = reasonOf(home, nook, groups, use);
		// What the plan no longer asks for is not bought.
		if (!reason) return [];
		const said = own.find((part) => part.use === use);
		const state = !said ? 'offered' : said.has ? 'had' : 'wanted';
		return [{ use, reason, state, wanted: wantedIn(home, nook, groups, use) }];
	});
}

/** One line of the shop card: a part with all the places it is for. */
export interface PartLine {
	readonly part: SoldPart;
	/** Whole metres, or pieces. */
	readonly count: number;
	readonly priceMinor: number;
	readonly places: readonly PartFor[];
}
/**
 * Lists the small parts that are wanted and not bought, in order of the walk. All strips from one roll are cut from one
 * length, so that what is over of one goes into the next; it is sold in whole metres.
 */
export function partLines(home: Home): PartLine[] {
	const wanted = nooksInOrder(home).flatMap(({ nook }) =>
		partOffers(home, nook.id).flatMap(({ state, wanted: what }) =>
			state === 'wanted' && typeof what === 'object' ? [what] : []
		)
	);
	return [...groupBy(wanted, ({ part }) => part.key).values()].map((places): PartLine => {
		const { part } = places[0]!;
		const amount = places.reduce(
			(sum, each) => sum + (each.form === 'cut' ? lengthOf(each.cut) / 1000 : each.count),
			0
		);
		const count = Math.ceil(amount - 1e-9);
		return { part, count, priceMinor: count * part.priceMinor, places };
	});
}

const findPart = (draft: { smallParts: Home['smallParts'] }, nookId: string, use: SmallPartUse) =>
	Object.values(draft.smallParts).find((part) => part.nookId === nookId && part.use === use);

/** Makes the edit that puts a part on the shop card for a place, or says that it is there already. */
export function wantPart(nookId: string, use: SmallPartUse, has: boolean, id: string): Edit {
	return (draft) => {
		const known = findPart(draft, nookId, use);
		if (known) known.has = has;
		else {
			const key = SmallPartId.parse(id);
			draft.smallParts[key] = { id: key, nookId: NookId.parse(nookId), use, has };
		}
	};
}
/** Makes the edit that does without a part. */
export function dropPart(nookId: string, use: SmallPartUse): Edit {
	return (draft) => {
		const known = findPart(draft, nookId, use);
		if (known) delete draft.smallParts[known.id];
	};
}
/** Makes the edit that counts parts of some places as bought, or as put back. */
export function buyParts(
	places: readonly { readonly nookId: string; readonly use: SmallPartUse }[],
	has: boolean
): Edit {
	return (draft) => {
		for (const { nookId, use } of places) {
			const known = findPart(draft, nookId, use);
			if (known) known.has = has;
		}
	};
}
