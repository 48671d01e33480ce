import type { StockField, StockIssue } from '../core/clearing/stock-table';
import type { MealField, MealIssue } from '../core/rotation/meals-table';
import type { PlaceField, PlaceIssue, SaidOfPlace } from '../core/survey/places-table';

export const STOCK_FIELD_WORDS: Readonly<Record<StockField, string>> = {
	name: 'Name',
	count: 'Count',
	unit: 'Unit',
	place: 'Place',
	cabinet: 'Cabinet',
	useBy: 'Use by',
	bestBefore: 'Best before',
	opened: 'Opened on',
	frozen: 'Frozen on',
	thawed: 'Thawed on',
	made: 'Made on',
	price: 'Price of one',
	category: 'Kind',
	states: 'State',
	owner: 'Whose it is',
	batch: 'Batch'
};

/** Says what is wrong with a row, and what becomes of it. */
export function stockIssueText(issue: StockIssue): string {
	switch (issue.code) {
		case 'no-name':
			return 'It has no name. It is left out.';
		case 'bad-count':
			return `“${issue.text}” is no count. Write a number above 0.`;
		case 'bad-unit':
			return `“${issue.text}” is no unit. Write pack, g, piece or meal.`;
		case 'bad-price':
			return `“${issue.text}” is no price.`;
		case 'bad-date':
			return `“${issue.text}” is no date (${STOCK_FIELD_WORDS[issue.field].toLowerCase()}). Write it as 2027-03-31.`;
		case 'unknown-place':
			return `There is no place “${issue.text}” here. It goes on the table.`;
	}
}

export const PLACE_FIELD_WORDS: Readonly<Record<PlaceField, string>> = {
	room: 'Room',
	wall: 'Wall',
	cabinet: 'Cabinet',
	form: 'Form of cabinet',
	name: 'Place',
	kind: 'Kind of place',
	width: 'Width inside',
	depth: 'Depth inside',
	height: 'Height inside',
	openingWidth: 'Width of the way in',
	openingHeight: 'Height of the way in',
	fromLeft: 'From the left of the cabinet',
	fromBase: 'From the base of the cabinet',
	load: 'What it bears, kg'
};
/** Says what is wrong with a row of places; it is left out. */
export function placeIssueText(issue: PlaceIssue): string {
	switch (issue.code) {
		case 'no-name':
			return 'The place has no name. It is left out.';
		case 'no-cabinet':
			return 'It does not say which cabinet the place is in. It is left out.';
		case 'bad-length':
			return `“${issue.text}” is no length (${PLACE_FIELD_WORDS[issue.field].toLowerCase()}). Write it as 564 or 56.4 cm.`;
		case 'bad-load':
			return `“${issue.text}” is no weight. Write kilograms, as 12.5.`;
		case 'bad-kind':
			return `“${issue.text}” is no kind of place. Write shelf, drawer, door, worktop or leave it empty.`;
		case 'bad-form':
			return `“${issue.text}” is no form of cabinet. Write base, wall, tall, drawers, fridge or leave it empty.`;
	}
}
/** The sizes that a row says, in short; nothing where it says none. */
export function saidOfPlaceText({ widthMm, depthMm, heightMm }: SaidOfPlace): string {
	if (!widthMm && !depthMm && !heightMm) return 'to be measured';
	return `${[widthMm, depthMm, heightMm].map((mm) => mm ?? '?').join(' × ')} mm`;
}

export const MEAL_FIELD_WORDS: Readonly<Record<MealField, string>> = {
	name: 'Meal',
	servings: 'Serves',
	times: 'Times a month',
	slots: 'When',
	ingredient: 'Ingredient',
	packs: 'Packs of it'
};
/** Says what is wrong with a row of meals, and what becomes of it. */
export function mealIssueText(issue: MealIssue): string {
	switch (issue.code) {
		case 'no-name':
			return 'The meal has no name. It is left out.';
		case 'bad-figure':
			return `“${issue.text}” is no number (${MEAL_FIELD_WORDS[issue.field].toLowerCase()}). The meal is left out.`;
		case 'bad-slot':
			return `“${issue.text}” is no time of the day. Write breakfast, lunch, supper or not planned. The meal is left out.`;
		case 'unknown-thing':
			return `Nothing here is called “${issue.text}”. It is left out of the meal; enter it in Clear first.`;
	}
}
