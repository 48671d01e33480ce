import { memoOn, type GroupReason, type HomePart, type Thing } from '../model';
import { allergensOf, householdAllergens } from './allergens';
import { cardOf, filled, isSliver, type Bucket, type Card, type Cold } from './buckets';
import { barsFromBathroom, cutToFit, measuredRooms, partOutsize, type Room } from './cut';
import { isKept } from './families';
import { join, nearestKin } from './joining';
import { findKits } from './kits';
import { nameApart, nameByContents, nameOnce } from './names';
import { holdingsByGroup } from './stock';

/** A group as it is proposed, with why. */
export interface ProposedGroup {
	/** The group that it carries on; null: a new one. */
	readonly groupId: string | null;
	readonly name: string;
	/** Ids of its things, sorted. */
	readonly thingIds: readonly string[];
	readonly why: readonly GroupReason[];
}

function piecesByThing(home: HomePart<'things' | 'lots' | 'groups'>): Map<string, number> {
	const pieces = new Map<string, number>();
	for (const holdings of holdingsByGroup(home).values())
		for (const { thing, pieces: held } of holdings)
			pieces.set(thing.id, (pieces.get(thing.id) ?? 0) + held);
	return pieces;
}

/** Makes a card of each thing that is kept or was put somewhere by hand; by id. What was let go needs no place. */
function cardsOf(home: HomePart<'things' | 'lots' | 'groups' | 'people' | 'pets'>): Card[] {
	const pieces = piecesByThing(home);
	const avoided = householdAllergens(home);
	const several = Object.keys(home.people).length > 1;
	const pets = Object.values(home.pets);
	const petOf = ({ category, name }: Thing) =>
		category === 'food.pet' && pets.length > 1
			? (pets.find((pet) =>
					[pet.kind, pet.name].some((word) => name.toLowerCase().includes(word.toLowerCase()))
				)?.id ?? '')
			: '';
	return Object.values(home.things)
		.filter((thing) => thing.groupByHand || isKept(home, thing))
		.sort((a, b) => (a.id < b.id ? -1 : 1))
		.map((thing) =>
			cardOf(thing, pieces.get(thing.id) ?? 0, {
				person: several && thing.userIds.length === 1 ? thing.userIds[0]! : '',
				free: allergensOf(thing).freeFrom.find((name) => avoided.includes(name)) ?? '',
				pet: petOf(thing)
			})
		);
}

const isFixed = (home: HomePart<'groups'>, { thing }: Card) =>
	thing.groupByHand && thing.groupId !== null && !!home.groups[thing.groupId];

const keyOf = ({ category, cold, rule, person, free, pet }: Card) =>
	[category.code, cold, rule, person, free, pet].join('|');

/** Where what is usually kept in the room was put. */
const IN_THE_COLD = { chilled: 'in the fridge', frozen: 'in the freezer' } as const;
/** Sorts the free cards by category, climate, hazard, person, diet and pet. */
function seed(home: HomePart<'people' | 'pets'>, cards: readonly Card[]): Bucket[] {
	const byKey = new Map<string, Card[]>();
	for (const card of cards) byKey.set(keyOf(card), [...(byKey.get(keyOf(card)) ?? []), card]);
	const keysOf = new Map<string, number>();
	for (const [first] of byKey.values())
		keysOf.set(first!.category.code, (keysOf.get(first!.category.code) ?? 0) + 1);
	return [...byKey].map(([key, own]) => {
		const { category, person, free, pet, rule, cold } = own[0]!;
		const alone = keysOf.get(category.code) === 1;
		const why: GroupReason[] = [{ code: 'category', words: [category.name] }];
		const more: string[] = [];
		const because = (code: GroupReason['code'], word: string) => {
			why.push({ code, words: [word] });
			more.push(word);
		};
		if (free) because('free-from', free);
		if (person && !alone) because('person', home.people[person]?.name ?? '');
		if (pet) because('pet', home.pets[pet]?.name ?? '');
		if (rule) why.push({ code: 'own-rule', words: [rule] });
		const isColder = cold !== 'room' && !category.needs.includes(cold);
		const kind = isColder ? `${category.name} ${IN_THE_COLD[cold]}` : category.name;
		const label = free ? `${kind}, ${free}-free` : kind;
		const owner = [person && !alone ? home.people[person]?.name : '', pet && home.pets[pet]?.name]
			.filter(Boolean)
			.join(', ');
		return {
			key,
			name: owner ? `${label} (${owner})` : label,
			...filled(own),
			why,
			closed: false,
			groupId: null
		};
	});
}

/** Joins the kits of the free cards; what is in a kit is no longer free. */
function kitsOf(cards: readonly Card[]): { kits: Bucket[]; rest: Card[] } {
	const byId = new Map(cards.map((card) => [card.thing.id, card]));
	const kits = findKits(cards.map(({ thing }) => thing)).map(
		({ name, lead, parts, stock }): Bucket => ({
			key: `kit|${name}`,
			name: `${name} kit`,
			...filled([lead, ...parts, ...stock].map(({ id }) => byId.get(id)!)),
			why: [{ code: 'kit', words: [lead.name] }],
			closed: true,
			groupId: null
		})
	);
	const taken = new Set(kits.flatMap((kit) => kit.cards));
	return { kits, rest: cards.filter((card) => !taken.has(card)) };
}

/**
 * Finds where what is free of a key follows what was put by hand: a group that holds more of the key than is free.
 * One thing moved by hand draws no others after it.
 */
function followed(fixed: readonly Card[], bucket: Bucket): string | null {
	const counts = new Map<string, number>();
	for (const card of fixed)
		if (keyOf(card) === bucket.key) {
			const id = card.thing.groupId!;
			counts.set(id, (counts.get(id) ?? 0) + 1);
		}
	const [best] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
	return best && best[1] > bucket.cards.length ? best[0] : null;
}

/** Joins slivers to their nearest sibling, the smallest first; what has none stays as it is. */
function joinSlivers(buckets: Bucket[], rooms: readonly Room[]): void {
	const stuck = new Set<Bucket>();
	for (;;) {
		const [small] = buckets
			.filter((bucket) => isSliver(bucket) && bucket.groupId === null && !stuck.has(bucket))
			.sort((a, b) => a.volumeMl - b.volumeMl || (a.key < b.key ? -1 : 1));
		if (!small) return;
		const kin = nearestKin(buckets, small, (one, two) => !barsFromBathroom(one, two, rooms));
		if (kin) join(buckets, small, kin, 'sliver');
		else stuck.add(small);
	}
}

const COLDS: readonly Cold[] = ['room', 'chilled', 'frozen'];
/** Groups may be so many times the places: some places take two. */
const PER_NOOK = 1.2;

/** A group so small stands beside others wherever there is a hand's breadth, ml; it counts as so much of one. */
const HANDFUL_ML = 1500;
const HANDFUL = 0.35;
/** More things than this under one name, and nobody finds one of them. */
const MOST_THINGS = 18;
const crowdOf = (buckets: readonly Bucket[]) =>
	buckets.reduce((sum, { volumeMl }) => sum + (volumeMl < HANDFUL_ML ? HANDFUL : 1), 0);

/** Joins siblings of one climate while there are more groups, those made by hand among them, than places for them, the smallest first; never to more than every other place takes. */
function joinToFit(buckets: Bucket[], rooms: readonly Room[], cold: Cold, byHand: number): void {
	const own = rooms.filter((room) => room.cold === cold).length;
	if (!own) return;
	const mostMl = medianRoomMl(rooms, cold);
	const goesIn = (one: Bucket, two: Bucket) =>
		one.volumeMl + two.volumeMl <= mostMl &&
		one.cards.length + two.cards.length <= MOST_THINGS &&
		!barsFromBathroom(one, two, rooms);
	const isHere = ({ main }: Bucket) => main.cold === cold;
	while (crowdOf(buckets.filter(isHere)) > Math.max(1, PER_NOOK * own - byHand)) {
		const found = buckets
			.filter((bucket) => isHere(bucket) && bucket.groupId === null)
			.sort((a, b) => a.volumeMl - b.volumeMl || (a.key < b.key ? -1 : 1))
			.map((small) => ({ small, kin: nearestKin(buckets, small, goesIn) }))
			.find(({ kin }) => kin);
		if (!found) return;
		join(buckets, found.small, found.kin!, 'few-nooks');
	}
}
function medianRoomMl(rooms: readonly Room[], cold: Cold): number {
	const own = rooms.filter((room) => room.cold === cold).map(({ volumeMl }) => volumeMl);
	return own.sort((a, b) => a - b)[Math.floor(own.length / 2)] ?? Infinity;
}

/** Gives each bucket the group that already holds most of its things, each group to one bucket. */
function carryOn(home: HomePart<'groups'>, buckets: readonly Bucket[]): void {
	const taken = new Set(buckets.flatMap(({ groupId }) => groupId ?? []));
	const offers = buckets
		.filter(({ groupId }) => groupId === null)
		.flatMap((bucket) => {
			const counts = new Map<string, number>();
			for (const { thing } of bucket.cards)
				if (thing.groupId && home.groups[thing.groupId])
					counts.set(thing.groupId, (counts.get(thing.groupId) ?? 0) + 1);
			return [...counts].map(([id, count]) => ({
				bucket,
				id,
				count,
				named: home.groups[id]!.name === bucket.name
			}));
		})
		.sort(
			(a, b) =>
				b.count - a.count ||
				Number(b.named) - Number(a.named) ||
				(a.id < b.id ? -1 : a.id > b.id ? 1 : a.bucket.key < b.bucket.key ? -1 : 1)
		);
	for (const { bucket, id } of offers)
		if (bucket.groupId === null && !taken.has(id)) {
			bucket.groupId = id;
			taken.add(id);
		}
}

/**
 * Proposes the groups of a home (handbook, chapter 4): kits first, then category with climate, hazard, person, diet
 * and pet; outsize things go apart, what no nook can hold is cut, slivers join their nearest sibling, and siblings join while there are more
 * groups than nooks. What was put into a group by hand stays in it. Every other thing is in just one proposed group.
 * Deterministic; ties by id. What it proposes does not hang on the groups there are, so that taking all of it leaves
 * nothing to propose.
 */
export const proposeGroups = memoOn(
	['things', 'lots', 'groups', 'people', 'pets', 'nooks', 'cabinets', 'runs', 'rooms', 'settings'],
	(home): readonly ProposedGroup[] => {
		const cards = cardsOf(home);
		const fixed = cards.filter((card) => isFixed(home, card));
		const { kits, rest } = kitsOf(cards.filter((card) => !isFixed(home, card)));
		const rooms = measuredRooms(home);
		const seeds = seed(home, rest);
		for (const bucket of seeds) bucket.groupId = followed(fixed, bucket);
		const buckets = [...kits, ...seeds].flatMap((bucket) =>
			bucket.groupId === null && !bucket.closed
				? partOutsize(bucket, rooms).flatMap((part) => cutToFit(part, rooms))
				: [bucket]
		);
		nameApart(buckets);
		joinSlivers(buckets, rooms);
		for (const cold of COLDS) {
			const own = fixed.filter((card) => card.cold === cold);
			joinToFit(buckets, rooms, cold, new Set(own.map(({ thing }) => thing.groupId)).size);
		}
		nameByContents(buckets);
		nameOnce(buckets);
		carryOn(home, buckets);
		// What is only to be bought again keeps its group; it makes no new one of nothing.
		const real = buckets.filter(({ groupId, volumeMl }) => groupId !== null || volumeMl > 0);
		return real.map(({ groupId, name, cards: own, why }) => ({
			groupId,
			name,
			thingIds: own.map(({ thing }) => thing.id as string).sort(),
			why
		}));
	}
);
