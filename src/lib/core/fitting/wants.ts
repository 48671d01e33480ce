import { allGroupFigures } from '../grouping';
import { categoryOf, pieceVolumeMl, type ContainerKind, type Home, type Thing } from '../model';
import { placesOfLots, type LotShare } from '../zoning';

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

/** Gathers what of a group has its place in one nook, thing by thing. */
function goodsOf(shares: readonly LotShare[]): Good[] {
	const goods = new Map<string, Good>();
	for (const { thing, pieces } of shares) {
		const all = pieces + (goods.get(thing.id)?.pieces ?? 0);
		goods.set(thing.id, {
			thing,
			pieces: all,
			volumeMl: pieceVolumeMl(thing) * all,
			massG: thing.massG * all
		});
	}
	return [...goods.values()].sort((a, b) => (a.thing.id < b.thing.id ? -1 : 1));
}

function rolesOf(home: Home, things: readonly Thing[]): ContainerKind['role'][] {
	const roles = [...new Set(things.flatMap((thing) => categoryOf(thing.category).holders))];
	return home.schools.boxes === 'decant' ? roles : roles.filter((role) => role !== 'jar');
}

/** Lists what the groups of a zone plan want from one nook, the most used first; ties by id. */
export function wantsOf(home: Home, nookId: string): Want[] {
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	const figures = new Map(allGroupFigures(home).map((f) => [f.groupId, f]));
	const assignments = plan?.assignments ?? [];
	return assignments
		.filter((assignment) => assignment.nookId === nookId)
		.map(({ groupId, share }) => {
			const goods = goodsOf(
				placesOfLots(home, groupId, assignments).filter((part) => part.nookId === nookId)
			);
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
