/** Twelve inks that stay apart for the common kinds of colour blindness, each with its own fill pattern. */
export const TAG_INKS: readonly string[] = [
	'#b4690e',
	'#2f5d8c',
	'#55762f',
	'#7a4274',
	'#a83c25',
	'#1f7471',
	'#8c7340',
	'#37414f',
	'#b1506f',
	'#7c7618',
	'#3f86b0',
	'#6f4a2c'
];

/** Strokes of the pattern of each hue in a cell of 8 × 8; the ground is paper. */
export const TAG_PATTERNS: readonly string[] = [
	'M0 0H8V8H0Z',
	'M-2 2L2 -2M0 8L8 0M6 10L10 6',
	'M0 4H8',
	'M-2 6L2 10M0 0L8 8M6 -2L10 2',
	'M4 0V8',
	'M0 4H8M4 0V8',
	'M2 2h1.6v1.6h-1.6zM6 6h1.6v1.6h-1.6z',
	'M0 0L8 8M8 0L0 8',
	'M0 2L4 6L8 2',
	'M1 1h4v4h-4z',
	'M0 2H8M0 6H8',
	'M2 0V8M6 0V8'
];
export const FILLED_PATTERNS: ReadonlySet<number> = new Set([0, 6, 9]);

export const inkOf = (hue: number): string => TAG_INKS[hue % TAG_INKS.length]!;
