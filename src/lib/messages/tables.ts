import type { StockField, StockIssue } from '../core/clearing/stock-table';

export const STOCK_FIELD_WORDS: Readonly<Record<StockField, string>> = {
	name: 'Name',
	count: 'Count',
	unit: 'Unit',
	place: 'Place',
	cabinet: 'Cabinet',
	useBy: 'Use by',
	bestBefore: 'Best before',
	opened: 'Opened on',
	frozen: 'Frozen on',
	thawed: 'Thawed on',
	made: 'Made on',
	price: 'Price of one',
	category: 'Kind',
	states: 'State',
	owner: 'Whose it is',
	batch: 'Batch'
};

/** Says what is wrong with a row, and what becomes of it. */
export function stockIssueText(issue: StockIssue): string {
	switch (issue.code) {
		case 'no-name':
			return 'It has no name. It is left out.';
		case 'bad-count':
			return `“${issue.text}” is no count. Write a number above 0.`;
		case 'bad-unit':
			return `“${issue.text}” is no unit. Write pack, g, piece or meal.`;
		case 'bad-price':
			return `“${issue.text}” is no price.`;
		case 'bad-date':
			return `“${issue.text}” is no date (${STOCK_FIELD_WORDS[issue.field].toLowerCase()}). Write it as 2027-03-31.`;
		case 'unknown-place':
			return `There is no place “${issue.text}” here. It goes on the table.`;
	}
}
