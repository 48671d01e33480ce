export {
	allGroupFigures,
	CLOTHS,
	figureParts,
	frontRunMm,
	groupFigures,
	ROW_DEPTH_MM,
	SPARE_FETCHES,
	SUMMED,
	type FigurePart,
	type GroupFigures,
	type SummedFigure
} from './aggregate';
export { allergensOf, householdAllergens, mayHold, type Allergens } from './allergens';
export { groupChanges, looseChanges, takeChanges, type GroupChange } from './changes';
export { addGroup, tagCode } from './records';
export {
	joinGroups,
	keepSparesApart,
	keepSparesTogether,
	moveThings,
	releaseGroup,
	renameGroup,
	setOverride,
	setPartner,
	spareOf,
	splitOff
} from './edits';
export { groupMeant, thingsAbout } from './find';
export { parseFigure } from './parse-figure';
export { fewMostUsed, frequencyRows, type FrequencyRow } from './frequency';
export { findKits, type Kit } from './kits';
export {
	mainCategories,
	partnerChanges,
	partnersNow,
	proposePartners,
	takePartners,
	type PartnerPair
} from './partners';
export { proposeGroups, type ProposedGroup } from './propose';
export { groupOfLots, holdingsByGroup, partLot, partStock, piecesIn, type Holding } from './stock';
export { GROUPING_COMMANDS } from './commands';
export {
	familyOf,
	groupsFor,
	isKept,
	keptThings,
	looseThings,
	mayShare,
	strangerIn,
	unknownThings,
	type Family,
	type Stranger
} from './families';
