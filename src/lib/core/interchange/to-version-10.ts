import { withMore, type Row } from './with-more';

/**
 * Carries a home from version 9 to 10: where it is and when its week begins, pictures of before and after, hours and materials, and what
 * was printed on each label.
 */
export function toVersion10(home: unknown): unknown {
	const from = home as Row;
	return {
		pictures: {},
		workTimes: {},
		materials: {},
		labelWords: {},
		printed: {},
		...from,
		containerKinds: withMore(from.containerKinds, () => ({ shop: '' })),
		customs: {
			region: null,
			paper: 'A4',
			weekStart: 'monday',
			...(from.customs as Row | undefined)
		}
	};
}
