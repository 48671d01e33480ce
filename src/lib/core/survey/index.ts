export {
	baseAboveFloorMm,
	climateOf,
	isPullOut,
	nooksInOrder,
	placeOfNook,
	runAxes,
	standingPoint,
	type NookClimate,
	type NookPlace
} from './place';
export { blockedBoxes, unionMm3, usableSpace, type Box, type UsableSpace } from './usable';
export {
	bandAt,
	reachHeights,
	reachOf,
	REACH_BANDS,
	type Reach,
	type ReachBand,
	type ReachHeights,
	type ReachSpot
} from './reach';
export { checkNook, checkSurvey, tapeList, type SurveyIssue, type TapeItem } from './checks';
export { walkingDistances, type WalkingDistances } from './walking';
export { CABINET_FORMS_LIST, type CabinetForm } from './forms';
export {
	addCabinet,
	addObstruction,
	addRoom,
	nextOffsetMm,
	placeStation,
	removeCabinet,
	removeObstruction,
	setInside,
	setOpening,
	type NewRoom,
	type Side
} from './edits';
export { addPerson, addPet, changePerson, removePerson, removePet } from './household';
