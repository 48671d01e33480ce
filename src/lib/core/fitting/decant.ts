import { densityOf } from '../kinds';
import { pieceVolumeMl, type ContainerKind, type Thing } from '../model';
import { type Good, piecesOf } from '../standing';
import type { Fill } from './contents';
import type { FillOptions } from './filling';

/** Share of a pack that its contents fill when nothing is known of their density. */
const PACK_FULL = 0.75;

/**
 * Says how much room the contents of one pack take, ml: weighed by hand, else by the name, else from the pack's size.
 * @example contentsMl(flour of 2500 g) // 4545: at 0.55 g/ml
 */
export function contentsMl(
	thing: Pick<Thing, 'name' | 'massG' | 'piece' | 'densityGPerMl'>
): number {
	const density = thing.densityGPerMl ?? densityOf(thing.name);
	return density && thing.massG ? thing.massG / density : pieceVolumeMl(thing) * PACK_FULL;
}

/** A jar is filled to a little below its lid. */
const JAR_FULL = 0.95;
const ROUND = Math.PI / 4;

/** What a jar takes, ml. */
export const jarMl = ({ inner, shape }: ContainerKind): number =>
	((inner.widthMm * inner.depthMm * inner.heightMm) / 1000) *
	JAR_FULL *
	(shape === 'round' ? ROUND : 1);

/** A jar that is emptier than this is too large. */
const LEAST_FULL = 0.35;

/** Whether so much of something, ml, is what a jar is for: it takes all of it, and does not stay mostly empty. */
export const isFilledBy = (kind: ContainerKind, needsMl: number): boolean =>
	needsMl <= jarMl(kind) && needsMl >= jarMl(kind) * LEAST_FULL;

/**
 * Pours goods into jars of one kind: a jar takes one whole shop pack, and only one thing is in it; packs beyond the first
 * stay as they are. Nothing is poured in on top of what is left: the older is used up first.
 */
export function fillJars(kind: ContainerKind, goods: readonly Good[], options: FillOptions): Fill {
	const containers: { holds: Good[]; massG: number; heightMm: number }[] = [];
	const rest: Good[] = [];
	for (const good of goods) {
		const goes =
			isFilledBy(kind, contentsMl(good.thing)) &&
			kind.massG + good.thing.massG <= options.mostG &&
			kind.heightMm <= options.clearMm &&
			containers.length < options.mostContainers;
		if (!goes) {
			rest.push(good);
			continue;
		}
		containers.push({
			holds: [piecesOf(good, 1)],
			massG: kind.massG + good.thing.massG,
			heightMm: kind.heightMm
		});
		if (good.pieces > 1) rest.push(piecesOf(good, good.pieces - 1));
	}
	return { containers, rest };
}
