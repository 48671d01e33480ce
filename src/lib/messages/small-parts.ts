import type { PartFor, PartLine, PartOffer, PartReason } from '../core/fitting';
import { formatLength, formatMass, type Home, type SmallPartUse } from '../core/model';
import { countText } from './numbers';

export const PART_USES: Readonly<Record<SmallPartUse, string>> = {
	liner: 'Non-slip liner',
	'washable-liner': 'Washable liner',
	hooks: 'Hooks',
	dividers: 'Drawer dividers'
};
export const PART_REASONS: Readonly<Record<PartReason, string>> = {
	slides: 'What is in this drawer slides when it is opened.',
	drips: 'Something in here drips or leaks. A liner is lifted out and washed.',
	hangs: 'What hangs here needs hooks.',
	mixes: 'More than one group lies loose in this drawer. A divider keeps each to its side.'
};
/** Why a part cannot be bought as things stand. */
const NOT_YET: Readonly<Record<Extract<PartOffer['wanted'], string>, string>> = {
	'not-measured': 'Measure the place first.',
	'too-heavy':
		'No hook carries the heaviest thing here: have a rail screwed on, or stand it on a shelf.',
	'none-sold': 'No divider reaches from front to back here. A bin each does the same.'
};
export const HOOK_CARE =
	'A hook carries what stands on its pack, half of that where it is damp. Clean the surface, press, wait a day. Nothing that breaks above heads.';

/** Says how much of a part a place takes, and how it is cut. */
export function partText(home: Home, wanted: PartOffer['wanted']): string {
	if (typeof wanted === 'string') return NOT_YET[wanted];
	const length = (mm: number) => formatLength(mm, home.units);
	const { part } = wanted;
	if (wanted.form === 'pieces')
		return part.use === 'hooks'
			? `${countText(wanted.count, 'hook')}; the heaviest thing weighs ${formatMass(wanted.most)}`
			: `${countText(wanted.count, 'divider')}, ${length(wanted.most)} long`;
	const { strips, lengthMm, lastWidthMm } = wanted.cut;
	const roll = 'widthMm' in part ? part.widthMm : lastWidthMm;
	const trim =
		lastWidthMm < roll ? `, ${strips > 1 ? 'the last one ' : ''}cut to ${length(lastWidthMm)}` : '';
	return `${countText(strips, 'strip')} of ${length(lengthMm)} from a roll ${length(roll)} wide${trim}`;
}

/** Says which place a part is for. */
export const partPlaceText = (home: Home, wanted: PartFor): string =>
	`${home.nooks[wanted.nookId]?.name ?? ''}: ${partText(home, wanted)}`;

/** How much of a part is bought. */
export const partCountText = ({ part, count }: PartLine): string =>
	'widthMm' in part ? `${count} m` : String(count);
