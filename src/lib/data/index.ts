export {
	openDatabase,
	DB_NAME,
	NoAnswer,
	type ChangeRow,
	type Db,
	type DbEvents,
	type FileHandle,
	type HistoryRow,
	type HomeRow,
	type PhotoRow
} from './database';
export {
	addHome,
	beginHome,
	bringBackHome,
	listHomes,
	loadHome,
	openStored,
	purgeHomes,
	putAwayHome,
	readRawHome,
	type AddResult,
	type LoadedHome,
	type LoadFailure,
	type LoadResult,
	type NewHome,
	type StoredHome
} from './homes';
export {
	CHANGES_LIMIT,
	changesSince,
	commit,
	HISTORY_LIMIT,
	type CommitResult,
	type Write
} from './commit';
export { listCommons, putCommon } from './commons';
export { openTabs, tellReplaced, type TabMessage, type Tabs } from './tabs';
export { DEMO_ID } from './demo-id';
export { dropKeptFile, getKeptFile, putKeptFile } from './kept-files';
export { getPhoto, listPhotos, putPhoto, sweepPhotos } from './photos';
export { troubleOf, type Trouble, type TroubleCode } from './trouble';
