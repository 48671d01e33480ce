export { Life, LIFE_TABLE, lifeOf } from './life';
export { effectiveDate, type EffectiveDate } from './effective-date';
export { byFirstExpired, nextLot, picksOf, countPast, useFirst, type Pick } from './picks';
export { takeDown, type TakeDown } from './take-down';
export {
	lifeCeiling,
	packsHeld,
	shoppingList,
	type ShoppingLine,
	type ShoppingReason
} from './shopping';
