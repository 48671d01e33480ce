import { z } from 'zod';
import rows from '../../../../data/partners.json';
import { categoryOf, type Edit, type Group, type Home } from '../model';
import { allGroupFigures, SUMMED } from './aggregate';
import { holdingsByGroup } from './stock';

/** Two groups used in the same task, and why. */
export interface PartnerPair {
	/** Ids in ascending order. */
	readonly a: string;
	readonly b: string;
	/** Trips a week between the two. */
	readonly weight: number;
	readonly why: Group['partners'][number]['why'];
	/** The pair in the words of the table, or the routine's name; empty: set by hand. */
	readonly words: string;
}

const TABLE = z.array(z.tuple([z.string(), z.string(), z.number(), z.string()])).parse(rows);

/** Of a routine's rounds, the share in which one walks straight from one group to the next (a working estimate). */
export const DIRECT_SHARE = 0.5;

const pairKey = (a: string, b: string) => (a < b ? `${a}/${b}` : `${b}/${a}`);

/** The category that makes most of a group's fetches; undefined for spares and for what is empty. */
export function mainCategories(home: Home): Map<string, string> {
	const holdings = holdingsByGroup(home);
	return new Map(
		allGroupFigures(home)
			.filter(({ stockOf, pieces }) => stockOf === null && pieces > 0)
			.map(({ groupId }) => {
				const uses = new Map<string, number>();
				for (const holding of holdings.get(groupId) ?? [])
					if (holding.pieces > 0) {
						const { code } = categoryOf(holding.thing.category);
						uses.set(code, (uses.get(code) ?? 0) + SUMMED.usesPerWeek.of(holding));
					}
				const [most] = [...uses].sort((x, y) => y[1] - x[1] || (x[0] < y[0] ? -1 : 1));
				return [groupId, most?.[0] ?? ''];
			})
	);
}

/** Lists the pairs there are now, each once, whichever of the two they stand with; several entries add up. */
export function partnersNow(home: Pick<Home, 'groups'>): PartnerPair[] {
	const pairs = new Map<string, PartnerPair>();
	for (const group of Object.values(home.groups))
		for (const { groupId, weight, why } of group.partners) {
			if (!home.groups[groupId]) continue;
			const key = pairKey(group.id, groupId);
			const known = pairs.get(key);
			const [a, b] = key.split('/') as [string, string];
			pairs.set(key, { a, b, weight: weight + (known?.weight ?? 0), why, words: '' });
		}
	return [...pairs.values()].sort(
		(x, y) => y.weight - x.weight || (x.a + x.b < y.a + y.b ? -1 : 1)
	);
}

/**
 * Proposes partners from what the groups are and from the household's routines: consecutive groups of a routine,
 * stations between them skipped. Where both speak for a pair, the stronger counts. Heaviest first; ties by id.
 */
export function proposePartners(home: Home): PartnerPair[] {
	const main = mainCategories(home);
	const pairs = new Map<string, PartnerPair>();
	const offer = (one: string, two: string, rest: Omit<PartnerPair, 'a' | 'b'>) => {
		const key = pairKey(one, two);
		const known = pairs.get(key);
		if (one === two || (known && known.weight >= rest.weight)) return;
		const [a, b] = key.split('/') as [string, string];
		pairs.set(key, { a, b, ...rest });
	};
	for (const [from, to, weight, words] of TABLE)
		for (const [one, code] of main)
			if (code === from)
				for (const [two, other] of main)
					if (other === to) offer(one, two, { weight, why: 'category', words });
	const trips = new Map<string, { rounds: number; name: string }>();
	for (const routine of Object.values(home.routines)) {
		const groups = routine.steps.flatMap(({ groupId }) =>
			groupId && main.has(groupId) ? [groupId] : []
		);
		groups.slice(1).forEach((two, i) => {
			const key = pairKey(groups[i]!, two);
			const known = trips.get(key);
			trips.set(key, {
				rounds: (known?.rounds ?? 0) + routine.timesPerWeek,
				name: known ? `${known.name}, ${routine.name}` : routine.name
			});
		});
	}
	for (const [key, { rounds, name }] of trips) {
		const [one, two] = key.split('/') as [string, string];
		offer(one, two, { weight: rounds * DIRECT_SHARE, why: 'routine', words: name });
	}
	return [...pairs.values()].sort(
		(x, y) => y.weight - x.weight || (x.a + x.b < y.a + y.b ? -1 : 1)
	);
}

/** Lists the proposed pairs that are not so today; a pair with a weight set by hand is left as it is. */
export function partnerChanges(home: Home): PartnerPair[] {
	const now = new Map(partnersNow(home).map((pair) => [pairKey(pair.a, pair.b), pair]));
	return proposePartners(home).filter(({ a, b, weight }) => {
		const known = now.get(pairKey(a, b));
		return !known || (known.why !== 'hand' && Math.abs(known.weight - weight) > 1e-9);
	});
}

/** Makes the edit that takes proposed pairs. */
export function takePartners(pairs: readonly PartnerPair[]): Edit {
	return (draft) => {
		for (const { a, b, weight, why } of pairs) {
			const [one, two] = [draft.groups[a], draft.groups[b]];
			if (!one || !two) continue;
			one.partners = one.partners.filter(({ groupId }) => groupId !== b);
			two.partners = two.partners.filter(({ groupId }) => groupId !== a);
			one.partners.push({ groupId: two.id, weight, why });
		}
	};
}
