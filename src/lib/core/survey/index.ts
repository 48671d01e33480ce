export {
	baseAboveFloorMm,
	cabinetsInOrder,
	climateOf,
	handHeightMm,
	HANGS_FROM_MM,
	isBathroom,
	isPullOut,
	nooksInOrder,
	placeOfNook,
	runAxes,
	standingPoint,
	type CabinetPlaces,
	type NookClimate,
	type NookPlace,
	type Places
} from './place';
export {
	blockedBoxes,
	FINGERS_MM,
	unionMm3,
	usableSpace,
	type Box,
	type UsableSpace
} from './usable';
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
export { reachShares, TODDLER_CLIMB_MM, TODDLER_REACH_MM, type ReachShare } from './reach-shares';
export { cabinetsOn, wallsByFullness, wallsInUse } from './walls';
export { checkNook, checkSurvey, tapeList, type TapeItem } from './checks';
export type { SurveyIssue } from './survey-issue';
export {
	walkGraphOf,
	walkingDistances,
	walkPath,
	walksBetween,
	type WalkGraph,
	type WalkingDistances
} from './walking';
export { freeNear, isClear, isFree, isInside, layWalkSpace, type WalkSpace } from './walk-space';
export { workTriangle, type TriangleIssue, type TriangleSide, type WorkTriangle } from './triangle';
export { climateTags, spaceTotals, type SpaceSum, type SpaceTotals } from './totals';
export {
	alikeIn,
	confirmSizes,
	estimatedPlaces,
	copyMeasures,
	likeCabinets,
	measuredShare,
	sameSize,
	sidesFrom,
	takeSides,
	type MeasuredShare,
	type SidesRead
} from './measure';
export { byAge } from './growth';
export {
	pictureSize,
	SHEETS,
	takePictured,
	type Corners,
	type PictureInput,
	type PicturePoint,
	type PictureSize,
	type SheetName
} from './picture-size';
export { setReadings, READINGS, smallest, spreadMm, takeReading } from './readings';
export {
	addShelf,
	divideNook,
	duplicateCabinet,
	levelShelves,
	nextPegMm,
	removeNook
} from './shape-edits';
export { TEMPLATES } from './templates';
export { SURVEY_COMMANDS } from './commands';
export {
	addCorner,
	addObstacle,
	addRun,
	changeObstacle,
	moveCabinet,
	moveCorner,
	moveStation,
	moveWall,
	removeCorner,
	removeObstacle,
	removeRoom,
	removeRun,
	removeStation,
	resizeRoom,
	SNAP_MM,
	snapCabinet,
	snapPoint,
	snapTo,
	USUAL_OBSTACLES,
	type NewObstacle,
	type Snapped
} from './plan-edits';
export {
	addDoor,
	moveDoor,
	moveRoom,
	moveRunEnd,
	removeDoor,
	setDoorWidth,
	setWallLength
} from './plan-items';
export {
	dragPlanItem,
	nudgePlanItem,
	PLAN_MOVES,
	planItemKey,
	type PlanItem,
	type PlanMove
} from './plan-drag';
export { changeCabinet, changeNook, changeRoom, nameRun, nameStation } from './changes';
export { dropPart, partOf, wallOf } from './parts';
export { addSocket, moveSocket, removeSocket, socketMm } from './sockets';
export { tapeKey, tapeStep, tapeSteps, type TapeStep } from './tape';
export { findHidden, fixingsOf, ratedLoadG } from './hidden';
export { floorGaps } from './hidden-floor';
export { widestGap } from './hidden-inside';
export { HIDDEN_ROWS, type HiddenPlace } from './hidden-place';
export { acceptHidden } from './accept-hidden';
export { fitCatch, fitLock, pegsFor, raiseShelf, shelfOver } from './raise-shelf';
export { CABINET_FORMS_LIST, type CabinetForm } from './forms';
export {
	addCabinet,
	addObstruction,
	addRoom,
	changeObstruction,
	freeSpot,
	nextOffsetMm,
	placeStation,
	removeCabinet,
	removeObstruction,
	setInside,
	setOpening,
	type NewRoom,
	type Side
} from './edits';
export {
	SEATED,
	addPerson,
	addPet,
	changePerson,
	changePet,
	removePerson,
	removePet,
	USUAL_PEOPLE,
	type UsualPerson
} from './household';
export { isDamp } from './hidden-scene';
