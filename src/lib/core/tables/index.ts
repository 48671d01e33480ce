export {
	matchColumns,
	plainCell,
	readTable,
	type Field,
	type Table,
	type TableResult
} from './read-table';
