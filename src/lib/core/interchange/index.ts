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
export { tallyCsv, tallyMarkdown, toCsv, type ReportWords } from './reports';
