import { groupBy, memoOn, type Cabinet, type Run } from '../model';

const byRun = memoOn(['cabinets'], ({ cabinets }) =>
	groupBy(Object.values(cabinets), ({ runId }): string => runId)
);

/** The cabinets of a wall, in the order of the records. */
export const cabinetsOn = (home: Parameters<typeof byRun>[0], runId: string): readonly Cabinet[] =>
	byRun(home).get(runId) ?? [];

/** All walls, the one with the most cabinets first; ties in the order of the records. */
export const wallsByFullness = memoOn(['runs', 'cabinets'], (home): readonly Run[] =>
	Object.values(home.runs).sort(
		(a, b) => cabinetsOn(home, b.id).length - cabinetsOn(home, a.id).length
	)
);

/** The walls that something stands on, the fullest first. */
export const wallsInUse = memoOn(['runs', 'cabinets'], (home): readonly Run[] =>
	wallsByFullness(home).filter(({ id }) => cabinetsOn(home, id).length > 0)
);
