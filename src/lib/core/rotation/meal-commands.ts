import {
	blankThing,
	categoryOf,
	dayOf,
	MealId,
	NookId,
	PlannedMealId,
	ThingId,
	type Edit,
	type Home,
	type Meal,
	type PlannedMeal,
	type Thing
} from '../model';
import { cookFrom } from './meals';
import { putIn } from './stock-moves';
import { takeDown } from './take-down';

/** Makes the edit that adds a meal, or changes what is known of one; a meal without a name is none. */
export function saveMeal(meal: Meal): Edit {
	return (draft) => {
		if (!meal.name.trim()) return;
		draft.meals[MealId.parse(meal.id)] = {
			...meal,
			name: meal.name.trim(),
			ingredients: meal.ingredients.filter(({ thingId }) => draft.things[thingId])
		};
	};
}

/** Makes the edit that takes a meal away, and with it where it is planned. */
export function removeMeal(mealId: string): Edit {
	return (draft) => void delete draft.meals[mealId];
}

const isAt = (one: Pick<PlannedMeal, 'on' | 'slot'>, other: Pick<PlannedMeal, 'on' | 'slot'>) =>
	one.on === other.on && one.slot === other.slot;

/** What is planned, without its id. */
export type MealToPlan = Omit<PlannedMeal, 'id' | 'cookedOn' | 'mealId' | 'lotId'> & {
	readonly mealId: string | null;
	readonly lotId: string | null;
};

/** Makes the edit that plans meals, each in the place of what was planned there and is not cooked yet. */
export function setMeals(meals: readonly MealToPlan[], stem: string): Edit {
	return (draft) => {
		meals.forEach((meal, i) => {
			const there = Object.values(draft.plannedMeals).filter((each) => isAt(each, meal));
			if (there.some(({ cookedOn }) => cookedOn)) return;
			for (const each of there) delete draft.plannedMeals[each.id];
			const isThere = meal.mealId ? draft.meals[meal.mealId] : meal.lotId && draft.lots[meal.lotId];
			if (!isThere) return;
			const id = PlannedMealId.parse(`${stem}-${i + 1}`);
			draft.plannedMeals[id] = { ...meal, id, cookedOn: null } as PlannedMeal;
		});
	};
}

/** Makes the edit that leaves a slot empty. */
export function unplanMeal(plannedId: string): Edit {
	return (draft) => {
		if (!draft.plannedMeals[plannedId]?.cookedOn) delete draft.plannedMeals[plannedId];
	};
}

const LEFTOVERS = 'food.deli';
/** Within an edit, gives the thing that the leftovers of a meal are. */
function leftoverThing(draft: Home, meal: Meal, id: string): Thing {
	const name = `${meal.name}, leftovers`.slice(0, 200);
	const known = Object.values(draft.things).find((thing) => thing.name === name);
	if (known) return known;
	const { piece, massG, needs, hazards } = categoryOf(LEFTOVERS);
	const thing: Thing = {
		id: ThingId.parse(id),
		name,
		category: LEFTOVERS,
		piece: { ...piece },
		massG,
		use: { class: 'weekly', countedPerWeek: null },
		userIds: [],
		stations: [],
		needs: [...needs],
		hazards: [...hazards],
		lifeKey: 'leftovers',
		...blankThing()
	};
	return (draft.things[thing.id] = thing);
}

export interface Cook {
	readonly plannedId: string;
	/** Portions that were left over. */
	readonly leftovers: number;
	/** Where they are put; null: on the table. */
	readonly nookId: string | null;
	readonly stem: string;
	/** ISO instant. */
	readonly now: string;
}

/**
 * Makes the edit that cooks a planned meal: its ingredients are taken down, first expired first, and what is left over
 * is stock by the meal, made today. Leftovers that are eaten are taken down.
 */
export function cookMeal({ plannedId, leftovers, nookId, stem, now }: Cook): Edit {
	return (draft) => {
		const planned = draft.plannedMeals[plannedId];
		if (!planned || planned.cookedOn) return;
		planned.cookedOn = dayOf(now);
		if (planned.lotId) {
			const count = planned.servings;
			takeDown({ lotId: planned.lotId, count, eventId: `${stem}-e`, now })(draft);
			return;
		}
		const meal = planned.mealId ? draft.meals[planned.mealId] : undefined;
		if (!meal) return;
		const { take } = cookFrom(draft as Home, meal as Meal, planned.servings, dayOf(now));
		take.forEach(({ lot, count }, i) =>
			takeDown({ lotId: lot.id, count, eventId: `${stem}-e${i}`, now })(draft)
		);
		if (leftovers <= 0) return;
		const thing = leftoverThing(draft as Home, meal as Meal, `${stem}-t`);
		putIn({
			thingId: thing.id,
			nookId: nookId === null ? null : NookId.parse(nookId),
			count: leftovers,
			unit: 'meal',
			dates: { madeOn: dayOf(now) },
			lotId: `${stem}-l`,
			eventId: `${stem}-a`,
			now
		})(draft);
	};
}
