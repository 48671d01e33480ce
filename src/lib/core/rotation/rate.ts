import {
	DAYS_A_WEEK,
	daysBetween,
	dayOf,
	memoOn,
	type Before,
	USES_PER_WEEK,
	type HomePart,
	type Thing
} from '../model';
import { gammaQuantile } from './gamma';
import { inPacks, packUsesOf } from './packs';

/** So much was used after so many weeks, counted back from now. */
export interface Use {
	readonly weeksAgo: number;
	readonly packs: number;
}

/** What is known of a rate: a gamma distribution of packs a week. */
export interface RateBelief {
	readonly shape: number;
	/** Weeks of evidence; the mean is shape / weeks. */
	readonly weeks: number;
}

/** Evidence counts half after so many weeks: households change. */
export const HALF_LIFE_WEEKS = 12;
/** Share of the takings that a household forgets to log. */
export const FORGOTTEN_SHARE = 0.08;
/** What a class says is worth as much as so many logged packs. */
export const PRIOR_SHAPE = 1.2;

const fade = (weeks: number): number => 2 ** (-weeks / HALF_LIFE_WEEKS);

/**
 * Estimates a rate of use from what was logged and from the class: gamma-Poisson, where what was
 * logged counts half every 12 weeks, and the class every 24. Without a log it is the class alone; with much of it the log
 * alone. `classRate` is packs a week, above 0.
 * @example believeRate([], 0, 2) // { shape: 1.2, weeks: 0.6 }: 2 a week, most unsure
 */
export function believeRate(
	uses: readonly Use[],
	weeksLogged: number,
	classRate: number
): RateBelief {
	const used = uses.reduce((sum, { weeksAgo, packs }) => sum + packs * fade(weeksAgo), 0);
	// The integral of the fading over the time that was logged.
	const watched =
		(1 - FORGOTTEN_SHARE) * (HALF_LIFE_WEEKS / Math.LN2) * (1 - fade(Math.max(0, weeksLogged)));
	const said = saidShape(weeksLogged);
	return { shape: said + used, weeks: said / Math.max(classRate, 1e-4) + watched };
}

/** What the class is still worth after so many weeks of log: what a household said of itself ages too, half as fast. */
function saidShape(weeksLogged: number): number {
	return PRIOR_SHAPE * fade(Math.max(0, weeksLogged) / 2);
}

export interface Rate {
	/** Packs a week. */
	readonly perWeek: number;
	/** `logged`: what was taken down says more than the class. */
	readonly basis: 'logged' | 'class' | 'meals';
	/** Takings that were counted. */
	readonly counted: number;
	readonly belief: RateBelief;
}

/**
 * Takings of each thing, in packs, with the day since which a log is kept where it lives: a household that notes what
 * leaves its freezer says nothing of its larder.
 */
const takings = memoOn(['useEvents', 'things', 'lots', 'nooks'], takingsOf, carryTakings);

interface Taking {
	readonly on: string;
	readonly packs: number;
}
interface Takings {
	readonly byThing: ReadonlyMap<string, readonly Taking[]>;
	/** The day since which a log is kept, by thing. */
	readonly since: ReadonlyMap<string, string>;
	/** The same, by cabinet. */
	readonly firstIn: ReadonlyMap<string, string>;
}
type LogHome = HomePart<'useEvents' | 'things' | 'lots' | 'nooks'>;
const cabinetOf = (home: LogHome, lotId: string): string =>
	home.nooks[home.lots[lotId]?.nookId ?? '']?.cabinetId ?? '';

function takingsOf(home: LogHome): Takings {
	const byThing = new Map<string, Taking[]>();
	const firstIn = new Map<string, string>();
	for (const { kind, lotId, thingId, at, count, unit } of Object.values(home.useEvents)) {
		if (kind !== 'use') continue;
		const thing = home.things[thingId];
		const on = dayOf(at);
		const cabinet = cabinetOf(home, lotId);
		const known = firstIn.get(cabinet);
		if (!known || on < known) firstIn.set(cabinet, on);
		if (!thing) continue;
		const packs = inPacks(count, unit, thing);
		const list = byThing.get(thingId);
		if (list) list.push({ on, packs });
		else byThing.set(thingId, [{ on, packs }]);
	}
	const since = new Map<string, string>();
	const from = (thingId: string, on: string | undefined) => {
		const known = since.get(thingId);
		if (on && (!known || on < known)) since.set(thingId, on);
	};
	for (const { id, thingId } of Object.values(home.lots))
		from(thingId, firstIn.get(cabinetOf(home, id)));
	for (const [thingId, list] of byThing) for (const { on } of list) from(thingId, on);
	return { byThing, since, firstIn };
}

/** Carries the takings over one more in a cabinet that has a log already: the usual case of taking one down. */
function carryTakings(
	home: LogHome,
	{ home: before, result, changed }: Before<'useEvents' | 'things' | 'lots' | 'nooks', Takings>
): Takings | null {
	if (changed.things || changed.nooks) return null;
	const stayed = (changed.lots ?? []).every(
		(id) => before.lots[id] && home.lots[id]?.nookId === before.lots[id].nookId
	);
	if (!stayed) return null;
	const byThing = new Map(result.byThing);
	for (const id of changed.useEvents ?? []) {
		const event = home.useEvents[id];
		if (before.useEvents[id] || !event) return null;
		if (event.kind !== 'use') continue;
		const on = dayOf(event.at);
		const first = result.firstIn.get(cabinetOf(home, event.lotId));
		const since = result.since.get(event.thingId);
		const thing = home.things[event.thingId];
		// An earlier day than any moves the beginning of the log.
		if (!thing || !first || on < first || !since || on < since) return null;
		const packs = inPacks(event.count, event.unit, thing);
		byThing.set(event.thingId, [...(byThing.get(event.thingId) ?? []), { on, packs }]);
	}
	return { ...result, byThing };
}

/** Packs of a thing that the meals of the home use a week. */
const mealUse = memoOn(['meals'], (home): ReadonlyMap<string, number> => {
	const packs = new Map<string, number>();
	const WEEKS_A_MONTH = 52 / 12;
	for (const { timesPerMonth, ingredients } of Object.values(home.meals))
		for (const { thingId, packs: each } of ingredients)
			packs.set(thingId, (packs.get(thingId) ?? 0) + (each * timesPerMonth) / WEEKS_A_MONTH);
	return packs;
});

/**
 * Packs a week that the class of a thing stands for. Uses that were counted are not asked: they come from the same log,
 * and would count twice.
 */
export const classRate = (thing: Pick<Thing, 'use' | 'packUses' | 'category'>): number =>
	USES_PER_WEEK[thing.use.class] / packUsesOf(thing);

/**
 * Says how fast a thing goes, in packs a week: from what was taken down, from the meals it is in, or from its class,
 * with how sure that is. `today` is an ISO date.
 */
export function rateOf(
	home: HomePart<'useEvents' | 'things' | 'meals' | 'lots' | 'nooks'>,
	thing: Thing,
	today: string
): Rate {
	const { byThing, since } = takings(home);
	const uses = byThing.get(thing.id) ?? [];
	const planned = mealUse(home).get(thing.id) ?? 0;
	const prior = planned > 0 ? planned : classRate(thing);
	const from = since.get(thing.id);
	const weeks = from ? Math.max(0, daysBetween(from, today)) / DAYS_A_WEEK : 0;
	const belief = believeRate(
		uses.map(({ on, packs }) => ({
			weeksAgo: Math.max(0, daysBetween(on, today)) / DAYS_A_WEEK,
			packs
		})),
		weeks,
		prior
	);
	const said = saidShape(weeks);
	const isLogged = belief.shape > 2 * said || belief.weeks > 2 * (said / prior);
	return {
		perWeek: belief.shape / belief.weeks,
		basis: isLogged ? 'logged' : planned > 0 ? 'meals' : 'class',
		counted: uses.length,
		belief
	};
}

const TAIL = 0.1;
/** Bounds within which a rate lies four times in five, packs a week. Apart from the rate, since lists need only that. */
export const rateBounds = ({ belief }: Pick<Rate, 'belief'>): { low: number; high: number } => ({
	low: gammaQuantile(TAIL, belief.shape) / belief.weeks,
	high: gammaQuantile(1 - TAIL, belief.shape) / belief.weeks
});
