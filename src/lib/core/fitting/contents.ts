import { pieceVolumeMl, type ContainerKind, type Thing } from '../model';
import { piecesOf, type Good } from '../standing';
import { Filling, smallIn, type Filled, type FillOptions } from './filling';

export interface Fill {
	readonly containers: readonly Filled[];
	/** What such a container does not take, or what is over the most of them. */
	readonly rest: readonly Good[];
}

/** Each kind of these has a compartment of its own: forks do not lie among knives. */
const BY_THEMSELVES = new Set(['kitchen.cutlery', 'kitchen.knives']);
export const isByItself = ({ thing }: Good): boolean => BY_THEMSELVES.has(thing.category);

/** Wall between two compartments, mm. */
const CELL_WALL_MM = 2;
/** One compartment of a container, as a container by itself. */
export const cellOf = (kind: ContainerKind): ContainerKind =>
	kind.cells === 1
		? kind
		: {
				...kind,
				cells: 1,
				massG: 0,
				inner: {
					...kind.inner,
					widthMm: Math.floor((kind.inner.widthMm - (kind.cells - 1) * CELL_WALL_MM) / kind.cells)
				}
			};

/** A container by what is in its compartments. */
export const withCells = (kind: ContainerKind, cells: readonly Filled[]): Filled =>
	kind.cells === 1
		? cells[0]!
		: {
				holds: together(cells.flatMap(({ holds }) => holds)),
				massG: kind.massG + cells.reduce((sum, { massG }) => sum + massG, 0),
				heightMm: Math.max(...cells.map(({ heightMm }) => heightMm))
			};

/** Each thing once, with all its pieces. */
export function together(goods: readonly Good[]): Good[] {
	const byThing = new Map<Thing, Good>();
	for (const good of goods) {
		const known = byThing.get(good.thing);
		byThing.set(good.thing, known ? piecesOf(good, known.pieces + good.pieces) : good);
	}
	return [...byThing.values()];
}

/**
 * Fills containers of one kind with goods piece by piece, the bulkiest first: every piece is set down on a level of its own
 * container, turned or laid as its kind may, or poured in where it is small, and compartment by compartment where it has any;
 * a container more is begun when all of one are taken. What the kind does not take, or what is over, is the rest.
 * Deterministic.
 * @example fillContainers(binOf12Bottles, [{ pieces: 17, … }], options).containers.length // 2
 */
export function fillContainers(
	kind: ContainerKind,
	goods: readonly Good[],
	options: FillOptions
): Fill {
	const { cells } = kind;
	const cell = cellOf(kind);
	const isSmall = smallIn(cell, options.clearMm);
	const fillings: Filling[] = [];
	const rest: Good[] = [];
	const order = [...goods].sort(
		(a, b) =>
			(options.isByDue ? (a.due < b.due ? 1 : a.due > b.due ? -1 : 0) : 0) ||
			Number(isSmall(a.thing)) - Number(isSmall(b.thing)) ||
			pieceVolumeMl(b.thing) - pieceVolumeMl(a.thing) ||
			(a.thing.id < b.thing.id ? -1 : 1)
	);
	for (const good of order) {
		let left = good.pieces;
		const isApart = isByItself(good);
		for (const filling of fillings) {
			if (!left || isApart) break;
			if (filling.isClosed) continue;
			left -= filling.add(piecesOf(good, left));
		}
		while (left && fillings.length < options.mostContainers * cells) {
			const filling = new Filling(cell, options, isSmall, isApart);
			left -= filling.add(piecesOf(good, left));
			if (filling.isEmpty) break;
			fillings.push(filling);
		}
		if (left) rest.push(piecesOf(good, left));
	}
	const filled = fillings.map((filling) => filling.done());
	const containers = Array.from({ length: Math.ceil(filled.length / cells) }, (_, i) =>
		withCells(kind, filled.slice(i * cells, (i + 1) * cells))
	);
	return { containers, rest };
}
