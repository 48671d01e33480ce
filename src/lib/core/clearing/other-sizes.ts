import { densityOf } from '../kinds';
import { formatQuantity, pieceVolumeMl, type Home, type Quantity, type Thing } from '../model';
import type { IntakeLine } from './parse-intake';
import { traitsOf } from './traits';

/** A pack that weighs so many times what is usual has another size. */
const OTHER_SIZE = 1.6;
/** What is so many times longer than it is wide makes a heap of another form. */
const LONG = 2;
/** Sides of a bag or a sack against the side of a cube of its volume. */
const SACK = { widthMm: 1.05, depthMm: 0.8, heightMm: 1.19 } as const;

type Usual = Pick<Thing, 'piece' | 'massG'>;

/** Sides of something so many times as large. */
function scaled({ piece }: Usual, times: number): Thing['piece'] {
	const { widthMm, depthMm, heightMm } = piece;
	const isLong = Math.max(widthMm, depthMm, heightMm) > LONG * Math.min(widthMm, depthMm, heightMm);
	const [of, by] =
		times > 1 && isLong
			? [SACK, Math.cbrt(widthMm * depthMm * heightMm * times)]
			: [piece, Math.cbrt(times)];
	const mm = (side: number) => Math.max(1, Math.round(side * by));
	return { widthMm: mm(of.widthMm), depthMm: mm(of.depthMm), heightMm: mm(of.heightMm) };
}

/** A pack is so much larger than what is in it. */
const PACK_OVER = 1.15;
/** Dry goods, whose room goes by their density. */
const POURS = /^food\.(?:grains|pulses|baking|breakfast|pet|hot-drinks)$/;
/** Millilitres that a pack of a size takes, where more is known than its weight; null: nothing is. */
function roomOf(
	{ name, category }: Pick<Thing, 'name' | 'category'>,
	size: Quantity
): number | null {
	if (size.unit === 'ml') return size.value * PACK_OVER;
	const density = POURS.test(category) ? densityOf(name) : undefined;
	return density ? (size.value / density) * PACK_OVER : null;
}

/** What holds so many litres is that much larger, and weighs what its walls weigh: pots, boxes, buckets. */
const VESSELS =
	/^kitchen\.(?:pots|appliances|food-boxes|lunch|bakeware|dishes|glasses|serving|tools)$/;
/** Bags lie flat, whatever goes into them. */
const BAGS = /^kitchen\.(?:foil|waste)$/;
/** Goods that are bought by weight or by the litre; a dumbbell is not. */
const BY_MEASURE =
	/^(?:food|bathroom)\.|\.(?:cleaning|bleach|acids|pet-care|garden|fuel|laundry|pest)$/;
/** Whether a size says how much goes into a thing, not how much there is of it. */
const isCapacity = (category: string, { unit }: Quantity): boolean =>
	unit === 'ml' && (VESSELS.test(category) || BAGS.test(category));
/** Mass of one of a size, g: litres of most goods weigh a kilogram each, a pot of so many litres grows by its walls. */
export function massFor(
	usual: Pick<Thing, 'name' | 'category' | 'piece' | 'massG'>,
	size: Quantity | null
): number {
	if (!size) return usual.massG;
	if (!isCapacity(usual.category, size)) return size.value;
	const times = (size.value * PACK_OVER) / pieceVolumeMl(usual);
	return BAGS.test(usual.category)
		? usual.massG
		: Math.max(1, Math.round(usual.massG * times ** (2 / 3)));
}

/**
 * Sides of a pack of a size, mm: a kilogram of onions is no one onion, a sack of pet food no tin. Litres and the density of
 * dry goods say how large it is, else its weight beside what is usual. About as usual: the usual sides.
 * @example sizedFor({ name: 'onions', category: 'food.onions', piece: oneOnion, massG: 150 }, oneKilogram) // each side 1.9 times as long
 */
export function sizedFor(
	usual: Pick<Thing, 'name' | 'category' | 'piece' | 'massG'>,
	size: Quantity | null
): Thing['piece'] {
	if (size && isCapacity(usual.category, size))
		return BAGS.test(usual.category)
			? usual.piece
			: scaled(usual, (size.value * PACK_OVER) / pieceVolumeMl(usual));
	if (size && size.unit !== 'ml' && !BY_MEASURE.test(usual.category)) return usual.piece;
	const byWeight = size ? size.value / usual.massG : 1;
	if (!size || !(byWeight > 0) || (byWeight < OTHER_SIZE && byWeight > 1 / OTHER_SIZE))
		return usual.piece;
	const roomMl = roomOf(usual, size);
	return scaled(usual, roomMl === null ? byWeight : roomMl / pieceVolumeMl(usual));
}

export const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Finds the thing a typed name means: the same words, whatever their case. */
export function knownThing(home: Home, name: string): Thing | null {
	return Object.values(home.things).find((thing) => sameName(thing.name, name)) ?? null;
}

/** From so many times the weight on, a thing of the same name is another one. */
const OTHER_THING = 3;
/** What is always small, whatever is in it. */
const SMALL_PACKS = /^(?:tins?|cans?|pouch(?:es)?|sachets?)$/i;

function isOther(known: Thing, { name, size, countWord }: IntakeLine): boolean {
	if (!size && !SMALL_PACKS.test(countWord)) return false;
	const massG = size?.value ?? traitsOf(name, countWord, known.category).massG;
	const times = massG / Math.max(1, known.massG);
	return times >= OTHER_THING || times <= 1 / OTHER_THING;
}
/** The name of a line whose own is that of something much larger, or smaller: with its size, or what it comes in. */
const sizedName = ({ name, size, countWord }: IntakeLine): string =>
	`${name}, ${size ? formatQuantity(size) : countWord}`;

/** The thing that a line speaks of; null: a new one. A sack of what else comes in tins is not one thing with them. */
export function meantBy(home: Home, line: IntakeLine): Thing | null {
	const known = knownThing(home, line.name);
	return known && isOther(known, line) ? knownThing(home, sizedName(line)) : known;
}

/** What a new thing of a line is called: by its own name, or with its size where another thing has that name. */
export const nameApart = (home: Home, line: IntakeLine): string =>
	knownThing(home, line.name) ? sizedName(line) : line.name;
