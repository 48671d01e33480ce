import { capacityByCups, capacityByWater, capacityOf, type Shape } from '../core/clearing';
import { parseQuantity, QUANTITY_UNITS, volumeWays } from '../core/model';
import { quantityIssueText } from '../messages/clearing';

/** Inside measures of a container, mm. */
export interface InsideMm {
	diameter: number;
	width: number;
	depth: number;
	height: number;
	baseWidth: number;
	baseDepth: number;
}
/** The measures that a shape asks for, in the order they are taken, with what they are called. */
const FIELDS: Record<Shape['kind'], readonly (readonly [keyof InsideMm, string])[]> = {
	round: [
		['diameter', 'Across, inside'],
		['height', 'Height, inside']
	],
	box: [
		['width', 'Width, inside'],
		['depth', 'Depth, inside'],
		['height', 'Height, inside']
	],
	tapered: [
		['width', 'Width at the top'],
		['depth', 'Depth at the top (0: round)'],
		['baseWidth', 'Width at the base'],
		['baseDepth', 'Depth at the base'],
		['height', 'Height, inside']
	]
};
const METRIC_CUP_ML = 250;

/** How much a container holds, found by measures, by water or by cups. */
export class CapacityDesk {
	way = $state<'measures' | 'water' | 'cups'>('measures');
	kind = $state<Shape['kind']>('box');
	mm = $state<InsideMm>({
		diameter: 0,
		width: 0,
		depth: 0,
		height: 0,
		baseWidth: 0,
		baseDepth: 0
	});
	/** Its weight full of water, and empty, as typed. */
	full = $state('');
	empty = $state('');
	cups = $state(4);
	cup = $state<'us' | 'metric'>('metric');

	get fields() {
		return FIELDS[this.kind];
	}
	get shape(): Shape {
		const { kind, mm } = this;
		if (kind === 'round') return { kind, diameterMm: mm.diameter, heightMm: mm.height };
		if (kind === 'box') return { kind, widthMm: mm.width, depthMm: mm.depth, heightMm: mm.height };
		return {
			kind,
			topWidthMm: mm.width,
			topDepthMm: mm.depth,
			baseWidthMm: mm.baseWidth,
			baseDepthMm: mm.depth ? mm.baseDepth : 0,
			heightMm: mm.height
		};
	}
	#weights = $derived.by(() =>
		[this.full, this.empty].map((text) => (text.trim() ? parseQuantity(text) : null))
	);
	/** Why a weight cannot be read; empty: both can. */
	wrong = $derived.by(() =>
		this.#weights
			.flatMap((read) => {
				if (!read) return [];
				if (!read.ok) return [quantityIssueText(read)];
				return read.quantity.unit === 'g'
					? []
					: ['Weigh it in grams, kilograms, pounds or ounces.'];
			})
			.join(' ')
	);
	/** What it holds, ml; 0: not known yet. */
	ml = $derived.by((): number => {
		if (this.way === 'measures') return capacityOf(this.shape);
		if (this.way === 'cups')
			return capacityByCups(
				this.cups || 0,
				this.cup === 'metric' ? METRIC_CUP_ML : QUANTITY_UNITS.cup![0]
			);
		const [full, empty] = this.#weights;
		return full?.ok && empty?.ok && !this.wrong
			? capacityByWater(full.quantity.value, empty.quantity.value)
			: 0;
	});
	ways = $derived.by(() => volumeWays(this.ml));
}
