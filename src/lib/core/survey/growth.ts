import type { Person } from '../model';

/** Usual stature by age in years, mm, girls and boys together (rounded from public growth references). */
const STATURE_MM: readonly number[] = [
	650, 750, 870, 955, 1025, 1090, 1155, 1215, 1275, 1330, 1385, 1440, 1500, 1560, 1615, 1650, 1675,
	1690, 1700
];
const BANDS: readonly (readonly [number, Person['ageBand']])[] = [
	[4, 'toddler'],
	[13, 'child'],
	[18, 'teen'],
	[65, 'adult'],
	[Infinity, 'older']
];

/**
 * Gives the age band and the usual stature of somebody by their age in years, until they are measured.
 * @example byAge(9) // { ageBand: 'child', statureMm: 1330 }
 */
export function byAge(years: number): Pick<Person, 'ageBand' | 'statureMm'> {
	const whole = Math.max(0, Math.floor(years));
	return {
		ageBand: BANDS.find(([below]) => whole < below)![1],
		statureMm: STATURE_MM[Math.min(whole, STATURE_MM.length - 1)]!
	};
}
