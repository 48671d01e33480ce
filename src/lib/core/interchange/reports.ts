import Papa from 'papaparse';
import type { HomeTally, PlaceTally, TallyLine } from '../clearing';
import type { Home, Verdict } from '../model';

/** Words and signs that a report needs from outside of core. */
export interface ReportWords {
	readonly verdict: Readonly<Record<Verdict, string>>;
	readonly volume: (ml: number) => string;
	readonly money: (minor: number) => string;
	readonly minutes: (minutes: number) => string;
}

/** Writes rows as CSV; cells that a spreadsheet would run as a formula are escaped. */
export const toCsv = (rows: readonly (readonly (string | number)[])[]): string =>
	Papa.unparse(rows as (string | number)[][], { escapeFormulae: true, newline: '\r\n' });

const placeName = (home: Home, nookId: string | null) =>
	(nookId && home.nooks[nookId]?.name) || 'On the table';
const litres = (ml: number) => Number((ml / 1000).toFixed(2));

/**
 * Writes a tally as CSV: a row for each place and verdict, and one in all; litres, minor units of money and minutes
 * as plain numbers. A place without decisions has one row with an empty verdict.
 */
export function tallyCsv(home: Home, { places, whole }: HomeTally, words: ReportWords): string {
	const head = [
		'place',
		'verdict',
		'things',
		'litres',
		'money lost',
		'planned min',
		'taken min',
		'litres before',
		'litres after'
	];
	const rowsOf = (name: string, sum: Omit<PlaceTally, 'nookId'>) => {
		const none: TallyLine[] = sum.lines.length ? [...sum.lines] : [];
		const shared = [
			Math.round(sum.plannedMin),
			Math.round(sum.takenMin),
			litres(sum.beforeMl),
			litres(sum.afterMl)
		];
		return none.length
			? none.map((line) => [
					name,
					words.verdict[line.verdict],
					line.things,
					litres(line.volumeMl),
					line.lostMinor / 100,
					...shared
				])
			: [[name, '', 0, 0, 0, ...shared]];
	};
	return toCsv([
		head,
		...places.flatMap((place) => rowsOf(placeName(home, place.nookId), place)),
		...rowsOf('The whole home', whole)
	]);
}

/** Takes away what would be read as a mark of a table or a heading. */
const plain = (text: string) =>
	text.replace(/[\\|`*_#<>[\]]/g, (sign) => `\\${sign}`).replace(/\s+/g, ' ');

/** Writes a tally as a Markdown page with a table. */
export function tallyMarkdown(
	home: Home,
	{ places, whole }: HomeTally,
	words: ReportWords,
	title: string
): string {
	const linesOf = (lines: readonly TallyLine[]) =>
		lines
			.map(
				(line) =>
					`${words.verdict[line.verdict]} ${line.things} (${words.volume(line.volumeMl)}${
						line.lostMinor ? `, ${words.money(line.lostMinor)}` : ''
					})`
			)
			.join('; ') || '–';
	const row = (name: string, sum: Omit<PlaceTally, 'nookId'>) =>
		`| ${plain(name)} | ${linesOf(sum.lines)} | ${words.volume(sum.beforeMl)} → ${words.volume(
			sum.afterMl
		)} | ${words.minutes(sum.plannedMin)} / ${words.minutes(sum.takenMin)} |`;
	return [
		`# ${plain(title)}`,
		'',
		'| Place | Decided | Room taken, before → after | Planned / taken |',
		'| --- | --- | --- | --- |',
		...places.map((place) => row(placeName(home, place.nookId), place)),
		row('The whole home', whole),
		''
	].join('\n');
}
