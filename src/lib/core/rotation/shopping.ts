import {
	BRANCH_NAMES,
	DAYS_A_WEEK,
	categoryOf,
	lotsOf,
	memoOn,
	stock,
	wholePacks,
	type Home,
	type HomePart,
	type ListLine,
	type Lot,
	type Thing
} from '../model';
import { holdTarget } from './hold';
import { inPacks } from './packs';
import { rateOf } from './rate';

export type ShoppingReason = 'run-out' | 'below-par' | 'wanted-again' | 'container' | 'by-hand';

export interface ShoppingLine {
	/** The same for one line as long as it is on the list. */
	readonly key: string;
	readonly thingId: string | null;
	readonly kindId: string | null;
	readonly name: string;
	/** Where in a shop it is found. */
	readonly area: string;
	readonly buy: number;
	readonly have: number;
	/** What its rule asks for; null: no rule. */
	readonly par: number | null;
	readonly reason: ShoppingReason;
	readonly priceMinor: number | null;
	/** Set when the rule asks for more than is used within its life. */
	readonly ceiling: number | null;
	/** What was said of it in the shop; null: nothing yet. */
	readonly said: ListLine | null;
}

/** Packs of each thing in the house: open ones count as what is left of them. */
export const packsHeld = memoOn(['lots', 'things'], (home): ReadonlyMap<string, number> => {
	const held = new Map<string, number>();
	for (const lot of stock(home)) {
		const thing = home.things[lot.thingId];
		if (!thing) continue;
		const packs = inPacks(lot.count, lot.unit, thing);
		held.set(lot.thingId, (held.get(lot.thingId) ?? 0) + packs);
	}
	return held;
});

const isOpen = (lot: Lot) => lot.states.includes('open') || lot.dates.openedOn !== null;

/** Packs as one open, one spare counts them: all that is open is one. */
export function packsWithOneOpen(lots: readonly Lot[], thing: Thing): number {
	const closed = lots
		.filter((lot) => !isOpen(lot))
		.reduce((sum, lot) => sum + Math.ceil(inPacks(lot.count, lot.unit, thing) - 1e-9), 0);
	return closed + (lots.some(isOpen) ? 1 : 0);
}

/** Where in a shop a thing is found: the branch of its kind. */
export const shopArea = (thing: Pick<Thing, 'category'>): string => {
	const { branch, name } = categoryOf(thing.category);
	return BRANCH_NAMES[branch] ?? name;
};

type ListHome = HomePart<
	| 'things'
	| 'lots'
	| 'decisions'
	| 'fitPlans'
	| 'containerKinds'
	| 'listLines'
	| 'useEvents'
	| 'nooks'
	| 'meals'
	| 'settings'
>;

function stockLine(
	home: ListHome,
	thing: Thing,
	wanted: boolean,
	today: string
): Omit<ShoppingLine, 'said'> | null {
	const { hold } = thing;
	if (!hold && !wanted) return null;
	const held = packsHeld(home).get(thing.id) ?? 0;
	const have = hold?.rule === 'spare' ? packsWithOneOpen(lotsOf(home, thing.id), thing) : held;
	const { perWeek } = rateOf(home, thing, today);
	const target = hold ? holdTarget(thing, hold, perWeek, home.settings.shop) : null;
	const buy = Math.ceil((target?.packs ?? 1) - have - 1e-9);
	if (buy <= 0) return null;
	return {
		key: thing.id,
		thingId: thing.id,
		kindId: null,
		name: thing.name,
		area: shopArea(thing),
		buy,
		have: Math.round(have * 10) / 10,
		par: target?.asked ?? null,
		reason: !target ? 'wanted-again' : have === 0 ? 'run-out' : 'below-par',
		priceMinor: thing.priceMinor,
		ceiling: target?.ceiling ?? null
	};
}

/** Lists the containers that fit plans need beyond those owned. */
export function containerLines(home: HomePart<'fitPlans' | 'containerKinds'>): ShoppingLine[] {
	const needed = new Map<string, number>();
	for (const plan of Object.values(home.fitPlans))
		for (const { kindId } of plan.placements) needed.set(kindId, (needed.get(kindId) ?? 0) + 1);
	return [...needed].flatMap(([kindId, count]) => {
		const kind = home.containerKinds[kindId];
		const buy = kind ? wholePacks(count - kind.owned, kind.soldBy) : 0;
		if (!kind || buy <= 0) return [];
		return [
			{
				key: kindId,
				thingId: null,
				kindId,
				name: kind.name,
				area: 'Containers',
				buy,
				have: kind.owned,
				par: count,
				reason: 'container' as const,
				priceMinor: kind.priceMinor,
				ceiling: null,
				said: null
			}
		];
	});
}

/** A line by hand, with what the home knows of the thing. */
function handLine(home: ListHome, line: ListLine): ShoppingLine {
	const thing = line.thingId ? home.things[line.thingId] : undefined;
	return {
		key: line.id,
		thingId: line.thingId,
		kindId: null,
		name: thing?.name ?? line.name,
		area: thing ? shopArea(thing) : 'Other',
		buy: line.count,
		have: thing ? Math.round((packsHeld(home).get(thing.id) ?? 0) * 10) / 10 : 0,
		par: null,
		reason: 'by-hand',
		priceMinor: thing?.priceMinor ?? null,
		ceiling: null,
		said: line
	};
}

/** Areas of the shop in the household's order; the others behind them by name. */
export function areaOrder(areas: readonly string[]): (a: string, b: string) => number {
	const at = (area: string) => {
		const found = areas.indexOf(area);
		return found < 0 ? areas.length : found;
	};
	return (a, b) => at(a) - at(b) || a.localeCompare(b, 'en');
}

/**
 * Makes the shopping list: what is below its rule or run out, what a decision asked to be bought again, containers that
 * fit plans need beyond those owned, and lines by hand; each with what was said of it in the shop. What is "not again" is
 * left out, and so is what is said to be in the house until the next shop. By area of the shop, then name.
 */
export const shoppingList = memoOn(
	[
		'things',
		'lots',
		'decisions',
		'fitPlans',
		'containerKinds',
		'listLines',
		'useEvents',
		'nooks',
		'meals',
		'settings'
	],
	(home, today: string): readonly ShoppingLine[] => {
		const wantedIds = new Set(
			Object.values(home.decisions)
				.filter((decision) => decision.wantAgain)
				.map((decision) => decision.thingId)
		);
		const lines = Object.values(home.listLines);
		const saidOf = new Map(
			lines.filter((line) => !line.byHand).map((line) => [line.thingId ?? '', line] as const)
		);
		const byHand = lines.filter((line) => line.byHand);
		const handIds = new Set(byHand.map(({ thingId }) => thingId));
		const goods = Object.values(home.things).flatMap((thing): ShoppingLine[] => {
			if (thing.avoid || handIds.has(thing.id)) return [];
			const said = saidOf.get(thing.id) ?? null;
			if (said?.state === 'have') return [];
			const line = stockLine(home, thing, wantedIds.has(thing.id), today);
			if (line) return [{ ...line, said }];
			// What lies in the trolley is put away, though it is not wanted any more.
			return said?.state === 'in-trolley' ? [{ ...handLine(home, said), key: thing.id }] : [];
		});
		const order = areaOrder(home.settings.shop.areas);
		return [...goods, ...byHand.map((line) => handLine(home, line)), ...containerLines(home)].sort(
			(a, b) => order(a.area, b.area) || a.name.localeCompare(b.name, 'en')
		);
	}
);

/** What the list costs where prices are known, minor units: what was paid first. */
export const listCost = (lines: readonly ShoppingLine[]): number =>
	lines.reduce((sum, { buy, priceMinor, said }) => {
		const count = said?.state === 'in-trolley' ? said.count : buy;
		return sum + count * (said?.paidMinor ?? priceMinor ?? 0);
	}, 0);

/**
 * Picks what may wait for the next shop so that the list costs no more than it may: first what lasts beyond it, the dearest
 * first, then containers. What is run out, was added by hand or lies in the trolley stays. Empty: it costs no more, or no
 * budget was said.
 */
export function canWait(
	home: HomePart<'things' | 'lots' | 'useEvents' | 'nooks' | 'meals' | 'settings'>,
	lines: readonly ShoppingLine[],
	today: string
): ShoppingLine[] {
	const { budgetMinor, everyDays } = home.settings.shop;
	let over = budgetMinor === null ? 0 : listCost(lines) - budgetMinor;
	const cost = (line: ShoppingLine) => line.buy * (line.priceMinor ?? 0);
	const lasts = ({ thingId, have }: ShoppingLine) => {
		const thing = thingId ? home.things[thingId] : undefined;
		if (!thing) return false;
		return (have / rateOf(home, thing, today).perWeek) * DAYS_A_WEEK >= everyDays;
	};
	const may = lines.filter(
		(line) =>
			cost(line) > 0 &&
			line.said?.state !== 'in-trolley' &&
			(line.reason === 'container' || (line.reason === 'below-par' && lasts(line)))
	);
	const rank = ({ reason }: ShoppingLine) => (reason === 'container' ? 1 : 0);
	may.sort((a, b) => rank(a) - rank(b) || cost(b) - cost(a) || (a.key < b.key ? -1 : 1));
	return may.filter((line) => {
		if (over <= 0) return false;
		over -= cost(line);
		return true;
	});
}

/** The place where more of a thing goes: where most of it stands, else where its group lives; null: not known. */
export function homeOf(
	home: Pick<Home, 'lots' | 'things' | 'zonePlans' | 'activePlanId' | 'nooks'>,
	thingId: string
): string | null {
	const counts = new Map<string, number>();
	for (const lot of Object.values(home.lots))
		if (lot.thingId === thingId && lot.nookId)
			counts.set(lot.nookId, (counts.get(lot.nookId) ?? 0) + lot.count + 1e-6);
	const [most] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
	if (most) return most[0];
	const groupId = home.things[thingId]?.groupId;
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	return plan?.assignments.find((each) => each.groupId === groupId)?.nookId ?? null;
}
