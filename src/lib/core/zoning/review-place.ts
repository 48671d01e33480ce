import type { Thing } from '../model';
import {
	base,
	familyOf,
	has,
	isCold,
	isFood,
	mainFamily,
	SHOULDER_MM,
	type Family,
	type Objection,
	type ReviewCode,
	type Standing
} from './review-standing';

/** Families that nobody puts side by side. */
const ODD: readonly (readonly [Family, Family])[] = [
	['food', 'cloth'],
	['food', 'toys'],
	['cookware', 'toys'],
	// A child that looks for a toy finds what stands beside it.
	['medicine', 'toys'],
	['cleaning', 'toys'],
	['food', 'body'],
	['food', 'rest'],
	['food', 'pets'],
	['cookware', 'pets'],
	['cookware', 'body'],
	['cookware', 'rest'],
	['cookware', 'medicine'],
	['cookware', 'cleaning'],
	['pets', 'body'],
	['pets', 'medicine']
];

const EYE_MM = 1570;
const CLIMB_MM = 1500;
const TODDLER_MM = 1000;
const HEAVY_G = 3000;
const DAILY = 7;
const MOST_FAMILIES = 2;

/** What a catch alone does not keep from a small child: it takes a lock, or a catch and height. */
const isDeadly = ({ name, hazards }: Thing) =>
	hazards.some((one) =>
		['cleaner', 'bleach', 'acid', 'medicine', 'flammable', 'unknown'].includes(one)
	) || /(?:button|coin)[ -]?(?:cell|batter)/i.test(name);

/** What may stand on a worktop by right when it is used daily. */
const ON_WORKTOPS =
	/^(?:kitchen\.appliances|food\.(?:hot-drinks|bread|fruit)|kitchen\.(?:glasses|knives))$/;
/** What is wrong with one place by itself. */
export function reviewPlace({ place, groups }: Standing, hasToddler: boolean): Objection[] {
	const found: Objection[] = [];
	const say = (code: ReviewCode, grade: 1 | 2, which: readonly { id: string }[] = groups) =>
		found.push({ code, grade, nookId: place.nook.id, groupIds: which.map(({ id }) => id) });
	const all = groups.flatMap(({ things }) => things);
	const isLocked = place.cabinet.lockable || place.nook.locked;
	const isCaught = isLocked || place.cabinet.childCatch || place.nook.childCatch;
	const poison = all.filter(({ hazards }) =>
		hazards.some((one) => one === 'cleaner' || one === 'medicine')
	);
	if (poison.length && all.some(isFood)) say('poison-with-food', 2);
	if (has(all, 'unknown') && all.some(isFood)) say('unknown-with-food', 2);
	const bad = groups.filter(({ things }) =>
		things.some(({ hazards }) =>
			hazards.some((one) => ['cleaner', 'medicine', 'alcohol', 'unknown'].includes(one))
		)
	);
	if (hasToddler && !isLocked) {
		const deadly = groups.filter(({ things }) => things.some(isDeadly));
		const drinks = groups.filter(({ things }) => has(things, 'alcohol') && !things.some(isDeadly));
		const low = [...deadly, ...(isCaught ? [] : drinks)];
		if (low.length && base(place) < CLIMB_MM) say('poison-low', 2, low);
		// Height is a help and not a safeguard.
		if (deadly.length && !isCaught && base(place) >= CLIMB_MM) say('poison-no-lock', 1, deadly);
		const sharp = groups.filter(({ things }) => has(things, 'sharp'));
		if (sharp.length && !isCaught && base(place) < TODDLER_MM) say('sharp-low', 2, sharp);
	}
	const wet = groups.filter(({ things }) =>
		things.some((thing) => ['food', 'cookware', 'medicine'].includes(familyOf(thing)))
	);
	if (place.nook.kind === 'undersink' && wet.length) say('wet-under-sink', 2, wet);
	const climate = new Set([...place.nook.climate, ...place.cabinet.climate]);
	if (!isCold(place) && climate.has('heat') && all.some(isFood)) say('food-in-heat', 2);
	const heavy = groups.filter(({ things }) => things.some(({ massG }) => massG > HEAVY_G));
	if (heavy.length && base(place) > SHOULDER_MM) say('heavy-overhead', 2, heavy);
	const families = new Set(all.map(familyOf));
	if (families.size > MOST_FAMILIES) say('many-families', 1);
	const mostly = groups.map((group) => ({ group, family: mainFamily(group.things) }));
	const odd = ODD.filter((two) =>
		two.every((family) => mostly.some((one) => one.family === family))
	).flat();
	if (odd.length)
		say(
			'odd-neighbours',
			1,
			mostly.filter(({ family }) => family && odd.includes(family)).map(({ group }) => group)
		);
	const idle = groups.filter(
		({ uses, things }) =>
			things.length > 0 &&
			(uses < DAILY || things.some(({ category }) => !ON_WORKTOPS.test(category)))
	);
	if (place.nook.kind === 'worktop' && idle.length) say('worktop-idle', 1, idle);
	// What must be out of a child's reach is high on purpose.
	const daily = groups.filter(
		(group) => group.uses >= DAILY && !(hasToddler && bad.includes(group))
	);
	if (daily.length && (base(place) > EYE_MM || place.nook.kind === 'top'))
		say('daily-overhead', 1, daily);
	return found;
}

/** Raw meat and fish at the bottom of their fridge, and nothing that is eaten without cooking under them. */
export function reviewFridges(all: readonly Standing[]): Objection[] {
	const found: Objection[] = [];
	for (const raw of all) {
		const meat = raw.groups.filter(({ things }) => has(things, 'raw-meat'));
		if (!meat.length || !/fridge|crisper/.test(raw.place.nook.kind)) continue;
		const below = all.filter(
			({ place, groups }) =>
				place.cabinet.id === raw.place.cabinet.id &&
				place.nook.at.zMm < raw.place.nook.at.zMm &&
				/fridge-shelf|crisper/.test(place.nook.kind) &&
				// Vegetables that are washed before they are eaten may lie in the crisper below.
				groups.some(({ things }) =>
					things.some(
						(thing) =>
							isFood(thing) && !(place.nook.kind === 'crisper' && thing.category === 'food.salad')
					)
				)
		);
		const beside = raw.groups.filter(
			({ things }) => !has(things, 'raw-meat') && things.some(isFood)
		);
		const say = (code: ReviewCode, nookId: string, ids: readonly { id: string }[]) =>
			found.push({ code, grade: 2, nookId, groupIds: ids.map(({ id }) => id) });
		if (beside.length) say('ready-below-raw', raw.place.nook.id, beside);
		for (const { place, groups } of below) say('raw-not-lowest', place.nook.id, groups);
	}
	return found;
}

/** Bleach and acids in one cabinet; what is strong over food, where a leak runs down. */
export function reviewCabinets(all: readonly Standing[]): Objection[] {
	const byCabinet = new Map<string, Standing[]>();
	for (const one of all)
		byCabinet.set(one.place.cabinet.id, [...(byCabinet.get(one.place.cabinet.id) ?? []), one]);
	return [...byCabinet.values()].flatMap((stack): Objection[] => {
		const groups = stack.flatMap((one) => one.groups);
		const both = groups.filter(({ things }) => has(things, 'bleach') || has(things, 'acid'));
		const all = both.flatMap(({ things }) => things);
		const meets: Objection[] =
			has(all, 'bleach') && has(all, 'acid')
				? [
						{
							code: 'acid-by-bleach',
							grade: 2,
							nookId: stack[0]!.place.nook.id,
							groupIds: both.map(({ id }) => id)
						}
					]
				: [];
		const lowestFood = Math.min(
			...stack
				.filter((one) =>
					one.groups.some(({ things }) => things.some((thing) => familyOf(thing) === 'food'))
				)
				.map(({ place }) => base(place))
		);
		const over = stack.flatMap((one) => {
			const strong = one.groups.filter(({ things }) => has(things, 'cleaner'));
			if (!strong.length || base(one.place) <= lowestFood) return [];
			return [
				{
					code: 'poison-over-food' as const,
					grade: 1 as const,
					nookId: one.place.nook.id,
					groupIds: strong.map(({ id }) => id)
				}
			];
		});
		return [...meets, ...over];
	});
}
