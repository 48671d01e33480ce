import { categoryOf, usesPerWeek, type Home, type Thing, type ZonePlan } from '../model';
import { nooksInOrder, type NookPlace } from '../survey';

/** What an organizer would object to in a plan. */
export const REVIEW_CODES = [
	'poison-with-food',
	'poison-low',
	'poison-no-lock',
	'sharp-low',
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
	'cutlery-low',
	'produce-together',
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

export type Family =
	'food' | 'cookware' | 'cloth' | 'cleaning' | 'body' | 'medicine' | 'pets' | 'toys' | 'rest';
/** Families as one speaks of them, by the area and branch of the kinds; written apart from the rules of the solver. */
export function familyOf({ category }: Thing): Family {
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
export function mainFamily(things: readonly Thing[]): Family | null {
	const counts = new Map<Family, number>();
	for (const thing of things) counts.set(familyOf(thing), (counts.get(familyOf(thing)) ?? 0) + 1);
	return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

export interface Standing {
	readonly place: NookPlace;
	readonly groups: readonly {
		readonly id: string;
		readonly things: readonly Thing[];
		readonly uses: number;
	}[];
}

/** Where one begins to reach up, mm. */
export const SHOULDER_MM = 1370;

export const base = ({ cabinet, nook }: NookPlace) => cabinet.baseMm + nook.at.zMm;
export const has = (things: readonly Thing[], hazard: Thing['hazards'][number]) =>
	things.some(({ hazards }) => hazards.includes(hazard));

export const isFood = (thing: Thing) => familyOf(thing) === 'food';
export const isCold = ({ nook }: NookPlace) => /fridge|freezer|crisper|chest/.test(nook.kind);

/** What a plan puts where, in walking order; groups by the things that they hold. */
export function standings(home: Home, plan: Pick<ZonePlan, 'assignments'>): Standing[] {
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
