import { z } from 'zod';
import rows from '../../../../data/container-kinds.json';
import { ContainerKind, KindId, type Edit, type Home } from '../model';
import { checkKind } from './kind-checks';
import { openPurchase } from './save';

/** A row of the data: what most containers are is left out. */
const Row = ContainerKind.omit({ owned: true, shop: true }).extend({
	cells: ContainerKind.shape.cells.default(1),
	cutTo: ContainerKind.shape.cutTo.default(null),
	look: ContainerKind.shape.look.default(''),
	soldBy: ContainerKind.shape.soldBy.default(1)
});

/** Sizes of container that are usually to be had, with a usual price; none of them owned. */
export const USUAL_KINDS: readonly ContainerKind[] = z
	.array(Row)
	.parse(rows)
	.map((row) => ({ ...row, shop: '', owned: 0 }));

/** Makes the edit that gives a home the usual kinds it does not have yet; those it has stay as they are. */
export function addUsualKinds(): Edit {
	return (draft) => {
		for (const kind of USUAL_KINDS) draft.containerKinds[kind.id] ??= { ...kind };
		openPurchase(draft as Home);
	};
}

/** Makes the edit that says how many of a kind the house has. */
export function setOwned(kindId: string, owned: number): Edit {
	return (draft) => {
		const kind = draft.containerKinds[kindId];
		const count = Math.max(0, Math.min(1000, Math.round(owned)));
		if (!kind || kind.owned === count) return;
		kind.owned = count;
		openPurchase(draft as Home);
	};
}

/** A new open bin, as most containers are: what is not known of it is usual. */
export const plainKind = (id: string): ContainerKind => ({
	id: KindId.parse(id),
	name: '',
	role: 'bin',
	shape: 'box',
	outerTop: { widthMm: 0, depthMm: 0 },
	outerBase: { widthMm: 0, depthMm: 0 },
	inner: { widthMm: 0, depthMm: 0, heightMm: 0 },
	heightMm: 0,
	massG: 300,
	lid: false,
	stack: false,
	nest: false,
	clear: false,
	airtight: false,
	turn: true,
	cells: 1,
	cutTo: null,
	look: '',
	priceMinor: 0,
	soldBy: 1,
	shop: '',
	owned: 1
});

/** A kind like another one, under a name of its own; the house has none of it yet. */
export const copyOfKind = (kind: ContainerKind, id: string): ContainerKind => ({
	...kind,
	id: KindId.parse(id),
	name: `${kind.name}, copy`.slice(0, MOST_WORDS),
	owned: 0
});
const MOST_WORDS = 200;

/**
 * Makes the edit that saves kinds of container, new ones and changed ones; one that is not sound as it is (`checkKind`)
 * changes nothing.
 */
export function saveKinds(kinds: readonly ContainerKind[]): Edit {
	return (draft) => {
		for (const kind of kinds)
			if (kind.name.trim() && !checkKind(kind).length) {
				draft.containerKinds[kind.id] = structuredClone(kind);
				openPurchase(draft as Home);
			}
	};
}

/** Makes the edit that takes a kind out of the home; what stood in such containers is to be fitted again. */
export function removeKind(kindId: string): Edit {
	return (draft) => {
		delete draft.containerKinds[kindId];
		openPurchase(draft as Home);
	};
}
