import { ROW_DEPTH_MM, type GroupFigures } from '../grouping';
import { frontTaken, goodsOf, type Clear, type FrontTaken } from '../standing';

/** Answers by figures and by what a place leaves clear; both are made anew when they change. */
const known = new WeakMap<GroupFigures, WeakMap<Clear, FrontTaken>>();

/**
 * Gives the front that what a group or a part holds takes in a place: by its pieces as they stand under that height. A
 * front run that was set by hand holds, whatever the pieces.
 * @example frontOf(figuresOf(eightTins), shelf300Deep).frontMm // 75: four piles of two
 */
export function frontOf(figures: GroupFigures, clear: Clear): FrontTaken {
	if (figures.overridden.has('runMm')) {
		const frontMm = (figures.runMm * ROW_DEPTH_MM) / clear.depthMm;
		return { frontMm, deepMm: 0, sideMm: clear.isSeenFromAbove ? 0 : frontMm };
	}
	let own = known.get(figures);
	if (!own) known.set(figures, (own = new WeakMap()));
	let front = own.get(clear);
	if (!front) own.set(clear, (front = frontTaken(goodsOf(figures.holdings), clear)));
	return front;
}
