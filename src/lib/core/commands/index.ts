import { CLEARING_COMMANDS } from '../clearing';
import { FITTING_COMMANDS } from '../fitting';
import { GROUPING_COMMANDS } from '../grouping';
import { leaveBare, nameLabel, notePrinted } from '../marking';
import { mergeIn } from '../merge';
import { commandsOf, type CommandOf } from '../model';
import { ROTATION_COMMANDS } from '../rotation';
import { SURVEY_COMMANDS } from '../survey';
import { UPKEEP_COMMANDS } from '../upkeep';
import { ZONING_COMMANDS } from '../zoning';
import {
	changeCustoms,
	changeHome,
	settleIn,
	changeLabels,
	changeShop,
	chooseSchools,
	planClearDay
} from './settings';
import { takeBack } from './take-back';

/**
 * Every change a person can make to a home, by name. Its arguments are plain data (`Plain`), so that the change can be
 * made again on a newer home: after another tab's, after a reload of the store, after a write that failed.
 */
export const COMMANDS = {
	...SURVEY_COMMANDS,
	...CLEARING_COMMANDS,
	...GROUPING_COMMANDS,
	...ZONING_COMMANDS,
	...FITTING_COMMANDS,
	...UPKEEP_COMMANDS,
	leaveBare,
	mergeIn,
	nameLabel,
	notePrinted,
	...ROTATION_COMMANDS,
	takeBack,
	changeCustoms,
	changeHome,
	changeLabels,
	changeShop,
	settleIn,
	chooseSchools,
	planClearDay
} as const;

export type CommandName = keyof typeof COMMANDS;
export type ArgsOf<Name extends CommandName> = Parameters<(typeof COMMANDS)[Name]>;
export type Command = CommandOf<typeof COMMANDS>;

/**
 * `command` writes down a change, `editOf` makes the edit of it.
 * @example editOf(command('setInside', 'shelf-1', 'widthMm', 597))
 */
export const { make: command, editOf } = commandsOf(COMMANDS);
