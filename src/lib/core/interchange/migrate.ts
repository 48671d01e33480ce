import { HOME_VERSION } from '../model';
import { toVersion2 } from './to-version-2';
import { toVersion3 } from './to-version-3';
import { toVersion4 } from './to-version-4';
import { toVersion5 } from './to-version-5';
import { toVersion6 } from './to-version-6';
import { toVersion7 } from './to-version-7';
import { toVersion8 } from './to-version-8';
import { toVersion9 } from './to-version-9';
import { toVersion10 } from './to-version-10';
import { toVersion11 } from './to-version-11';
import { toVersion12 } from './to-version-12';
import { toVersion13 } from './to-version-13';

/** Carries a home of one version to the next; pure, and takes nothing away that the next version keeps. */
export type Migration = (home: unknown) => unknown;

/** The step from version N stands at index N − 1. */
export const MIGRATIONS: readonly Migration[] = [
	toVersion2,
	toVersion3,
	toVersion4,
	toVersion5,
	toVersion6,
	toVersion7,
	toVersion8,
	toVersion9,
	toVersion10,
	toVersion11,
	toVersion12,
	toVersion13
];

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
