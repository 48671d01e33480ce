import type { GroupFigures } from '../grouping';
import { categoryOf, type Home } from '../model';
import type { Pair } from '../solvers/assignment';

/** Effort a metre between the two parts of a split group. */
const SPLIT_NEAR = 24;
/** The same for each two of its parts: three or four places are no worse to look in than the walk between them. */
export const splitNear = (parts: number): number => (SPLIT_NEAR * 2) / Math.max(2, parts);
/** Effort a metre between groups of one branch: like stands by like. */
const LIKE_NEAR = 0.3;
/** Effort of standing together of what should be apart (smell, ethylene). */
const APART_EFFORT = 15;
/** The same for onions, potatoes and fruit, each of which spoils the others. */
const PRODUCE_EFFORT = 45;
const PRODUCE = ['food.onions', 'food.potatoes', 'food.fruit'];
/** The same for what is free of an allergen that somebody here must avoid, with what holds it. */
const ALLERGEN_EFFORT = 40;

/** Trips a week between two groups: as partners, and from what is in use to its spares. */
function partnerWeight(home: Home, one: GroupFigures, two: GroupFigures): number {
	const from = (a: GroupFigures, b: GroupFigures) =>
		// What is a partner by a routine is walked in it, leg by leg.
		(home.groups[a.groupId]!.partners.find(
			({ groupId, why }) => groupId === b.groupId && why !== 'routine'
		)?.weight ?? 0) + (a.stockOf === b.groupId ? a.usesPerWeek : 0);
	return from(one, two) + from(two, one);
}

/** Legs of routines straight from one part to another, how often a week; `a` < `b`. */
export interface RoutinePair {
	readonly a: number;
	readonly b: number;
	readonly times: number;
	/** What a metre of it counts for, against one on a walk of its own. */
	readonly weight: number;
}

/** The branch of the category tree that takes most of a group's room. */
function branchOf({ things }: GroupFigures): string {
	const count = new Map<string, number>();
	for (const { category } of things) {
		const { branch } = categoryOf(category);
		count.set(branch, (count.get(branch) ?? 0) + 1);
	}
	return [...count].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? '';
}

/** Whether one is kept free of an allergen that the other holds. */
const allergenMeets = ({ allergens: one }: GroupFigures, { allergens: two }: GroupFigures) =>
	one.freeFrom.some((name) => two.contains.includes(name)) ||
	two.freeFrom.some((name) => one.contains.includes(name));

/**
 * Lists the pairs of parts whose nooks matter to each other: parts of one group, partners, a group and its spares,
 * like kinds, and those that should not share a nook. Costs O(parts²).
 */
export function pairsOf(
	home: Home,
	parts: readonly {
		readonly figures: GroupFigures;
		readonly portion: number;
	}[],
	routines: readonly RoutinePair[] = []
): Pair[] {
	const { partnerWeight: times, walkPerM } = home.settings.effort;
	const legs = new Map<string, number>();
	for (const { a, b, times: often, weight } of routines)
		legs.set(`${a}|${b}`, (legs.get(`${a}|${b}`) ?? 0) + often * weight);
	const pairs: Pair[] = [];
	const counts = new Map<string, number>();
	for (const { figures } of parts)
		counts.set(figures.groupId, (counts.get(figures.groupId) ?? 0) + 1);
	const branches = parts.map(({ figures }) => branchOf(figures));
	const holds = (figures: GroupFigures, code: string) =>
		figures.things.some((t) => categoryOf(t.category).code === code);
	const produce = parts.map(
		({ figures }) => new Set(PRODUCE.filter((code) => holds(figures, code)))
	);
	const isPotato = (figures: GroupFigures) => holds(figures, 'food.potatoes');
	for (let a = 0; a < parts.length; a++)
		for (let b = a + 1; b < parts.length; b++) {
			const [one, two] = [parts[a]!.figures, parts[b]!.figures];
			if (one.groupId === two.groupId) {
				pairs.push({ a, b, near: splitNear(counts.get(one.groupId)!), together: 0 });
				continue;
			}
			const weight = partnerWeight(home, one, two);
			const smell = one.traits.has('smell') && two.traits.has('smell');
			const ripens =
				(one.traits.has('ethylene') && isPotato(two)) ||
				(two.traits.has('ethylene') && isPotato(one));
			const kinds = new Set([...produce[a]!, ...produce[b]!]);
			const spoils = produce[a]!.size > 0 && produce[b]!.size > 0 && kinds.size > 1;
			const together =
				(spoils ? PRODUCE_EFFORT : smell || ripens ? APART_EFFORT : 0) +
				(allergenMeets(one, two) ? ALLERGEN_EFFORT : 0);
			const like = branches[a] === branches[b] ? LIKE_NEAR : 0;
			// The trips of a group are shared out over its parts.
			const near =
				(weight + like) * times * parts[a]!.portion * parts[b]!.portion +
				(legs.get(`${a}|${b}`) ?? 0) * walkPerM;
			if (near || together) pairs.push({ a, b, near, together });
		}
	return pairs;
}
