import type { ContainerKind } from '../model';

/** A level inside a container on which things stand, mm. */
export interface Board {
	readonly w: number;
	readonly d: number;
	/** How high what stands on it may reach. */
	readonly high: number;
	/** How high pieces may be piled: to the rim. */
	readonly rim: number;
	/** Height of the board above the container's foot. */
	readonly at: number;
	readonly isRound: boolean;
	/** Pieces stand on edge in slots from left to right. */
	readonly isSlotted: boolean;
	/** Bottles lie one beside another. */
	readonly isCradle: boolean;
}

/** Depth of a step on which a can or a spice jar stands, mm. */
const STEP_MM = 75;
const FOOT_MM = 4;
const TURNTABLE_FOOT_MM = 20;
/** Board of a second level with room for a finger under it, mm. */
const UNDER_MM = 18;
/** From this height on a turntable or a riser has two levels. */
const TWO_LEVELS_MM = 150;

/**
 * Lists the levels of a container on which things stand, from the front or the bottom on, under a clear height in mm.
 * Without a lid things may look out at the top as far as the clear height.
 * @example boardsOf(bin, 200)[0].high // 196
 */
export function boardsOf(kind: ContainerKind, clearMm: number): Board[] {
	const { widthMm: w, depthMm: d, heightMm: rim } = kind.inner;
	const base = { w, d, rim, isRound: false, isSlotted: false, isCradle: false };
	const open = kind.lid ? rim : clearMm - FOOT_MM;
	const one = (board: Partial<Board> = {}): Board[] => [
		{ ...base, high: open, at: FOOT_MM, ...board }
	];
	/** Two levels, one over the other; what stands below stays under the upper board. */
	const two = (more: Partial<Board>): Board[] => {
		const upper = Math.round(kind.heightMm * 0.55);
		const lowHigh = upper - TURNTABLE_FOOT_MM - 2;
		return [
			{ ...base, ...more, high: lowHigh, rim: 0, at: TURNTABLE_FOOT_MM },
			{ ...base, ...more, high: clearMm - upper, rim: 0, at: upper }
		];
	};
	switch (kind.role) {
		case 'turntable':
			return kind.heightMm >= TWO_LEVELS_MM
				? two({ isRound: true })
				: one({ isRound: true, rim: 0, at: TURNTABLE_FOOT_MM, high: clearMm - TURNTABLE_FOOT_MM });
		case 'slide':
			return two({});
		case 'level': {
			// Things stand in piles under it, on the shelf itself, and on it.
			const [under, over] = [kind.heightMm - UNDER_MM, clearMm - kind.heightMm];
			return [
				{ ...base, high: under, rim: under, at: 0 },
				{ ...base, high: over, rim: over, at: kind.heightMm }
			];
		}
		case 'riser': {
			if (kind.heightMm >= TWO_LEVELS_MM) return two({});
			const steps = Math.max(2, Math.round(d / STEP_MM));
			return Array.from({ length: steps }, (_, step) => {
				const at = Math.round((kind.heightMm * (step + 1)) / steps);
				return { ...base, d: Math.floor(d / steps), rim: 0, at, high: clearMm - at };
			});
		}
		case 'rack':
		case 'upright':
			return one({ isSlotted: true, high: clearMm - FOOT_MM });
		case 'cradle':
			return one({ isCradle: true, high: Math.min(kind.heightMm, clearMm) });
		default:
			return one();
	}
}
