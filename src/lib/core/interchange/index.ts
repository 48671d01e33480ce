export {
	HomeFile,
	homeJsonSchema,
	MAX_FILE_BYTES,
	parseHome,
	readHomeFile,
	writeHomeFile,
	type FileIssue,
	type FileResult
} from './home-file';
export { migrate, MIGRATIONS, type Migration } from './migrate';
export { brokenLinks } from './links';
export { isZip, MAX_PHOTO_BYTES, MAX_ZIP_BYTES } from './zip-limits';
