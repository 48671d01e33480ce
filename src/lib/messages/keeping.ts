import type { DueReset, ResetFound } from '../core/upkeep';

export const RESET_BASIS: Readonly<Record<DueReset['basis'], string>> = {
	'as-set': 'as set',
	'less-often': 'less often, since little was found',
	'more-often': 'more often, since much was found',
	season: 'twice a year'
};

/** How far a reset is. @example foundText({ looked: 3, leaves: 2, left: 9, share: 0.17 }) */
export function foundText({ looked, leaves, left }: ResetFound): string {
	const seen = `${looked} looked at${leaves ? `, ${leaves} to go` : ''}`;
	return left ? `${seen}, ${left} left` : `${seen}: all of it`;
}
