import { lastDayOfMonth, lotsIn, type HomeHead, type HomePart, type Lot } from '../model';
import { byFirstExpired, type Pick } from './picks';

/** What dates are kept by: each pack, or a section of a shelf for a month or a quarter of a year. */
export type DateSchool = HomeHead['schools']['dates'];
type BySection = Exclude<DateSchool, 'packs'>;

/** A section of a shelf: what is to be used up in one month, or one quarter. */
export interface DateSection {
	/** `2027-03` or `2027-Q1`; it sorts by time. */
	readonly key: string;
	/** First and last month, as YYYY-MM. */
	readonly from: string;
	readonly to: string;
	/** The date that all of it counts as due on, ISO: the last day of its first month, so that none is late. */
	readonly dueOn: string;
}

const MONTHS_OF: Readonly<Record<BySection, number>> = { month: 1, quarter: 3 };
const two = (n: number) => String(n).padStart(2, '0');

/** Finds the section that a date falls into. @example sectionOf('2027-02-11', 'quarter').key // '2027-Q1' */
export function sectionOf(on: string, school: BySection): DateSection {
	const [year = 0, month = 1] = on.split('-').map(Number);
	const span = MONTHS_OF[school];
	const first = Math.floor((month - 1) / span) * span + 1;
	return {
		key: school === 'month' ? `${year}-${two(month)}` : `${year}-Q${(first - 1) / 3 + 1}`,
		from: `${year}-${two(first)}`,
		to: `${year}-${two(first + span - 1)}`,
		dueOn: lastDayOfMonth(year, first)
	};
}

/** Lists the sections from that of a day on, so many of them. */
export function sectionsFrom(on: string, school: BySection, count: number): DateSection[] {
	const [year = 0, month = 1] = on.split('-').map(Number);
	return Array.from({ length: count }, (_, i) => {
		const at = month - 1 + i * MONTHS_OF[school];
		return sectionOf(`${year + Math.floor(at / 12)}-${two((at % 12) + 1)}-01`, school);
	});
}

/** Sections of a place that hold something, the nearest in front; each with its lots, what is undated last (null). */
export function sectionsOf(
	picks: readonly Pick[],
	school: BySection
): { readonly section: DateSection | null; readonly picks: readonly Pick[] }[] {
	const byKey = new Map<string, { section: DateSection | null; picks: Pick[] }>();
	for (const pick of [...picks].sort(byFirstExpired)) {
		const section = pick.date ? sectionOf(pick.date.on, school) : null;
		const key = section?.key ?? '~';
		const known = byKey.get(key);
		if (known) known.picks.push(pick);
		else byKey.set(key, { section, picks: [pick] });
	}
	return [...byKey].sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)).map(([, each]) => each);
}

/** The sections that a place has by the dates printed on what stands in it, the nearest first. */
export function sectionsIn(
	home: HomePart<'lots'>,
	nookId: string,
	school: BySection
): DateSection[] {
	const found = new Map<string, DateSection>();
	for (const { dates } of lotsIn(home, nookId) as readonly Lot[])
		if (dates.printed) {
			const section = sectionOf(dates.printed.on, school);
			found.set(section.key, section);
		}
	return [...found.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
}
