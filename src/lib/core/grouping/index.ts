export {
	allGroupFigures,
	frontRunMm,
	groupFigures,
	holdingsByGroup,
	PILE_MM,
	ROW_DEPTH_MM,
	type GroupFigures,
	type Holding
} from './aggregate';
export { moveThing, proposeGroups, tagCode } from './propose';
