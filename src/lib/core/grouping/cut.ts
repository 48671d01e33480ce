import { waysDown, type HomePart } from '../model';
import {
	baseAboveFloorMm,
	climateOf,
	FINGERS_MM,
	isBathroom,
	nooksInOrder,
	usableSpace,
	type Places
} from '../survey';
import { filled, type Bucket, type Card, type Cold } from './buckets';

/** What one measured place takes. */
export interface Room {
	readonly cold: Cold;
	/** In a bathroom, and not under its basin, where it drips. */
	readonly isBath: boolean;
	/** At the fill share, ml. */
	readonly volumeMl: number;
	/** Sides of its floor, mm. */
	readonly shortMm: number;
	readonly longMm: number;
	/** What passes the way in, mm. */
	readonly passes: { readonly widthMm: number; readonly heightMm: number };
}

/** Lists what each measured place of a home takes, in the order of the nooks; places kept for "use first" are none. */
export function measuredRooms(home: Places & HomePart<'settings'>): Room[] {
	return nooksInOrder(home).flatMap((place): Room[] => {
		const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
		if (!space.ok || place.nook.tags.includes('use-first')) return [];
		const { widthMm, depthMm } = place.nook.inside;
		return [
			{
				cold: climateOf(place.nook),
				isBath: isBathroom(place) && place.nook.kind !== 'undersink',
				volumeMl: space.usableMl * home.settings.play.fillShare,
				shortMm: Math.min(widthMm ?? 0, depthMm ?? 0),
				longMm: Math.max(widthMm ?? 0, depthMm ?? 0),
				passes: space.passes
			}
		];
	});
}

const enters = ({ thing }: Card, { longMm, passes }: Room, shortMm = Infinity): boolean =>
	waysDown(thing).some(
		(way) =>
			way.upMm <= passes.heightMm &&
			way.narrowMm <= Math.min(passes.widthMm, shortMm) &&
			way.longMm <= longMm
	);

/**
 * Whether two buckets of a bathroom are better apart: together neither goes into any of its cabinets, by itself one does.
 * A hair dryer in one group with the toothpaste takes it to the kitchen.
 */
export function barsFromBathroom(one: Bucket, two: Bucket, rooms: readonly Room[]): boolean {
	if (one.main.category.area !== 'bathroom') return false;
	const own = rooms.filter(({ cold, isBath }) => isBath && cold === one.main.cold);
	const goesIn = ({ cards }: Pick<Bucket, 'cards'>) =>
		own.some(({ passes, ...room }) => {
			const hand = { ...passes, heightMm: passes.heightMm - FINGERS_MM };
			return cards.every((card) => enters(card, { ...room, passes: hand }, room.shortMm));
		});
	return (goesIn(one) || goesIn(two)) && !goesIn({ cards: [...one.cards, ...two.cards] });
}

/** Outsize things go apart when the rest then has this many times the places. */
const MORE_PLACES = 4;

/**
 * Parts the few things that keep a bucket out of most places from the rest: as few as give the rest four times the
 * places, at most half of its things. A bucket whose things enter about the same places stays whole.
 * Ties by id; a kit stays whole, since it is fetched whole.
 * @example // a blender 390 mm high among toasters and scales: ["Small appliances, outsize", "Small appliances"]
 */
export function partOutsize(bucket: Bucket, rooms: readonly Room[]): Bucket[] {
	if (bucket.closed || bucket.cards.length < 2) return [bucket];
	const open = rooms.filter(({ cold }) => cold === bucket.main.cold);
	const order = bucket.cards
		.map((card) => ({ card, places: open.filter((room) => enters(card, room)).length }))
		.sort((a, b) => a.places - b.places || (a.card.thing.id < b.card.thing.id ? -1 : 1))
		.map(({ card }) => card);
	// A place takes the rest once all that do not enter it are parted off.
	const needed = open.map((room) => order.findLastIndex((card) => !enters(card, room)) + 1);
	const placesWithout = (few: number) => needed.filter((count) => count <= few).length;
	const places = placesWithout(0);
	for (let few = 1; few <= order.length / 2; few++) {
		if (placesWithout(few) < MORE_PLACES * Math.max(1, places)) continue;
		const [large, rest] = [order.slice(0, few), order.slice(few)];
		return [
			{ ...bucket, ...filled(rest) },
			{
				...bucket,
				key: `${bucket.key}|outsize`,
				name: `${bucket.name}, outsize`,
				...filled(large),
				closed: true,
				why: [...bucket.why, { code: 'outsize', words: large.map(({ thing }) => thing.name) }]
			}
		];
	}
	return [bucket];
}

/** Cuts a bucket that no nook can hold: the most used things first, as many as one nook takes, then the next. */
export function cutToFit(bucket: Bucket, rooms: readonly Room[]): Bucket[] {
	const limitMl = Math.max(
		...rooms.filter(({ cold }) => cold === bucket.main.cold).map(({ volumeMl }) => volumeMl)
	);
	// A climate without a measured place has no limit known.
	if (limitMl === -Infinity || bucket.volumeMl <= limitMl || bucket.cards.length < 2)
		return [bucket];
	const order = [...bucket.cards].sort(
		(a, b) => b.uses - a.uses || (a.thing.id < b.thing.id ? -1 : 1)
	);
	const parts: Card[][] = [[]];
	let held = 0;
	for (const card of order) {
		const last = parts[parts.length - 1]!;
		if (last.length && held + card.volumeMl > limitMl) {
			parts.push([card]);
			held = card.volumeMl;
		} else {
			last.push(card);
			held += card.volumeMl;
		}
	}
	if (parts.length < 2) return [bucket];
	return parts.map((cards, i) => ({
		...bucket,
		key: `${bucket.key}|${i + 1}`,
		name: `${bucket.name}, ${i === 0 ? 'often used' : parts.length === 2 ? 'seldom used' : `seldom used ${i}`}`,
		...filled(cards),
		closed: true,
		why: [...bucket.why, { code: i === 0 ? 'often' : 'seldom', words: [] } as const]
	}));
}
