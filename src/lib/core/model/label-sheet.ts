import { z } from 'zod';

const size = z.number().min(1).max(2000);
const edge = z.number().min(0).max(500);

/** A sheet, a roll or a card that labels are printed on; all mm. */
export const LabelSheet = z.strictObject({
	key: z.string().min(1).max(60),
	name: z.string().min(1).max(80),
	/** `roll`: each label is a page of its own. */
	paper: z.enum(['A4', 'Letter', 'roll']),
	widthMm: size,
	heightMm: size,
	columns: z.int().min(1).max(40),
	rows: z.int().min(1).max(80),
	labelWidthMm: size,
	labelHeightMm: size,
	leftMm: edge,
	topMm: edge,
	gapXMm: edge,
	gapYMm: edge,
	/** `round`: a lid; `tag`: hung by a hole at its left. */
	shape: z.enum(['box', 'round', 'tag']),
	/** Marks where it is cut, on paper that is not die-cut. */
	cut: z.boolean()
});
export type LabelSheet = z.infer<typeof LabelSheet>;
