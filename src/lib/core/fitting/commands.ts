import { keepArrangement, keepArrangements, setBoxes, setBudget, setHolder, setLids } from './save';
import { setShelves } from './shelf-heights';
import { buyContainers, sellAt, takeStandIn } from './shop-card';
import { buyParts, dropPart, wantPart } from './small-parts';
import { setDensity } from './weigh-cup';
import { addUsualKinds, removeKind, saveKinds, setOwned } from './usual-kinds';

/** Every change that fitting makes to a home. */
export const FITTING_COMMANDS = {
	addUsualKinds,
	buyContainers,
	buyParts,
	dropPart,
	keepArrangement,
	keepArrangements,
	removeKind,
	saveKinds,
	sellAt,
	setBoxes,
	setLids,
	setBudget,
	setDensity,
	setHolder,
	setOwned,
	setShelves,
	takeStandIn,
	wantPart
} as const;
