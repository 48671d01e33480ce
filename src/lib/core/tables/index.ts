export { matchColumns, readTable, type Field, type Table, type TableResult } from './read-table';
