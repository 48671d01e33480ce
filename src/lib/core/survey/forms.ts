import type { Cabinet, Nook, NookKind, StationKind } from '../model';

type Form = Cabinet['form'];
type CabinetShape = Omit<Cabinet, 'id' | 'runId' | 'offsetMm' | 'name'>;
type NookShape = Pick<Nook, 'name' | 'kind' | 'at' | 'inside' | 'adjustable'>;

export interface CabinetForm {
	readonly form: Form;
	readonly name: string;
	readonly cabinet: CabinetShape;
	/** Station that stands before it, made when the home has none of its kind. */
	readonly station: StationKind | null;
	readonly nooks: readonly NookShape[];
}

const BOARD_MM = 18;
const PEGS = { pitchMm: 32, firstHoleMm: 64, thicknessMm: BOARD_MM };

interface Sizes {
	readonly baseMm: number;
	readonly widthMm: number;
	readonly heightMm: number;
	readonly depthMm: number;
	readonly front?: Cabinet['front'];
	readonly pegs?: boolean;
}

/** Divides a body into equal levels from the bottom up, with boards between them. */
function levels(
	kind: NookKind,
	count: number,
	{ widthMm, heightMm, depthMm }: Sizes,
	words: string,
	lossMm = 20
): NookShape[] {
	const each = Math.floor((heightMm - BOARD_MM) / count);
	return Array.from({ length: count }, (_, i) => ({
		name: i === 0 ? `${words} 1 (lowest)` : `${words} ${i + 1}`,
		kind,
		at: { xMm: BOARD_MM, zMm: BOARD_MM + i * each },
		inside: {
			widthMm: widthMm - 2 * BOARD_MM,
			depthMm: depthMm - lossMm,
			heightMm: each - BOARD_MM
		},
		adjustable: kind === 'shelf' && i > 0
	}));
}

function form(
	form: Form,
	name: string,
	sizes: Sizes,
	nooks: readonly NookShape[],
	station: StationKind | null = null
): CabinetForm {
	const { front = 'door', pegs = false, ...body } = sizes;
	return {
		form,
		name,
		cabinet: {
			form,
			...body,
			front,
			shelves: pegs ? PEGS : null,
			climate: [],
			lockable: false,
			childCatch: false
		},
		station,
		nooks
	};
}

const BASE: Sizes = { baseMm: 150, widthMm: 600, heightMm: 720, depthMm: 560, pegs: true };
const WALL: Sizes = { baseMm: 1450, widthMm: 600, heightMm: 720, depthMm: 320, pegs: true };
const TALL: Sizes = { baseMm: 100, widthMm: 600, heightMm: 2100, depthMm: 400, pegs: true };
const DRAWERS: Sizes = { ...BASE, front: 'drawer', pegs: false };
const SINK: Sizes = { ...BASE, widthMm: 800, pegs: false };
const OPEN: Sizes = {
	baseMm: 100,
	widthMm: 900,
	heightMm: 1800,
	depthMm: 350,
	front: 'open',
	pegs: true
};
const FRIDGE: Sizes = { baseMm: 0, widthMm: 600, heightMm: 1850, depthMm: 620 };
const CHEST: Sizes = { baseMm: 0, widthMm: 1000, heightMm: 850, depthMm: 650, front: 'lid' };
const BASIN: Sizes = { baseMm: 250, widthMm: 600, heightMm: 550, depthMm: 440 };
const MIRROR: Sizes = { baseMm: 1450, widthMm: 600, heightMm: 650, depthMm: 150 };
const TROLLEY: Sizes = { baseMm: 60, widthMm: 400, heightMm: 800, depthMm: 500, front: 'open' };

const CORNER: Sizes = { ...BASE, widthMm: 900, depthMm: 850, pegs: false };
const BED: Sizes = { baseMm: 0, widthMm: 900, heightMm: 180, depthMm: 2000, front: 'open' };
const RACK: Sizes = { baseMm: 300, widthMm: 500, heightMm: 1400, depthMm: 100, front: 'open' };

const inside = (widthMm: number, depthMm: number, heightMm: number) => ({
	widthMm,
	depthMm,
	heightMm
});
const fixed = (
	name: string,
	kind: NookKind,
	xMm: number,
	zMm: number,
	size: Nook['inside']
): NookShape => ({
	name,
	kind,
	at: { xMm, zMm },
	inside: size,
	adjustable: false
});

/** The usual forms of cabinet, with usual sizes that a user then corrects. */
export const CABINET_FORMS_LIST: readonly CabinetForm[] = [
	form('base', 'Base cabinet', BASE, levels('shelf', 2, BASE, 'Shelf'), 'worktop'),
	form('wall', 'Wall cabinet', WALL, levels('shelf', 3, WALL, 'Shelf')),
	form('tall', 'Tall cabinet', TALL, levels('shelf', 6, TALL, 'Shelf')),
	form('drawers', 'Drawer stack', DRAWERS, levels('drawer', 4, DRAWERS, 'Drawer', 70), 'worktop'),
	form(
		'sink',
		'Sink cabinet',
		SINK,
		[fixed('Under the sink', 'undersink', 18, 18, inside(764, 520, 640))],
		'sink'
	),
	form('open', 'Open shelves', OPEN, levels('shelf', 5, OPEN, 'Shelf')),
	form(
		'fridge',
		'Fridge-freezer',
		FRIDGE,
		[
			fixed('Fridge, top shelf', 'fridge-shelf', 30, 1540, inside(520, 330, 240)),
			fixed('Fridge, middle shelf', 'fridge-shelf', 30, 1280, inside(520, 330, 240)),
			fixed('Fridge, lowest shelf', 'fridge-shelf', 30, 1070, inside(520, 330, 190)),
			fixed('Door, upper rack', 'fridge-door', 40, 1560, inside(460, 100, 200)),
			fixed('Door, bottle rail', 'fridge-door', 40, 1080, inside(460, 110, 360)),
			fixed('Crisper', 'crisper', 30, 860, inside(520, 320, 200)),
			fixed('Freezer drawer, upper', 'freezer-drawer', 30, 480, inside(500, 380, 210)),
			fixed('Freezer drawer, lower', 'freezer-drawer', 30, 120, inside(500, 380, 210))
		],
		'fridge'
	),
	form(
		'chest',
		'Chest freezer',
		CHEST,
		[
			fixed('Left basket', 'chest-basket', 40, 550, inside(430, 480, 220)),
			fixed('Right basket', 'chest-basket', 500, 550, inside(430, 480, 220)),
			fixed('Bottom layer', 'chest-layer', 40, 60, inside(900, 480, 450))
		],
		'freezer'
	),
	form(
		'basin',
		'Basin cabinet',
		BASIN,
		[fixed('Under the basin', 'undersink', 18, 18, inside(564, 400, 480))],
		'basin'
	),
	form('mirror', 'Mirror cabinet', MIRROR, levels('shelf', 3, MIRROR, 'Shelf', 10)),
	form('trolley', 'Trolley', TROLLEY, levels('trolley', 3, TROLLEY, 'Tier')),
	form('corner', 'Corner cabinet', CORNER, levels('corner', 2, CORNER, 'Corner shelf')),
	form(
		'carousel',
		'Corner cabinet with a carousel',
		CORNER,
		levels('carousel', 2, CORNER, 'Carousel', 160)
	),
	form('under-bed', 'Under a bed', BED, [
		fixed('Under the bed', 'under-bed', 0, 0, inside(900, 700, 160))
	]),
	form('door-rack', 'Rack on a room door', RACK, levels('door', 5, RACK, 'Pocket', 10))
];
