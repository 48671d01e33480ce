export {
	choiceCost,
	type ChoiceProblem,
	type ChoiceResult,
	type ChoiceWay,
	type Stands
} from './problem';
export { DEFAULT_CHOICE, solveChoice, type ChoiceOptions } from './solve-choice';
