import { allGroupFigures, holdingsByGroup, type Holding } from '../grouping';
import { categoryOf, pieceVolumeMl, type ContainerKind, type Home, type Thing } from '../model';

/** What one group wants from a nook. */
export interface Want {
	readonly groupId: string;
	readonly usesPerWeek: number;
	/** Kinds of container that suit it, best first; empty: it stands free. */
	readonly roles: readonly ContainerKind['role'][];
	readonly goods: readonly Good[];
}
export interface Good {
	readonly thing: Thing;
	readonly pieces: number;
	readonly volumeMl: number;
	readonly massG: number;
}

/**
 * Shares out a group over its nooks in whole pieces: each piece goes where the middle of its volume falls, in the
 * order of the plan, so that the parts of a split group hold every piece once.
 */
export function shareOut(held: readonly Holding[], from: number, to: number): Good[] {
	const total =
		held.reduce((sum, { thing, pieces }) => sum + pieceVolumeMl(thing) * pieces, 0) || 1;
	let before = 0;
	return held.flatMap(({ thing, pieces }) => {
		const each = pieceVolumeMl(thing) / total;
		let count = 0;
		for (let i = 0; i < pieces; i++) {
			const middle = before + (i + 0.5) * each;
			if (middle >= from - 1e-9 && middle < to - 1e-9) count++;
		}
		before += pieces * each;
		if (!count) return [];
		return [
			{ thing, pieces: count, volumeMl: pieceVolumeMl(thing) * count, massG: thing.massG * count }
		];
	});
}

function rolesOf(home: Home, things: readonly Thing[]): ContainerKind['role'][] {
	const roles = [...new Set(things.flatMap((thing) => categoryOf(thing.category).holders))];
	return home.schools.boxes === 'decant' ? roles : roles.filter((role) => role !== 'jar');
}

/** Lists what the groups of a zone plan want from one nook, the most used first; ties by id. */
export function wantsOf(home: Home, nookId: string): Want[] {
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	const holdings = holdingsByGroup(home);
	const figures = new Map(allGroupFigures(home).map((f) => [f.groupId, f]));
	const before = new Map<string, number>();
	return (plan?.assignments ?? [])
		.map((assignment) => {
			const from = before.get(assignment.groupId) ?? 0;
			before.set(assignment.groupId, from + assignment.share);
			return { ...assignment, from };
		})
		.filter((assignment) => assignment.nookId === nookId)
		.map(({ groupId, share, from }) => {
			const held = (holdings.get(groupId) ?? []).filter((holding) => holding.pieces > 0);
			const goods = shareOut(held, from, from + share);
			return {
				groupId: groupId as string,
				usesPerWeek: (figures.get(groupId)?.usesPerWeek ?? 0) * share,
				roles: rolesOf(
					home,
					goods.map(({ thing }) => thing)
				),
				goods
			};
		})
		.filter(({ goods }) => goods.length > 0)
		.sort((a, b) => b.usesPerWeek - a.usesPerWeek || (a.groupId < b.groupId ? -1 : 1));
}
