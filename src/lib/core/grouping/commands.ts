import { idsFrom, withStem } from '../model';
import { takeChanges } from './changes';
import { changeThing, setUser } from './change-thing';
import {
	joinGroups,
	keepSparesApart,
	keepSparesTogether,
	moveThings,
	releaseGroup,
	renameGroup,
	setOverride,
	setPartner,
	splitOff
} from './edits';
import { takePartners } from './partners';

/** Every change that sorting makes to a home. */
export const GROUPING_COMMANDS = {
	changeThing,
	joinGroups,
	keepSparesApart: withStem(keepSparesApart, idsFrom),
	keepSparesTogether,
	moveThings,
	releaseGroup,
	renameGroup,
	setOverride,
	setPartner,
	setUser,
	splitOff,
	takeChanges: withStem(takeChanges, idsFrom),
	takePartners
} as const;
