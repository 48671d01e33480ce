import { activePlan, formatMoney, formatVolume, type Home } from '../core/model';
import {
	hoursByStage,
	knowing,
	materialsCost,
	monthsDone,
	resetsDue,
	workDone
} from '../core/upkeep';
import { spaceTotals } from '../core/survey';
import { dateText, minutesText, VERDICT_WORDS } from './clearing';
import { resetTitle, WORK_STAGE_WORDS } from './keeping';
import { countText, tenthsText, wholeText } from './numbers';

/** A report in words: headings with paragraphs and rows, to be written as Markdown or printed. */
export interface Report {
	readonly title: string;
	readonly under: string;
	readonly sections: readonly {
		readonly heading: string;
		readonly paragraphs: readonly string[];
		readonly rows: readonly (readonly string[])[];
	}[];
}

/** Writes what was done in a home, as an organizer tells it to a client. `today` is an ISO date. */
export function homeReport(home: Home, today: string): Report {
	const done = workDone(home);
	const money = (minor: number) => formatMoney(minor, home.currency);
	const plan = activePlan(home);
	const containers = Object.values(home.fitPlans).reduce(
		(sum, fit) => sum + fit.placements.length,
		0
	);
	const year = monthsDone(home, today).filter(({ used, wasted }) => used + wasted > 0);
	const used = year.reduce((sum, month) => sum + month.used, 0);
	const wasted = year.reduce((sum, month) => sum + month.wasted, 0);
	const due = resetsDue(home, today).slice(0, 12);
	const known = knowing(home);
	const space = spaceTotals(home);
	const sections: Report['sections'][number][] = [];
	const add = (
		heading: string,
		paragraphs: readonly string[],
		rows: readonly (readonly string[])[] = []
	) => {
		const said = paragraphs.filter(Boolean);
		if (said.length || rows.length) sections.push({ heading, paragraphs: said, rows });
	};
	if (home.note) add('In our words', home.note.split(/\n\s*\n/));
	add(
		'What was done',
		[
			done.sessions
				? `${countText(done.sessions, 'place')} cleared in ${minutesText(done.minutes)} of work.`
				: '',
			done.leftThings
				? `${wholeText(done.leftThings)} things left the house, ${formatVolume(done.leftMl)} of room won.`
				: '',
			done.lostMinor
				? `Thrown away for ${money(done.lostMinor)}: the price of what was past its date.`
				: ''
		],
		done.lines.map(({ verdict, things, volumeMl }) => [
			VERDICT_WORDS[verdict],
			wholeText(things),
			formatVolume(volumeMl)
		])
	);
	const { minor, unpriced } = materialsCost(home);
	add(
		'Hours and materials',
		[
			minor
				? `Materials for ${money(minor)}${unpriced ? `, and ${wholeText(unpriced)} without a price` : ''}.`
				: ''
		],
		hoursByStage(home).map(({ stage, minutes }) => [WORK_STAGE_WORDS[stage], minutesText(minutes)])
	);
	add('Where things live', [
		`${countText(Object.keys(home.nooks).length, 'place')} in ${countText(Object.keys(home.cabinets).length, 'cabinet')}, ${formatVolume(space.whole.usableMl)} of room.`,
		plan
			? `${countText(new Set(plan.assignments.map(({ groupId }) => groupId)).size, 'group')} have a place, planned ${dateText(plan.madeAt.slice(0, 10))}.`
			: '',
		containers ? `${countText(containers, 'container')} in use.` : ''
	]);
	if (used + wasted > 0)
		add('Stock', [
			`${wholeText(used)} packs used and ${tenthsText(wasted)} thrown out in the last ${countText(year.length, 'month')}: ${Math.round((wasted / (used + wasted)) * 100)} % went to waste.`
		]);
	// Of what nobody has begun, nothing is said.
	if (known.byPerson.some((person) => person.known > 0))
		add(
			'Who knows their way',
			[],
			known.byPerson.map(({ personId, known: count }) => [
				home.people[personId]?.name ?? '',
				`${count} of ${known.of}`
			])
		);
	add(
		'To keep it so',
		[],
		due.map(({ reset, dueOn }) => [
			resetTitle(home, reset),
			dateText(dueOn),
			home.people[reset.personId ?? '']?.name ?? ''
		])
	);
	return { title: home.name, under: `As of ${dateText(today)}`, sections };
}

const cell = (text: string) => text.replace(/\|/g, '\\|');
/** Writes a report as Markdown. */
export function reportMarkdown({ title, under, sections }: Report): string {
	const table = (rows: readonly (readonly string[])[]): string[] => {
		const [first] = rows;
		if (!first) return [];
		const line = (cells: readonly string[]) => `| ${cells.map(cell).join(' | ')} |`;
		return ['', line(first.map(() => '')), line(first.map(() => '---')), ...rows.map(line)];
	};
	return [
		`# ${title}`,
		'',
		under,
		...sections.flatMap(({ heading, paragraphs, rows }) => [
			'',
			`## ${heading}`,
			...paragraphs.flatMap((text) => ['', text]),
			...table(rows)
		]),
		''
	].join('\n');
}
