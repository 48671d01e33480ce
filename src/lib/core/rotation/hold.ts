import { DAYS_A_WEEK, type HoldRule, type Settings, type Thing } from '../model';
import { keptChilled, keptFrozen } from './cold';
import { lifeOf } from './life';
import { packUsesOf } from './packs';

/** What the date on a pack of a thing most likely is: chilled goods have a use-by date, others a best-before. */
export const printedKind = (thing: Pick<Thing, 'needs' | 'category'>): 'use-by' | 'best-before' =>
	keptChilled(thing) && !keptFrozen(thing) ? 'use-by' : 'best-before';

/** Days a fresh pack of a thing keeps, closed, where it is kept; null: no limit known. */
export function closedLifeDays(
	thing: Pick<Thing, 'needs' | 'category' | 'lifeKey'>
): number | null {
	const life = lifeOf(thing);
	if (!life) return null;
	if (keptFrozen(thing)) return life.freezerDays;
	return keptChilled(thing)
		? (life.fridgeDays ?? life.cupboardDays)
		: (life.cupboardDays ?? life.fridgeDays);
}

/**
 * The most packs worth holding: what is used within the life of a fresh pack, at a rate in packs a week; at least one.
 * Null when no life is known.
 */
export function lifeCeiling(
	thing: Pick<Thing, 'needs' | 'category' | 'lifeKey'>,
	packsPerWeek: number
): number | null {
	const days = closedLifeDays(thing);
	return days === null ? null : Math.max(1, Math.floor((packsPerWeek * days) / DAYS_A_WEEK + 1e-9));
}

/** How many packs a rule asks for, and what is worth holding of that. */
export interface HoldTarget {
	/** Packs to hold. */
	readonly packs: number;
	/** What the rule alone would ask for. */
	readonly asked: number;
	/** What is used within the life, where that is less; null: the rule stands. */
	readonly ceiling: number | null;
}

/**
 * Turns a rule into packs, at a rate in packs a week; never more than is used within the life of a pack.
 * @example holdTarget(milk, { rule: 'par', amount: 0.5 }, 4, { everyDays: 7 }).packs // 6
 */
export function holdTarget(
	thing: Thing,
	{ rule, amount }: HoldRule,
	packsPerWeek: number,
	{ everyDays }: Pick<Settings['shop'], 'everyDays'>
): HoldTarget {
	const asked = Math.ceil(
		{
			packs: () => amount,
			spare: () => 1 + amount,
			par: () => packsPerWeek * (everyDays / DAYS_A_WEEK + amount),
			meals: () => amount / packUsesOf(thing),
			weeks: () => packsPerWeek * amount
		}[rule]() - 1e-9
	);
	const ceiling = lifeCeiling(thing, packsPerWeek);
	if (ceiling === null || ceiling >= asked) return { packs: asked, asked, ceiling: null };
	return { packs: ceiling, asked, ceiling };
}
