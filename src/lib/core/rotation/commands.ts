import { takeCounted } from './counted';
import { addLine, dropLines, forgetSaid, sayOfLine } from './list-lines';
import { cookMeal, removeMeal, saveMeal, setMeals, unplanMeal } from './meal-commands';
import { countIn, freeze, moveStock, openPack, putIn, thaw } from './stock-moves';
import { idsFrom, withStem } from '../model';
import { bringMeals } from './meals-table';
import { takeDown } from './take-down';
import { recordWarm } from './warm';

/** Every change that the rotation of stock makes to a home. */
export const ROTATION_COMMANDS = {
	addLine,
	bringMeals: withStem(bringMeals, idsFrom),
	cookMeal,
	countIn,
	dropLines,
	forgetSaid,
	freeze,
	moveStock,
	openPack,
	putIn,
	recordWarm,
	removeMeal,
	saveMeal,
	sayOfLine,
	takeCounted,
	setMeals,
	takeDown,
	thaw,
	unplanMeal
} as const;
