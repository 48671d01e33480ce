export { conflictKey, mergeHomes, mergeIn, type HomeMerge, type MergedRecord } from './merge-homes';
export { isSame, mergeValue, type Choice, type FieldConflict, type Plain } from './merge-value';
