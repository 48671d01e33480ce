import { keepArrangement, keepArrangements, setBoxes, setBudget } from './save';
import { setShelves } from './shelf-heights';
import { buyContainers, takeStandIn } from './shop-card';
import { addOwnBin, addUsualKinds, setOwned } from './usual-kinds';

/** Every change that fitting makes to a home. */
export const FITTING_COMMANDS = {
	addOwnBin,
	addUsualKinds,
	buyContainers,
	keepArrangement,
	keepArrangements,
	setBoxes,
	setBudget,
	setOwned,
	setShelves,
	takeStandIn
} as const;
