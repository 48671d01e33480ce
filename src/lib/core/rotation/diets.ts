import { mayHold } from '../grouping';
import type { Home, HomePart, Meal, Thing } from '../model';

const MEAT = ['food.raw-meat', 'food.frozen-meat'];
const MEAT_WORDS =
	/\b(?:ham|bacon|salami|sausage|chorizo|beef|pork|lamb|chicken|turkey|duck|mince|steak|gelatine)/i;
const FISH = ['food.cans-fish'];
const FISH_WORDS =
	/\b(?:fish|salmon|tuna|cod|haddock|trout|herring|mackerel|prawn|shrimp|mussel|squid|anchov)/i;
const PLANT_WORDS = /\b(?:vegetarian|vegan|tofu|tempeh|seitan|bean|lentil|falafel|hummus|plant)/i;

const isFish = ({ name, category }: Thing) => FISH.includes(category) || FISH_WORDS.test(name);
const isMeat = (thing: Thing) =>
	(MEAT.includes(thing.category) ||
		(thing.category.startsWith('food.') && MEAT_WORDS.test(thing.name))) &&
	!isFish(thing) &&
	!PLANT_WORDS.test(thing.name);
const isAnimal = (thing: Thing) =>
	isMeat(thing) ||
	isFish(thing) ||
	((['food.dairy', 'food.eggs'].includes(thing.category) || /\bhoney\b/i.test(thing.name)) &&
		!/\b(?:oat|soya|soy|almond|coconut|rice)\b/i.test(thing.name));

/** Diets that are known by name, with what they leave out. */
const DIETS: Readonly<Record<string, (thing: Thing) => boolean>> = {
	vegetarian: (thing) => isMeat(thing) || isFish(thing),
	vegan: isAnimal,
	pescatarian: isMeat,
	'gluten-free': (thing) => mayHold(thing, 'gluten'),
	'dairy-free': (thing) => mayHold(thing, 'milk'),
	'lactose-free': (thing) => mayHold(thing, 'milk')
};
const clean = (words: string) => words.trim().toLowerCase();

/** Who may not eat a thing, and why; the household's own people, and guests only where `guests` says so. */
export function keptFrom(
	home: Pick<Home, 'people'>,
	thing: Thing,
	guests = false
): { readonly name: string; readonly why: string }[] {
	return Object.values(home.people)
		.filter(({ visits }) => guests || !visits)
		.flatMap(({ name, allergies, diets }) => {
			const allergy = allergies.find((one) => mayHold(thing, one));
			if (allergy) return [{ name, why: clean(allergy) }];
			const diet = diets.map(clean).find((one) => DIETS[one]?.(thing));
			return diet ? [{ name, why: diet }] : [];
		});
}

/** Diets of the household that no rule is known for: the plan does not look at them, and says so. */
export const unknownDiets = (home: HomePart<'people'>): string[] => [
	...new Set(
		Object.values(home.people)
			.flatMap(({ diets }) => diets.map(clean))
			.filter((diet) => diet && !(diet in DIETS))
	)
];

/** Ingredients of a meal that somebody of the household may not eat. */
export const forbiddenIn = (
	home: HomePart<'people' | 'things'>,
	meal: Meal
): { readonly thing: Thing; readonly name: string; readonly why: string }[] =>
	meal.ingredients.flatMap(({ thingId }) => {
		const thing = home.things[thingId];
		return thing ? keptFrom(home, thing).map((each) => ({ thing, ...each })) : [];
	});
