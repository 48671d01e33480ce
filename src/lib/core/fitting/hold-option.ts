import type { ContainerKind } from '../model';
import type { Good, Lane, TooLarge } from '../standing';
import type { Filled, FillOptions } from './filling';
import type { Want } from './wants';

/** Containers of one kind with what is in each. */
export interface Holder {
	/** As it stands: cut to measure where it is. */
	readonly kind: ContainerKind;
	readonly containers: readonly Filled[];
	/** Most of the kind that may stand on each other. */
	readonly layers: number;
	/** What they may be filled with. */
	readonly limits: FillOptions;
}

/** One way to hold a want: containers of one kind or two, and what stands free beside them. */
export interface HoldOption {
	readonly want: Want;
	/** Empty: all of it stands free. */
	readonly holders: readonly Holder[];
	readonly costMinor: number;
	/** Goods that stand free. */
	readonly loose: readonly Good[];
	/** How they stand: in rows from front to back. */
	readonly lanes: readonly Lane[];
	readonly tooLarge: readonly TooLarge[];
	/** Things that stand behind another thing in their row, where one looks from the front; rows that lie loose in a chest. */
	readonly hidden: number;
	readonly massG: number;
	/** Things of which some are in containers and some stand free. */
	readonly parted: number;
	/** Trays that slide about when the drawer is pulled: not as wide as it. */
	readonly sliding: number;
	/** Floor that it takes with its play, mm². */
	readonly floorMm2: number;
}

/** All containers of a way to hold a want. */
export const containersOf = ({ holders }: Pick<HoldOption, 'holders'>): Filled[] =>
	holders.flatMap(({ containers }) => containers);
