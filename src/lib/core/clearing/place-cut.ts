import {
	LotId,
	lotsIn,
	pieceVolumeMl,
	usesPerWeek,
	type Edit,
	type Home,
	type Lot,
	type Thing
} from '../model';
import { frontRunMm, piecesIn } from '../grouping';
import { baseAboveFloorMm, placeOfNook, usableSpace } from '../survey';
import {
	cutAtBoundary,
	type BoundaryCut,
	type BoundaryItem,
	type BoundaryLimits
} from './boundary';
import { matchHome, rimPieces } from './match-sets';

export interface Wanting extends BoundaryItem {
	readonly name: string;
	/** What belongs to it: one lot, or a vessel with its lid. */
	readonly lots: readonly { readonly lot: Lot; readonly pieces: number }[];
}
export interface PlaceCut {
	readonly limits: BoundaryLimits;
	readonly wanting: readonly Wanting[];
	readonly cut: BoundaryCut;
}

/** Worth of the first piece of a thing is its uses a week; every further one that is held adds less and less. */
const worthOf = (thing: Thing, nth: number): number => usesPerWeek(thing) / nth + 0.001;

/** So many pieces of a lot are looked at one by one; what is beyond them comes in so many equal parts. */
const MOST_SINGLE = 500;
const PARTS_BEYOND = 50;
/** Parts a lot into pieces and, where it has very many, larger parts; the sizes sum to it. */
function partsOf(pieces: number): number[] {
	const singles = Array<number>(Math.min(pieces, MOST_SINGLE)).fill(1);
	const beyond = pieces - singles.length;
	if (!(beyond > 0)) return singles;
	const each = Math.ceil(beyond / PARTS_BEYOND);
	const whole = Math.floor(beyond / each);
	const rest = beyond - whole * each;
	return [...singles, ...Array<number>(whole).fill(each), ...(rest > 0 ? [rest] : [])];
}

/**
 * Lists what wants a place, a piece at a time: a box with its lid counts as one, a lid without a box is worth
 * nothing. The worth is uses a week, less for each further piece of the same thing. `others` are lots that stand
 * elsewhere and want in.
 */
export function wantingOf(home: Home, nookId: string, others: readonly string[] = []): Wanting[] {
	const guests = others.flatMap((id) => home.lots[id] ?? []).filter(({ count }) => count > 0);
	const here = [...new Set([...lotsIn(home, nookId), ...guests])].sort((a, b) =>
		a.id < b.id ? -1 : 1
	);
	const { lotOf } = rimPieces(home);
	const mateOf = new Map(matchHome(home).pairs.map(({ vessel, lid }) => [vessel, lid]));
	const mates = new Set(mateOf.values());
	const seen = new Map<string, number>();
	return here.flatMap((lot) => {
		const thing = home.things[lot.thingId];
		if (!thing) return [];
		return partsOf(piecesIn(lot)).flatMap((pieces, i): Wanting[] => {
			const key = `${lot.id}/${i + 1}`;
			// A matched lid comes and goes with its box.
			if (mates.has(key)) return [];
			const nth = (seen.get(thing.id) ?? 0) + pieces;
			seen.set(thing.id, nth);
			const mateKey = mateOf.get(key);
			const mate = mateKey ? lotOf.get(mateKey) : undefined;
			const lone = thing.rim?.part === 'lid';
			return [
				{
					key,
					name: mate ? `${thing.name} with its lid` : thing.name,
					value: lone ? 0 : pieces * worthOf(thing, nth),
					volumeMl: pieceVolumeMl(thing) * pieces + (mate ? pieceVolumeMl(mate.thing) : 0),
					runMm: frontRunMm(thing, pieces) + (mate ? frontRunMm(mate.thing, 1) : 0),
					lots: [{ lot, pieces }, ...(mate ? [{ lot: mate.lot, pieces: 1 }] : [])]
				}
			];
		});
	});
}

/** Cuts what wants a place at what the place holds; null while the place is not measured. */
export function cutPlace(
	home: Home,
	nookId: string,
	choice: { readonly stay: ReadonlySet<string>; readonly go: ReadonlySet<string> },
	others: readonly string[] = []
): PlaceCut | null {
	const place = placeOfNook(home, nookId);
	const space = place && usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
	if (!space?.ok) return null;
	const rows = Math.max(1, (place!.nook.inside.depthMm ?? 300) / 300);
	const limits = {
		volumeMl: space.usableMl * home.settings.play.fillShare,
		runMm: Math.floor(space.runMm * rows)
	};
	const wanting = wantingOf(home, nookId, others);
	return { limits, wanting, cut: cutAtBoundary(wanting, limits, choice) };
}

/** How many pieces of each lot a cut takes out of the place, by lot. */
export function piecesOut({
	wanting,
	cut
}: Pick<PlaceCut, 'wanting' | 'cut'>): Map<string, number> {
	const keep = new Set(cut.keep);
	const out = new Map<string, number>();
	for (const item of wanting)
		if (!keep.has(item.key))
			for (const { lot, pieces } of item.lots) out.set(lot.id, (out.get(lot.id) ?? 0) + pieces);
	return out;
}

/**
 * Makes the edit that lays on the table what a cut leaves out, to be decided there. A lot of which only some pieces
 * go is split; a started pack goes as it is.
 */
export function applyCut(out: ReadonlyMap<string, number>, newId: () => string): Edit {
	return (draft) => {
		for (const [id, pieces] of out) {
			const lot = draft.lots[id];
			if (!lot) continue;
			if (pieces >= lot.count) {
				lot.nookId = null;
				continue;
			}
			const rest = LotId.parse(newId());
			draft.lots[rest] = {
				...(JSON.parse(JSON.stringify(lot)) as Lot),
				id: rest,
				count: pieces,
				nookId: null
			};
			lot.count -= pieces;
		}
	};
}
