export interface TagBox {
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly h: number;
}
export interface TagLayout {
	/** Whether there is room for the nook's name above the tags. */
	readonly named: boolean;
	/** How many tags are drawn; the rest is counted on the last place. */
	readonly shown: number;
	/** Place of the nth tag, or of the count that stands for the rest. */
	readonly at: (index: number) => TagBox;
}

// All in pixels of the screen; the drawing multiplies by its own mm a pixel.
const TAG_PX = 22;
const STEP_PX = 25;
const NAME_PX = 20;
const LEAST_WIDE_PX = 33;

/**
 * Lays `count` tags into a nook's box, mm: in one column below its name, or, where it is low, side by side without
 * it. What finds no room is counted on the last place. `px` is mm a pixel. Tags never overlap nor leave the box.
 */
export function layTags(
	box: { readonly x: number; readonly y: number; readonly h: number; readonly textW: number },
	count: number,
	px: number
): TagLayout {
	const step = STEP_PX * px;
	const named = Math.floor((box.h - NAME_PX * px) / step) >= count;
	const rows = Math.max(1, named ? count : Math.floor(box.h / step));
	const inner = box.textW - 6 * px;
	const most = Math.max(1, Math.floor(inner / (LEAST_WIDE_PX * px)));
	const columns = Math.max(1, Math.min(most, Math.ceil(count / rows)));
	const room = rows * columns;
	const h = Math.min(TAG_PX * px, box.h - 2 * px);
	const used = Math.min(rows, Math.ceil(count / columns)) * step;
	const top = named ? box.y + NAME_PX * px : box.y + Math.max(px, (box.h - used) / 2);
	const w = inner / columns - 3 * px;
	return {
		named,
		shown: count > room ? room - 1 : count,
		at: (index) => ({
			x: box.x + 4 * px + (index % columns) * (w + 3 * px),
			y: top + Math.floor(index / columns) * step,
			w,
			h
		})
	};
}
