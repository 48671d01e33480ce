/**
 * How many are bought where so many are needed: only whole packs are sold.
 * @example wholePacks(5, 4) // 8
 */
export const wholePacks = (needed: number, soldBy: number): number =>
	Math.ceil(Math.max(0, needed) / soldBy) * soldBy;
