import { categoryOf, usesPerWeek, type Home, type Thing, type ZonePlan } from '../model';
import { nooksInOrder, type NookPlace } from '../survey';

/** What an organizer would object to in a plan. */
export const REVIEW_CODES = [
	'poison-with-food',
	'poison-low',
	'raw-not-lowest',
	'ready-below-raw',
	'wet-under-sink',
	'food-in-heat',
	'acid-by-bleach',
	'poison-over-food',
	'heavy-overhead',
	'unknown-with-food',
	'many-families',
	'odd-neighbours',
	'far-from-work',
	'outsider-by-hob',
	'larder-idle',
	'worktop-idle',
	'daily-overhead',
	'group-scattered'
] as const;
export type ReviewCode = (typeof REVIEW_CODES)[number];
export interface Objection {
	readonly code: ReviewCode;
	/** 2: it hurts or spoils; 1: one would do it otherwise. */
	readonly grade: 1 | 2;
	readonly nookId: string;
	readonly groupIds: readonly string[];
}

type Family =
	'food' | 'cookware' | 'cloth' | 'cleaning' | 'body' | 'medicine' | 'pets' | 'toys' | 'rest';
/** Families as one speaks of them, by the area and branch of the kinds; written apart from the rules of the solver. */
function familyOf({ category }: Thing): Family {
	const { code, area } = categoryOf(category);
	if (code === 'food.pet' || code === 'home.pet-care') return 'pets';
	if (/linens|towels|clothes/.test(code)) return 'cloth';
	if (area === 'food') return 'food';
	if (/clean|bleach|acid|waste|laundry|pest|fuel/.test(code)) return 'cleaning';
	if (/medicines|first-aid/.test(code)) return 'medicine';
	if (code === 'home.toys') return 'toys';
	if (code === 'kitchen.odds') return 'rest';
	if (area === 'bathroom') return 'body';
	return area === 'kitchen' ? 'cookware' : 'rest';
}

/** The family of most kinds of things in a group: a ball of string among the boards makes them no odds and ends. */
function mainFamily(things: readonly Thing[]): Family | null {
	const counts = new Map<Family, number>();
	for (const thing of things) counts.set(familyOf(thing), (counts.get(familyOf(thing)) ?? 0) + 1);
	return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

interface Standing {
	readonly place: NookPlace;
	readonly groups: readonly {
		readonly id: string;
		readonly things: readonly Thing[];
		readonly uses: number;
	}[];
}

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

const SHOULDER_MM = 1370;
const EYE_MM = 1570;
const CLIMB_MM = 1500;
const HEAVY_G = 3000;
const DAILY = 7;
const MOST_FAMILIES = 2;
/** A larder of which so many places hold dry food is in use, whatever stands elsewhere. */
const FULL_SHARE = 0.6;

const base = ({ cabinet, nook }: NookPlace) => cabinet.baseMm + nook.at.zMm;
const has = (things: readonly Thing[], hazard: Thing['hazards'][number]) =>
	things.some(({ hazards }) => hazards.includes(hazard));

function standings(home: Home, plan: Pick<ZonePlan, 'assignments'>): Standing[] {
	const thingsOf = new Map<string, Thing[]>();
	const held = new Set(
		Object.values(home.lots)
			.filter(({ count }) => count > 0)
			.map(({ thingId }) => thingId as string)
	);
	for (const thing of Object.values(home.things)) {
		if (!thing.groupId || !held.has(thing.id)) continue;
		thingsOf.set(thing.groupId, [...(thingsOf.get(thing.groupId) ?? []), thing]);
	}
	const at = new Map<string, Map<string, readonly string[] | undefined>>();
	for (const { nookId, groupId, thingIds } of plan.assignments)
		at.set(nookId, (at.get(nookId) ?? new Map()).set(groupId, thingIds));
	return nooksInOrder(home).map((place) => ({
		place,
		groups: [...(at.get(place.nook.id) ?? [])].map(([id, only]) => {
			const stockOf = home.groups[id]?.stockOf;
			const all = thingsOf.get(stockOf ?? id) ?? [];
			const meant = only && new Set(only);
			const things = meant ? all.filter((thing) => meant.has(thing.id)) : all;
			return {
				id,
				things,
				uses: stockOf ? 0 : things.reduce((sum, thing) => sum + usesPerWeek(thing), 0)
			};
		})
	}));
}

/** What may stand on a worktop by right when it is used daily. */
const ON_WORKTOPS =
	/^(?:kitchen\.appliances|food\.(?:hot-drinks|bread|fruit)|kitchen\.(?:glasses|knives))$/;
const isFood = (thing: Thing) => familyOf(thing) === 'food';
/** What a larder is for; what one cooks or brews with may stand nearer. */
const LARDER_KINDS = /^food\.(?:baking|grains|pulses|breakfast|cans-|soups|snacks|drinks)/;
const isLarderFood = ({ category }: Thing) => LARDER_KINDS.test(category);
const isCold = ({ nook }: NookPlace) => /fridge|freezer|crisper|chest/.test(nook.kind);

/** What is wrong with one place by itself. */
function reviewPlace({ place, groups }: Standing, hasToddler: boolean): Objection[] {
	const found: Objection[] = [];
	const say = (code: ReviewCode, grade: 1 | 2, which: readonly { id: string }[] = groups) =>
		found.push({ code, grade, nookId: place.nook.id, groupIds: which.map(({ id }) => id) });
	const all = groups.flatMap(({ things }) => things);
	const isLocked = place.cabinet.lockable || place.nook.locked;
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
	if (hasToddler && bad.length && !isLocked && base(place) < CLIMB_MM) say('poison-low', 2, bad);
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
function reviewFridges(all: readonly Standing[]): Objection[] {
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
function reviewCabinets(all: readonly Standing[]): Objection[] {
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

/** Whether the larder holds food while food stands in places that are worse for it. */
function reviewLarder(all: readonly Standing[]): Objection[] {
	const isLarder = ({ place }: Standing) =>
		/larder|pantry/i.test(`${place.room.name} ${place.cabinet.name}`);
	const larder = all.filter((one) => isLarder(one) && !isCold(one.place));
	if (!larder.length) return [];
	const full = larder.filter(({ groups }) =>
		groups.some(({ things }) => things.some(isLarderFood))
	);
	const elsewhere = all.filter(
		(one) =>
			!isLarder(one) &&
			!isCold(one.place) &&
			one.groups.some(({ things }) => things.some(isLarderFood))
	);
	if (elsewhere.length <= full.length || full.length / larder.length >= FULL_SHARE) return [];
	return [
		{
			code: 'larder-idle',
			grade: 1,
			nookId: larder[0]!.place.nook.id,
			groupIds: elsewhere.flatMap(({ groups }) =>
				groups.filter(({ things }) => things.some(isLarderFood)).map(({ id }) => id)
			)
		}
	];
}

/** Used less often than this a week. */
const SELDOM = 1;
/** Two cabinets so near each other are one place to look in, mm. */
const TWO_STEPS_MM = 1500;
/** Middle of a cabinet on the plan. */
function centreOf({ place: { run, cabinet } }: Standing): { x: number; y: number } {
	const long = Math.hypot(run.to.x - run.from.x, run.to.y - run.from.y) || 1;
	const share = (cabinet.offsetMm + cabinet.widthMm / 2) / long;
	return {
		x: run.from.x + share * (run.to.x - run.from.x),
		y: run.from.y + share * (run.to.y - run.from.y)
	};
}

/** Groups that are spread over cabinets further apart than two steps. */
function reviewSplits(all: readonly Standing[]): Objection[] {
	const cabinets = new Map<string, Set<string>>();
	for (const { place, groups } of all)
		for (const { id, uses } of groups)
			// What of it is seldom used may well stand further off.
			if (uses >= SELDOM) cabinets.set(id, (cabinets.get(id) ?? new Set()).add(place.cabinet.id));
	const isFar = (at: ReadonlySet<string>) => {
		const spots = [...at].map((id) => centreOf(all.find(({ place }) => place.cabinet.id === id)!));
		return spots.some((a) => spots.some((b) => Math.hypot(a.x - b.x, a.y - b.y) > TWO_STEPS_MM));
	};
	return [...cabinets]
		.filter(([, at]) => at.size > 1 && isFar(at))
		.map(([id]) => ({
			code: 'group-scattered' as const,
			grade: 1 as const,
			nookId: all.find(({ groups }) => groups.some((group) => group.id === id))!.place.nook.id,
			groupIds: [id]
		}));
}

/** What one cooks with at the hob. */
const FOR_THE_HOB = /^kitchen\.(?:pots|lids|tools)$/;
const OFTEN = 3;
/** Three steps, mm. */
const THREE_STEPS_MM = 2300;
const isOutsider = (thing: Thing) =>
	['rest', 'pets', 'body', 'medicine'].includes(familyOf(thing)) ||
	/^(?:home|bathroom)\./.test(thing.category);

/** Pans far from where one cooks, and places by the hob that are taken by what has nothing to do with cooking. */
function reviewHob(home: Home, all: readonly Standing[]): Objection[] {
	const hobs = Object.values(home.stations).filter(({ kind }) => kind === 'hob');
	if (!hobs.length) return [];
	/** Straight from the nearest hob to the middle of the cabinet; in another room it is no place by the hob. */
	const farMm = (one: Standing) => {
		const { x, y } = centreOf(one);
		return Math.min(
			...hobs.map(({ at, roomId }) =>
				roomId === one.place.room.id ? Math.hypot(at.x - x, at.y - y) : Infinity
			)
		);
	};
	return all.flatMap((one): Objection[] => {
		const mm = farMm(one);
		const says = (code: ReviewCode, groups: Standing['groups']): Objection[] =>
			groups.length
				? [{ code, grade: 1, nookId: one.place.nook.id, groupIds: groups.map(({ id }) => id) }]
				: [];
		if (mm > THREE_STEPS_MM)
			return says(
				'far-from-work',
				one.groups.filter(
					({ uses, things }) =>
						uses >= OFTEN && things.some(({ category }) => FOR_THE_HOB.test(category))
				)
			);
		if (mm > TWO_STEPS_MM || base(one.place) > SHOULDER_MM) return [];
		return says(
			'outsider-by-hob',
			one.groups.filter(({ things }) => things.length > 0 && things.every(isOutsider))
		);
	});
}

/**
 * Lists what a practitioner would object to in a plan, made by hand or computed, worst first, then in walking order. It
 * looks at things, places and heights by itself and shares nothing with the rules of the solver but the records.
 */
export function reviewPlan(home: Home, plan: Pick<ZonePlan, 'assignments'>): readonly Objection[] {
	const all = standings(home, plan);
	const hasToddler = Object.values(home.people).some(({ ageBand }) => ageBand === 'toddler');
	const found = [
		...all.flatMap((one) => reviewPlace(one, hasToddler)),
		...reviewFridges(all),
		...reviewCabinets(all),
		...reviewLarder(all),
		...reviewSplits(all),
		...reviewHob(home, all)
	];
	return found.sort((a, b) => b.grade - a.grade);
}
