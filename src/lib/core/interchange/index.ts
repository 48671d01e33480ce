export {
	carryUp,
	Exchange,
	HomeFile,
	homeJsonSchema,
	MAX_FILE_BYTES,
	parseHome,
	readHomeFile,
	repairHomeFile,
	writeHomeFile,
	type FileIssue,
	type FileResult
} from './home-file';
export { migrate, MIGRATIONS, type Migration } from './migrate';
export { repairHome, type Mend, type Repaired } from './repair';
export { isZip, MAX_BACKUP_BYTES, MAX_PHOTO_BYTES, MAX_ZIP_BYTES } from './zip-limits';
