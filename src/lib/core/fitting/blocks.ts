import type { ContainerKind } from '../model';
import { DAILY, type Good } from '../standing';
import type { Filled } from './filling';
import type { Holder, HoldOption } from './hold-option';
import { outerOf } from './kind-sizes';

/** One thing that takes floor: a pile of containers, or a lane of loose goods. */
export interface Block {
	readonly groupId: string;
	readonly kind: ContainerKind | null;
	/** The containers from below up; none for loose goods. */
	readonly containers: readonly Filled[];
	/** What stands free. */
	readonly loose: readonly Good[];
	readonly w: number;
	readonly d: number;
	readonly heightMm: number;
	readonly turn: boolean;
	readonly front: boolean;
}

/** All that a block holds. */
export const heldBy = ({ containers, loose }: Block): Good[] => [
	...containers.flatMap(({ holds }) => holds),
	...loose
];

const isDaily = (goods: readonly Good[]) => goods.some(({ usesPerWeek }) => usesPerWeek >= DAILY);

/** When the first of what is in a container is to be used. */
const firstDue = ({ holds }: Filled): string => holds.map(({ due }) => due).sort()[0] ?? '';

/**
 * Piles of the containers of one kind: the heaviest below; in layers what is due last below, what is open or due first
 * on top.
 */
function pilesOf(
	groupId: string,
	{ kind, containers, layers, limits }: Holder,
	sideMm: number
): Block[] {
	const outer = outerOf(kind);
	const order = [...containers].sort((a, b) => {
		const [later, sooner] = [firstDue(b), firstDue(a)];
		const byDue = later < sooner ? -1 : later > sooner ? 1 : 0;
		return (limits.isByDue ? byDue : 0) || b.massG - a.massG;
	});
	const piles = Math.ceil(order.length / layers);
	return Array.from({ length: piles }, (_, pile) => {
		const here = order.filter((_, i) => i % piles === pile);
		return {
			groupId,
			kind,
			containers: here,
			loose: [],
			w: outer.widthMm + 2 * sideMm,
			d: outer.depthMm + 2 * sideMm,
			heightMm:
				kind.heightMm * (here.length - 1) + Math.max(...here.map(({ heightMm }) => heightMm)),
			turn: kind.turn,
			front: kind.role !== 'turntable' && isDaily(here.flatMap(({ holds }) => holds))
		};
	});
}

/** Lists what one way to hold a want puts on the floor: piles of its containers and lanes of its loose goods. */
export function blocksOf(
	{ want: { groupId }, holders, lanes }: Pick<HoldOption, 'want' | 'holders' | 'lanes'>,
	sideMm: number
): Block[] {
	return [
		...holders.flatMap((holder) => pilesOf(groupId, holder, sideMm)),
		...lanes.map((lane): Block => ({
			groupId,
			kind: null,
			containers: [],
			loose: lane.holds,
			w: lane.w,
			d: lane.d,
			heightMm: lane.heightMm,
			turn: true,
			front: lane.isDaily
		}))
	];
}
