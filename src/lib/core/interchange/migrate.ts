import { HOME_VERSION } from '../model';

/** Carries a home of one version to the next; pure, and takes nothing away that the next version keeps. */
export type Migration = (home: unknown) => unknown;

/** The step from version N stands at index N − 1. Version 1 is the first, so the ladder has no step yet. */
export const MIGRATIONS: readonly Migration[] = [];

/** Carries a home up the ladder to today's version, for files and for the database alike. */
export function migrate(
	home: unknown,
	from: number,
	steps: readonly Migration[] = MIGRATIONS,
	to = HOME_VERSION
): unknown {
	let carried = home;
	for (let version = Math.max(1, from); version < to; version++) {
		const step = steps[version - 1];
		if (!step) throw new Error(`No migration from version ${version}; add it to MIGRATIONS.`);
		carried = step(carried);
	}
	return carried;
}
