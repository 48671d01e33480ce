import { keepArrangement, keepArrangements, setBoxes, setBudget } from './save';
import { setShelves } from './shelf-heights';
import { buyContainers, sellAt, takeStandIn } from './shop-card';
import { setDensity } from './weigh-cup';
import { addUsualKinds, removeKind, saveKinds, setOwned } from './usual-kinds';

/** Every change that fitting makes to a home. */
export const FITTING_COMMANDS = {
	addUsualKinds,
	buyContainers,
	keepArrangement,
	keepArrangements,
	removeKind,
	saveKinds,
	sellAt,
	setBoxes,
	setBudget,
	setDensity,
	setOwned,
	setShelves,
	takeStandIn
} as const;
