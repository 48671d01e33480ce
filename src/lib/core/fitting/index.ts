export {
	DEFAULT_FLOOR,
	overlaps,
	packFloor,
	standsBefore,
	type FloorItem,
	type FloorPlace,
	type Rect
} from './floor';
export { wantsOf, type Want } from './wants';
export { fittable, pastIn, pastLots } from './past';
export { roomOf, type Good, type NookRoom, type Packing } from '../standing';
export { holdOptions } from './options';
export { containersOf, type Holder, type HoldOption } from './hold-option';
export { fillContainers, type Fill } from './contents';
export type { Filled, FillOptions } from './filling';
export { contentsMl, jarMl } from './decant';
export { largestGapMm, leastWidthMm } from './largest-gap';
export { whyNoJar, type NoJar } from './why-no-jar';
export { isPoured } from './wants';
export { fitNook, type Arrangement, type FitResult, type LeftOver } from './fit';
export { nearestHolder, type Nearest, type TooBig } from './too-big';
export { fitRounds, fitTogether, type HomeFit } from './fit-home';
export { isFirstLook, type FitRounds, type FitTask } from './rounds';
export { looksOf, roomOfNook, suitsLook } from './looks';
export { lookRounds, looksToPrice, plannedInRoom, priceLooks, type LookPrice } from './price-looks';
export { buyFirst, type BuyFirst } from './buy-first';
export { standsBehind } from './behind';
export { checkContents, type ContentsFault } from './check-contents';
export {
	movedByHand,
	partBoxes,
	placeByHand,
	type HandMove,
	type PartBox,
	type Stood
} from './by-hand';
export { checkFit, rectOf, type FitViolation } from './check-fit';
export {
	keepArrangement,
	keepArrangements,
	keptFits,
	keptOf,
	setBoxes,
	setLids,
	setHolder,
	setBudget,
	type KeptArrangement,
	type KeptFit
} from './save';
export { holdersOf, isDecanted, isRaw } from './wants';
export { fitFingerprint, ownedLeft } from './owned';
export {
	setShelves,
	setShelvesFor,
	shelfColumn,
	type ShelfMove,
	type ShelfSetting
} from './shelf-heights';
export type { ArrangementName } from './styles';
export {
	addUsualKinds,
	copyOfKind,
	plainKind,
	removeKind,
	saveKinds,
	setOwned,
	USUAL_KINDS
} from './usual-kinds';
export { checkKind, type KindIssue } from './kind-checks';
export { outerOf, standingKind, withOuter, type OuterSize } from './kind-sizes';
export {
	KIND_FIELDS,
	kindColumns,
	readKinds,
	type KindColumns,
	type KindField,
	type KindRow,
	type RowIssue
} from './kinds-table';
export {
	buyContainers,
	kindLike,
	byShop,
	shopCard,
	standInsFor,
	takeStandIn,
	type FoundSize,
	type ShopCard,
	type ShopLine,
	type ShopPlace,
	type StandIn
} from './shop-card';
export { heightLeft, type HeightReason } from './height-left';
export { lidsOf, type LidsChoice } from './lids';
export { elsewhereFor, type Elsewhere } from './elsewhere';
export { FITTING_COMMANDS } from './commands';
export { cupDensity, type Cup, type CupIssue } from './weigh-cup';
export {
	cutFloor,
	partLines,
	partOffers,
	SMALL_PARTS,
	type Cut,
	type PartFor,
	type PartLine,
	type PartOffer,
	type PartReason,
	type SoldPart
} from './small-parts';
