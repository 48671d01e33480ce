import { command } from '../core/commands';
import {
	addDays,
	MEAL_SLOTS,
	type Home,
	type Meal,
	type PlannedMeal,
	type Thing
} from '../core/model';
import {
	cookFrom,
	forbiddenIn,
	mealStocks,
	thawPlaces,
	unknownDiets,
	usualPacks,
	type MealStock,
	type MealWeek,
	type Missing
} from '../core/rotation';
import { mealFailText } from '../messages/turning';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface MealsDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	readonly runner: JobRunner<MealWeek, never>;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}
type Slot = PlannedMeal['slot'];
/** A place of the plan with what is planned there. */
export interface PlanCell {
	readonly on: string;
	readonly slot: Slot;
	readonly planned: PlannedMeal | null;
	readonly name: string;
}
const DAYS = 7;

/** The usual meals of a household against its stock, and the plan of a week. */
export class MealsDesk {
	readonly #deps: MealsDeps;
	readonly #job: Job<MealWeek, never>;
	/** Times of the day that are planned. */
	slots = $state.raw<readonly Slot[]>(['supper']);
	#week = $state.raw<MealWeek | null>(null);
	#draft = $state.raw<Meal | null>(null);
	/** Why the last thing was not done. */
	wrong = $state('');
	/** The planned meal that was just cooked from, while it is asked what was left over. */
	#cooking = $state.raw<PlannedMeal | null>(null);

	constructor(deps: MealsDeps) {
		this.#deps = deps;
		this.#job = new Job(deps.runner);
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	get isPlanning(): boolean {
		return this.#job.isRunning;
	}
	get failure(): string {
		return this.#job.failure;
	}
	/** How many eat: those who live here. */
	get eaters(): number {
		return Math.max(1, Object.values(this.home.people).filter(({ visits }) => !visits).length);
	}
	stocks = $derived.by((): readonly MealStock[] => mealStocks(this.home, this.#deps.today()));
	/** Meals that somebody may not eat, with who and why. */
	forbidden = $derived.by(
		() =>
			new Map(
				Object.values(this.home.meals).flatMap((meal) => {
					const [first] = forbiddenIn(this.home, meal);
					return first ? [[meal.id as string, first] as const] : [];
				})
			)
	);
	unknownDiets = $derived.by(() => unknownDiets(this.home));
	cells = $derived.by((): readonly PlanCell[] => {
		const today = this.#deps.today();
		const planned = Object.values(this.home.plannedMeals);
		return Array.from({ length: DAYS }, (_, day) => addDays(today, day)).flatMap((on) =>
			MEAL_SLOTS.flatMap((slot): PlanCell[] => {
				const own = planned.find((each) => each.on === on && each.slot === slot) ?? null;
				if (!own && !this.slots.includes(slot)) return [];
				return [{ on, slot, planned: own, name: own ? this.#nameOf(own) : '' }];
			})
		);
	});
	#nameOf({ mealId, lotId }: PlannedMeal): string {
		if (mealId) return this.home.meals[mealId]?.name ?? '';
		const lot = lotId ? this.home.lots[lotId] : undefined;
		return lot ? (this.home.things[lot.thingId]?.name ?? '') : '';
	}
	/** What the plan that was just made saves and wants; null: none was made, or it is another since. */
	get week(): Extract<MealWeek, { ok: true }> | null {
		return this.#week?.ok ? this.#week : null;
	}
	toggleSlot(slot: Slot): void {
		const has = this.slots.includes(slot);
		if (has && this.slots.length === 1) return;
		this.slots = has ? this.slots.filter((one) => one !== slot) : [...this.slots, slot];
	}

	/** Plans the week; what is planned by hand stays. */
	async plan(): Promise<void> {
		this.wrong = '';
		const { home } = this;
		const today = this.#deps.today();
		const slots = MEAL_SLOTS.filter((slot) => this.slots.includes(slot));
		const options = { from: today, today, days: DAYS, slots, servings: this.eaters };
		const answer = await this.#job.start({ home, options });
		if (!answer) return;
		const { result } = answer;
		if (!result.ok) {
			this.wrong = mealFailText(result.code);
			return;
		}
		const byHand = new Set(
			Object.values(this.home.plannedMeals)
				.filter((each) => each.byHand)
				.map(({ on, slot }) => `${on}/${slot}`)
		);
		const meals = result.meals
			.filter(({ on, slot }) => !byHand.has(`${on}/${slot}`))
			.map((meal) => ({ ...meal, servings: this.eaters, byHand: false }));
		this.#deps.store().run('plan the week', 'setMeals', meals, this.#deps.newId());
		this.#week = result;
		this.#deps.said(`${countText(meals.length, 'meal')} planned.`);
	}
	stop(): void {
		this.#job.stop();
	}
	/** Says by hand what is eaten then; empty: nothing is planned. */
	setCell({ on, slot, planned }: PlanCell, mealId: string): void {
		this.#week = null;
		if (!mealId) {
			if (planned) this.#deps.store().run('leave a meal open', 'unplanMeal', planned.id);
			return;
		}
		const meal = this.home.meals[mealId];
		if (!meal) return;
		this.#deps.store().run(
			`plan ${meal.name}`,
			'setMeals',
			[
				{
					mealId,
					lotId: null,
					on,
					slot,
					servings: planned?.servings ?? this.eaters,
					byHand: true
				}
			],
			this.#deps.newId()
		);
	}

	/** What is missing for what is planned and not cooked, thing by thing. */
	missing = $derived.by((): readonly Missing[] => {
		const today = this.#deps.today();
		const open = this.cells.flatMap(({ planned }) =>
			planned && !planned.cookedOn && planned.mealId ? planned : []
		);
		// All of the week's meals as one: what one takes the next does not find.
		const needs = new Map<string, number>();
		for (const { mealId, servings } of open) {
			const meal = this.home.meals[mealId!];
			for (const { thingId, packs } of meal?.ingredients ?? [])
				needs.set(thingId, (needs.get(thingId) ?? 0) + (packs * servings) / meal!.servings);
		}
		const all: Meal = {
			id: 'week' as Meal['id'],
			name: 'week',
			servings: 1,
			timesPerMonth: 0,
			slots: [],
			ingredients: [...needs].map(([thingId, packs]) => ({
				thingId: thingId as Thing['id'],
				packs
			}))
		};
		return cookFrom(this.home, all, 1, today).short;
	});
	/** Puts what is missing on the shopping list. */
	listMissing(): void {
		const today = this.#deps.today();
		this.#deps.store().runAll(
			'what the meals want on the list',
			this.missing.map(({ thing, packs }) =>
				command('addLine', thing.id, thing.name, packs, this.#deps.newId(), today)
			)
		);
		this.#deps.said('What is missing is on the shopping list.');
	}

	get cooking(): PlannedMeal | null {
		return this.#cooking;
	}
	/** Asks what will be left over before a meal is taken from the stock. */
	beginCooking(planned: PlannedMeal): void {
		this.#cooking = planned;
		if (planned.lotId) this.cook(0);
	}
	stopCooking(): void {
		this.#cooking = null;
	}
	/** Cooks it: the stock goes down, and so many portions are left over. */
	cook(leftovers: number): void {
		const planned = this.#cooking;
		if (!planned || !(leftovers >= 0) || leftovers > 100) return;
		const name = this.#nameOf(planned);
		this.#cooking = null;
		this.#deps.store().run(`cook ${name}`, 'cookMeal', {
			plannedId: planned.id,
			leftovers,
			nookId: thawPlaces(this.home).at(-1)?.id ?? null,
			stem: this.#deps.newId(),
			now: this.#deps.now()
		});
		const left = leftovers ? `, ${countText(leftovers, 'portion')} left over` : '';
		this.#deps.said(`${name} ${planned.lotId ? 'eaten' : 'cooked'}${left}.`);
	}
	/** Puts a meal of today on the plan and cooks it. */
	cookNow(meal: Meal): void {
		const on = this.#deps.today();
		const servings = this.eaters;
		const busy = new Set(
			this.cells.filter((cell) => cell.on === on && cell.planned).map(({ slot }) => slot)
		);
		const slot = [...MEAL_SLOTS].reverse().find((each) => !busy.has(each)) ?? 'supper';
		this.#deps
			.store()
			.run(
				`plan ${meal.name}`,
				'setMeals',
				[{ mealId: meal.id, lotId: null, on, slot, servings, byHand: true }],
				this.#deps.newId()
			);
		const planned = Object.values(this.home.plannedMeals).find(
			(each) => each.on === on && each.slot === slot && each.mealId === meal.id
		);
		if (planned) this.beginCooking(planned);
	}

	/** The meal that is being written; null: none. */
	get draft(): Meal | null {
		return this.#draft;
	}
	begin(): void {
		this.#draft = {
			id: this.#deps.newId() as Meal['id'],
			name: '',
			servings: this.eaters,
			timesPerMonth: 1,
			slots: ['lunch', 'supper'],
			ingredients: []
		};
	}
	edit(meal: Meal): void {
		this.#draft = meal;
	}
	close(): void {
		this.#draft = null;
		this.wrong = '';
	}
	write(change: Partial<Meal>): void {
		if (this.#draft) this.#draft = { ...this.#draft, ...change };
	}
	/** Adds an ingredient by the name of a thing of the home; what no thing is called is said. */
	addIngredient(name: string): boolean {
		const draft = this.#draft;
		if (!draft) return false;
		const wanted = name.trim().toLowerCase();
		const thing = Object.values(this.home.things).find((one) => one.name.toLowerCase() === wanted);
		if (!thing) {
			this.wrong = `Nothing in this home is called “${name.trim()}”. Choose a thing from the list, or enter it in Clear first.`;
			return false;
		}
		this.wrong = '';
		if (!draft.ingredients.some(({ thingId }) => thingId === thing.id))
			this.write({
				ingredients: [
					...draft.ingredients,
					{ thingId: thing.id, packs: usualPacks(thing, draft.servings) }
				]
			});
		return true;
	}
	setPacks(thingId: string, packs: number): void {
		const draft = this.#draft;
		if (!draft || !(packs >= 0) || packs > 1000) return;
		this.write({
			ingredients: packs
				? draft.ingredients.map((one) => (one.thingId === thingId ? { ...one, packs } : one))
				: draft.ingredients.filter((one) => one.thingId !== thingId)
		});
	}
	save(): void {
		const draft = this.#draft;
		if (!draft) return;
		if (!draft.name.trim()) {
			this.wrong = 'The meal has no name yet.';
			return;
		}
		this.#deps.store().run(`meal ${draft.name}`, 'saveMeal', draft);
		this.close();
	}
	remove(meal: Meal): void {
		this.#deps.store().run(`delete ${meal.name}`, 'removeMeal', meal.id);
		this.close();
		this.#deps.said(`${meal.name} deleted.`);
	}
}
