import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW, TODAY, withLines } from '../fixtures/tiny-home';
import { addPerson } from '../survey/household';
import { addDays, type Home, type Meal } from '../model';
import { cookFrom, forbiddenIn, mealStocks, planWeek, todayOf, unknownDiets } from '.';
import { cookMeal, saveMeal, setMeals } from './meal-commands';
import { outlookOf, outlookOfHome } from './forecast';

const stocked = withLines(bareKitchen(), [
	'4 penne bb 03/28',
	'3 chopped tomatoes bb 03/28',
	'1 chicken thighs use by 04/03/26',
	'2 white rice bb 01/28',
	'2 honey'
]);
const idOf = (home: Home, name: string) =>
	Object.values(home.things).find((thing) => thing.name === name)!.id;
const meal = (
	id: string,
	name: string,
	parts: [string, number][],
	more: Partial<Meal> = {}
): Meal => ({
	id: id as Meal['id'],
	name,
	servings: 2,
	timesPerMonth: 4,
	slots: ['supper'],
	ingredients: parts.map(([thing, packs]) => ({ thingId: idOf(stocked, thing), packs })),
	...more
});
const home = apply(
	stocked,
	saveMeal(
		meal('pasta', 'Pasta', [
			['penne', 1],
			['chopped tomatoes', 2]
		])
	),
	saveMeal(
		meal('chicken', 'Chicken and rice', [
			['chicken thighs', 1],
			['white rice', 0.5]
		])
	),
	saveMeal(meal('toast', 'Honey toast', [['honey', 0.1]], { slots: ['breakfast'] }))
);
const OPTIONS = { from: TODAY, days: 2, slots: ['supper' as const], servings: 2 };

describe('meals against the stock', () => {
	it('says how often the stock makes one and what is missing for one more', () => {
		const [chicken, toast, pasta] = mealStocks(home, TODAY);
		expect(chicken).toMatchObject({ makes: 1, missing: [{ packs: 1 }], daysLeft: 2 });
		expect(toast!.makes).toBe(20);
		expect(pasta).toMatchObject({
			makes: 1,
			missing: [{ thing: { name: 'chopped tomatoes' }, packs: 1 }]
		});
	});
	it('does not cook what has a use-by date that passed', () => {
		const later = addDays(TODAY, 5);
		expect(mealStocks(home, later)[0]).toMatchObject({ makes: 0 });
		expect(
			cookFrom(home, home.meals['chicken']!, 2, later).take.map(
				({ lot }) => home.things[lot.thingId]!.name
			)
		).toEqual(['white rice']);
	});
});

describe('the plan of a week', () => {
	it('cooks first what spoils first, at its time of day, and buys nothing it need not', () => {
		const week = planWeek(home, OPTIONS, TODAY);
		if (!week.ok) throw new Error(week.code);
		expect(week.meals.map(({ mealId }) => mealId).sort()).toEqual(['chicken', 'pasta']);
		expect(week.buy).toEqual([]);
	});
	it('keeps what is planned by hand', () => {
		const planned = apply(
			home,
			setMeals(
				[{ mealId: 'pasta', lotId: null, on: TODAY, slot: 'supper', servings: 2, byHand: true }],
				'p'
			)
		);
		const week = planWeek(planned, OPTIONS, TODAY);
		if (!week.ok) throw new Error(week.code);
		expect(week.meals[0]).toMatchObject({ on: TODAY, mealId: 'pasta' });
		expect(week.meals[1]!.mealId).toBe('chicken');
		expect(week.saved).toEqual([]);
	});
	it('leaves out what somebody may not eat, and says which diets it does not know', () => {
		const with_ = apply(home, addPerson('p', 'Ada'), (draft) => {
			draft.people['p']!.diets = ['Vegetarian', 'carnival'];
		});
		expect(forbiddenIn(with_, with_.meals['chicken']!)).toMatchObject([
			{ name: 'Ada', why: 'vegetarian' }
		]);
		expect(forbiddenIn(with_, with_.meals['pasta']!)).toEqual([]);
		expect(unknownDiets(with_)).toEqual(['carnival']);
		const week = planWeek(with_, OPTIONS, TODAY);
		if (!week.ok) throw new Error(week.code);
		// One meal is left for two suppers: it comes twice.
		expect(week.meals.map(({ mealId }) => mealId)).toEqual(['pasta', 'pasta']);
	});
	it('says when there is nothing to plan with', () => {
		expect(planWeek(stocked, OPTIONS, TODAY)).toEqual({ ok: false, code: 'no-meals' });
		expect(planWeek(home, { ...OPTIONS, slots: ['lunch'] }, TODAY)).toEqual({
			ok: false,
			code: 'too-few'
		});
	});
	it('plans leftovers in before they spoil', () => {
		const cooked = apply(
			home,
			setMeals(
				[{ mealId: 'pasta', lotId: null, on: TODAY, slot: 'lunch', servings: 2, byHand: true }],
				'p'
			),
			cookMeal({ plannedId: 'p-1', leftovers: 2, nookId: null, stem: 'c', now: NOW })
		);
		const week = planWeek(cooked, OPTIONS, TODAY);
		if (!week.ok) throw new Error(week.code);
		expect(week.meals.some(({ lotId }) => lotId === 'c-l')).toBe(true);
	});
});

describe('cooking', () => {
	const planned = apply(
		home,
		setMeals(
			[{ mealId: 'pasta', lotId: null, on: TODAY, slot: 'supper', servings: 2, byHand: true }],
			'p'
		)
	);
	const cooked = apply(
		planned,
		cookMeal({ plannedId: 'p-1', leftovers: 3, nookId: null, stem: 'c', now: NOW })
	);
	it('takes the ingredients down and puts what is left over in', () => {
		const counts = Object.fromEntries(
			Object.values(cooked.lots).map((lot) => [cooked.things[lot.thingId]!.name, lot.count])
		);
		expect(counts).toMatchObject({ penne: 3, 'chopped tomatoes': 1, 'Pasta, leftovers': 3 });
		expect(todayOf(cooked, TODAY, 5).leftover).toHaveLength(1);
		expect(
			Object.values(cooked.useEvents)
				.map(({ kind }) => kind)
				.sort()
		).toEqual(['add', 'use', 'use']);
	});
	it('is done once', () => {
		expect(
			apply(cooked, cookMeal({ plannedId: 'p-1', leftovers: 3, nookId: null, stem: 'd', now: NOW }))
		).toEqual(cooked);
	});
});

describe('the weeks ahead', () => {
	it('does not count what is past already, and lets a date of quality run on', () => {
		const old = withLines(bareKitchen(), [
			'2 chicken thighs use by 01/02/26',
			'3 penne bb 01/02/26'
		]);
		const all = outlookOfHome(old, TODAY);
		const of = (name: string) => all.things.find(({ thingId }) => thingId === idOf(old, name))!;
		expect(of('chicken thighs').wastePacks).toBe(0);
		expect(of('penne').wastePacks).toBeLessThan(3);
	});
	it('advises less of what spoils and more of what runs out', () => {
		const rice = idOf(stocked, 'white rice');
		const holding = (amount: number, use: 'several-daily' | 'rarely') =>
			apply(stocked, (draft) => {
				const thing = draft.things[rice]!;
				thing.hold = { rule: 'packs', amount };
				thing.use.class = use;
				thing.packUses = 4;
			});
		const often = holding(1, 'several-daily');
		expect(outlookOf(often, often.things[rice]!, TODAY).best!.level).toBeGreaterThan(2);
		const seldom = holding(8, 'rarely');
		expect(outlookOf(seldom, seldom.things[rice]!, TODAY).best!.level).toBeLessThan(3);
	});
});
