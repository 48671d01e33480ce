export * from './ids';
export * from './places';
export * from './scalars';
export * from './goods';
export * from './stocking';
export * from './keeping';
export * from './customs';
export * from './plans';
export * from './settings';
export * from './container-roles';
export * from './small-parts';
export { LabelSheet } from './label-sheet';
export * from './home';
export {
	blankDecision,
	blankGroup,
	blankNook,
	blankReset,
	blankThing,
	headOf,
	makeHome,
	noOverrides,
	type MakeHomeOptions
} from './make';
export {
	formatLength,
	formatMass,
	formatMoney,
	formatVolume,
	parseLength,
	parseLengths,
	type LengthIssue,
	type LengthResult,
	type LengthsResult,
	type LengthUnit
} from './units';
export { dateFormat, numberFormat, writeAsIn } from './locale';
export {
	addDays,
	calendarDate,
	DAYS_A_WEEK,
	dayOf,
	daysBetween,
	instantOn,
	lastDayOfMonth,
	minutesOfDay,
	timeOfDay,
	weekBegins
} from './dates';
export {
	faultPath,
	faultsOfChange,
	linkFaults,
	LINKS,
	mendFaults,
	StillNeeded,
	type Link,
	type LinkFault,
	type OnDelete
} from './links';
export { commandsOf, withStem, type CommandOf, type CommandSet, type Plain } from './command';
export { changedRecords, type ChangedRecord } from './changed-records';
export { fingerprint } from './fingerprint';
export { applyEdit, replay, type Edit, type EditResult, type Patch } from './edit';
export { BelongsHere, Spot, SPOTS, PLACE_RANKS, type PlaceRank } from './spots';
export { USES_PER_WEEK, usesPerWeek } from './uses';
export { BRANCH_NAMES, categoryOf, CATEGORIES, UNKNOWN_KIND, type Category } from './categories';
export { mayLie, waysDown, type SetDown } from './turning';
export { FIT_MM, nestRiseMm, nestsIn, rimsFit, rimsOff } from './rims';
export { wordStems } from './words';
export { pieceVolumeMl } from './volume';
export { type HomePart } from './home';
export { activePlan } from './selectors';
export { cacheByKey, memoOn, type Before, type CarryOver } from './memo';
export { lineOf, noteLine, type Line } from './lineage';
export {
	decidedLots,
	decisionsOn,
	groupBy,
	lotsIn,
	lotsOf,
	stock,
	thingsOf
} from './shared-indexes';
export {
	formatQuantity,
	parseQuantity,
	QUANTITY_UNITS,
	QUANTITY_UNIT_WORDS,
	quantityUnit,
	volumeWays,
	type Quantity,
	type QuantityResult
} from './quantity';
export { wholePacks } from './whole-packs';
