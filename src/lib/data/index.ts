export {
	openDatabase,
	DB_NAME,
	type Db,
	type DbEvents,
	type HistoryRow,
	type HomeRow,
	type PhotoRow
} from './database';
export {
	deleteHome,
	HISTORY_LIMIT,
	listHomes,
	loadHome,
	putHome,
	writeChange,
	type LoadedHome,
	type LoadResult,
	type Write,
	type WriteResult
} from './homes';
export { openTabs, type TabMessage, type Tabs } from './tabs';
export { DEMO_ID } from './demo-id';
export { getPhoto, listPhotos, putPhoto, putPhotos } from './photos';
