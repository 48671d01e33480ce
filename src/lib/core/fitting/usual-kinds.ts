import { z } from 'zod';
import rows from '../../../../data/container-kinds.json';
import { ContainerKind, KindId, type Edit } from '../model';

/** Sizes of container that are usually to be had, with a usual price; none of them owned. */
export const USUAL_KINDS: readonly ContainerKind[] = z
	.array(ContainerKind.omit({ owned: true }))
	.parse(rows)
	.map((row) => ({ ...row, owned: 0 }));

/** Makes the edit that gives a home the usual kinds it does not have yet; those it has stay as they are. */
export function addUsualKinds(): Edit {
	return (draft) => {
		for (const kind of USUAL_KINDS) draft.containerKinds[kind.id] ??= { ...kind };
	};
}

/** Makes the edit that says how many of a kind the house has. */
export function setOwned(kindId: string, owned: number): Edit {
	return (draft) => {
		const kind = draft.containerKinds[kindId];
		if (kind) kind.owned = Math.max(0, Math.min(1000, Math.round(owned)));
	};
}

export interface NewKind {
	readonly id: string;
	readonly name: string;
	readonly widthMm: number;
	readonly depthMm: number;
	readonly heightMm: number;
	readonly owned: number;
}

/** Wall of an open bin whose inside was not measured, mm. */
const WALL_MM = 3;

/** Makes the edit that adds a container of the house by its outer size: an open bin that may be turned. */
export function addOwnBin({ id, name, widthMm, depthMm, heightMm, owned }: NewKind): Edit {
	const inside = (mm: number) => Math.max(1, mm - 2 * WALL_MM);
	const size = { widthMm, depthMm };
	return (draft) => {
		const kindId = KindId.parse(id);
		draft.containerKinds[kindId] = {
			id: kindId,
			name,
			role: 'bin',
			shape: 'box',
			outerTop: size,
			outerBase: { ...size },
			inner: { widthMm: inside(widthMm), depthMm: inside(depthMm), heightMm: inside(heightMm) },
			heightMm,
			massG: 300,
			lid: false,
			stack: false,
			nest: false,
			clear: false,
			airtight: false,
			turn: true,
			priceMinor: 0,
			owned
		};
	};
}
