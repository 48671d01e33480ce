import { takeGroup } from './compare';
import { adoptPlan, learnUntil, movePart, moveThing, setBelongs, togglePin } from './edits';
import { doMove } from './move-order';
import { noteProof } from './prove-plan';

/** Every change that placing makes to a home. */
export const ZONING_COMMANDS = {
	adoptPlan,
	doMove,
	learnUntil,
	movePart,
	moveThing,
	noteProof,
	setBelongs,
	takeGroup,
	togglePin
} as const;
