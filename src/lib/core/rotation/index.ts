export { Life, LIFE_TABLE, lifeOf } from './life';
export { isMedicine, medicinesOf, type MedicineLine, type NotGiven } from './medicines';
export { isUndatedOpen, openLifeDays } from './effective-date';
export { UNDATED_OPEN_DAYS } from './life';
export { effectiveDate, type EffectiveDate } from './effective-date';
export {
	byFirstExpired,
	nextLot,
	picksOf,
	countPast,
	openPacks,
	useFirst,
	type Pick
} from './picks';
export { takeDown, type TakeDown } from './take-down';
export { ROTATION_COMMANDS } from './commands';
export { believeRate, classRate, rateBounds, rateOf, type Rate, type RateBelief } from './rate';
export { priceOf, USUAL_PRICE } from './price';
export { inPacks, packUsesOf, perPack, portionsIn, usualPacks } from './packs';
export { closedLifeDays, holdTarget, lifeCeiling, printedKind, type HoldTarget } from './hold';
export { isColdPlace, isFrozenLot, keptChilled, keptFrozen } from './cold';
export { keepsBetter, PRODUCE, produceOf, type KeepsBetter, type Produce } from './produce';
export {
	sectionOf,
	sectionsFrom,
	sectionsIn,
	sectionsOf,
	type DateSchool,
	type DateSection
} from './sections';
export { roomFor, type RoomFor } from './room-for';
export { isSafetyDate, SHORT_LIFE_DAYS } from './safety';
export { asFrozen, asThawed, frozenName, frozenNeeds } from './frozen';
export {
	freeze,
	freezeIssue,
	moveStock,
	openPack,
	putIn,
	thaw,
	type FreezeIssue,
	type OfLot,
	type PutIn
} from './stock-moves';
export {
	runsOut,
	todayOf,
	type RunsOut,
	type Today,
	type TodayCode,
	type TodayItem
} from './today';
export { freezeInto, freezerPlaces, thawPlaces } from './places';
export {
	adviseLevel,
	FORECAST,
	outlookOf,
	outlookOfHome,
	turningThings,
	WEEKS_AHEAD,
	type HomeOutlook,
	type Outlook,
	type TriedRule
} from './forecast';
export { cookFrom, mealStocks, type MealStock, type Missing } from './meals';
export { planWeek, type MealOptions, type MealSlot, type MealWeek } from './meal-week';
export type { Cook, MealToPlan } from './meal-commands';
export { forbiddenIn, unknownDiets } from './diets';
export {
	afterOutage,
	COLD_LIMITS,
	coldKinds,
	hoursOf,
	lostDays,
	notedSpell,
	spellsOf,
	type AfterOutage,
	type ColdKind,
	type OutageVerdict,
	type Reading,
	type Spell
} from './warm';
export { buyingAdvice, type BuyingAdvice } from './buying';
export { countedUses, type Counted } from './counted';
export { addLine, dropLines, forgetSaid, sayOfLine, type LineOf } from './list-lines';
export {
	areaOrder,
	canWait,
	containerLines,
	homeOf,
	listCost,
	packsHeld,
	packsWithOneOpen,
	shopArea,
	shoppingList,
	type ShoppingLine,
	type ShoppingReason
} from './shopping';
