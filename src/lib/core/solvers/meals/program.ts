import { Rows, type IntegerProgram } from '../integer';
import { lotsByItem, scoreMeals, type MealPlan, type MealProblem } from './problem';

/** The problem as an integer program, with the way there and back. All columns lie within 0 and 1. */
export interface MealProgram {
	readonly program: IntegerProgram;
	/** Columns of a plan that keeps the rules. */
	readonly columnsOf: (plan: MealPlan) => Float64Array;
	readonly planOf: (values: ArrayLike<number>) => number[];
}

/**
 * Writes the problem as a program. A recipe in a slot is a whole column. For each item: what is bought, as a share of the
 * most that could be, and what is taken of lots that spoil within the plan, as a share of the lot; of these no more by
 * any time than is cooked by then, and together with the others no more than is needed.
 */
export function mealProgram(problem: MealProblem): MealProgram {
	const { recipes, slots, price, worth } = problem;
	const byItem = lotsByItem(problem);
	const cost: number[] = [];
	const whole: number[] = [];
	const rows = new Rows();
	const column = (value: number, isWhole: boolean) => {
		whole.push(Number(isWhole));
		return cost.push(value) - 1;
	};
	const at = slots.map(
		(own) => new Map(own.map((recipe) => [recipe, column(-recipes[recipe]!.liking, true)]))
	);
	at.forEach((own) =>
		rows.add(
			1,
			1,
			[...own.values()].map((c) => [c, 1] as const)
		)
	);
	recipes.forEach(({ most }, recipe) => {
		const entries = at.flatMap((own) => {
			const found = own.get(recipe);
			return found === undefined ? [] : [[found, 1] as const];
		});
		if (entries.length > most) rows.add(-Infinity, most, entries);
	});
	const needs = recipes.map(({ uses }) => new Map(uses.map(({ item, packs }) => [item, packs])));
	/** What recipes of an item take before a slot, as entries. */
	const cookedBefore = (item: number, until: number) =>
		at.slice(0, Math.min(until, slots.length)).flatMap((own) =>
			[...own].flatMap(([recipe, c]) => {
				const packs = needs[recipe]!.get(item);
				return packs ? [[c, packs] as const] : [];
			})
		);
	const items = price.map((each, item) => {
		const all = cookedBefore(item, slots.length);
		if (!all.length) return null;
		const most = at.reduce(
			(sum, own) => sum + Math.max(0, ...[...own.keys()].map((r) => needs[r]!.get(item) ?? 0)),
			0
		);
		const buy = column(each * most, false);
		const own = byItem[item]!;
		const lots = own.map((lot) => ({
			...lot,
			column: column(lot.until < slots.length ? -worth[item]! * lot.packs : 0, false)
		}));
		// By each date, no more is taken of what spoils by then than was cooked before.
		const dates = [...new Set(lots.map(({ until }) => until))].filter((d) => d < slots.length);
		for (const date of dates) {
			const entries = lots
				.filter(({ until }) => until <= date)
				.map((lot) => [lot.column, -lot.packs] as const);
			rows.add(0, Infinity, [...cookedBefore(item, date), ...entries]);
		}
		// What is needed is bought or there, and no more is taken than is needed.
		const taken = lots.map((lot) => [lot.column, -lot.packs] as const);
		rows.add(0, 0, [...all, [buy, -most] as const, ...taken]);
		return { buy, most, lots };
	});
	return {
		program: {
			cost: Float64Array.from(cost),
			whole: Uint8Array.from(whole),
			...rows.done()
		},
		columnsOf: (plan) => {
			const values = new Float64Array(cost.length);
			plan.forEach((recipe, slot) => (values[at[slot]!.get(recipe)!] = 1));
			const left = byItem.map((own) => own.map(({ packs }) => packs));
			plan.forEach((recipe, slot) => {
				for (const [item, packs] of needs[recipe]!) {
					let want = packs;
					byItem[item]!.forEach((lot, i) => {
						if (want <= 0 || lot.until <= slot) return;
						const taken = Math.min(want, left[item]![i]!);
						left[item]![i]! -= taken;
						want -= taken;
					});
				}
			});
			const { buy } = scoreMeals(problem, plan, byItem);
			items.forEach((each, item) => {
				if (!each) return;
				values[each.buy] = each.most > 0 ? buy[item]! / each.most : 0;
				each.lots.forEach((lot, i) => (values[lot.column] = 1 - left[item]![i]! / lot.packs));
			});
			return values;
		},
		planOf: (values) =>
			at.map((own) => {
				let best = -1;
				let most = -1;
				for (const [recipe, c] of own) if (values[c]! > most) [best, most] = [recipe, values[c]!];
				return best;
			})
	};
}
