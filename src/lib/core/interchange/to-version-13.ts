import { inEach, withMore, type Row } from './with-more';

/**
 * Carries a home from version 12 to 13: a catch and a lock are told apart. Version 12 had one field for both, set most often
 * by "Catch fitted"; what may be no more than a catch is one until somebody says that it locks. The purchase of containers
 * is not open again.
 */
export function toVersion13(home: unknown): unknown {
	const from = home as Row;
	const guards = ({ lockable, locked }: Row) => lockable === true || locked === true;
	return {
		...from,
		settings: { purchaseOpen: false, ...(from.settings as Row) },
		cabinets: inEach(
			withMore(from.cabinets, (row) => ({ childCatch: guards(row) })),
			() => ({ lockable: false })
		),
		nooks: inEach(
			withMore(from.nooks, (row) => ({ childCatch: guards(row) })),
			() => ({ locked: false })
		)
	};
}
