import {
	memoOn,
	stock,
	type Cabinet,
	type HiddenKind,
	type HomePart,
	type Nook,
	type NookKind,
	type Room,
	type Run,
	type Thing
} from '../model';
import { rowOf, type HiddenPlace } from './hidden-place';
import {
	baseAboveFloorMm,
	climateOf,
	HANGS_FROM_MM,
	runAxes,
	type NookPlace,
	type Places
} from './place';
import { nextPegMm } from './shape-edits';
import { climateTags } from './totals';
import { blockedBoxes, usableSpace } from './usable';

const BOARD_MM = 18;
const AIR_MM = 30;
const BASKET_MM = 120;
/** Handbook: free gap of a door back is from shelf front to closed door, less 5 mm; below 60 mm only flat things. */
const DOOR_PLAY_MM = 5;
const FLAT_MM = 60;
const TOP_LEAST_MM = 200;
const SLIDE_LEAST_MM = 120;
const DEEP_MM = 450;
const TROLLEY_LEAST_MM = 180;
const BED_LEAST_MM = 150;
const BACK_ROW_MM = 400;

interface Held {
	readonly tallestMm: number;
	readonly massG: number;
	readonly things: readonly Thing[];
}
/** What stands in each nook. */
export const heldByNook = memoOn(['lots', 'things'], (home) => {
	const held = new Map<string, Held>();
	for (const lot of stock(home)) {
		const thing = home.things[lot.thingId];
		if (!lot.nookId || !thing) continue;
		const old = held.get(lot.nookId) ?? { tallestMm: 0, massG: 0, things: [] };
		held.set(lot.nookId, {
			tallestMm: Math.max(old.tallestMm, thing.piece.heightMm),
			massG: old.massG + thing.massG * Math.ceil(lot.count),
			things: [...old.things, thing]
		});
	}
	return held;
});

/** What the search for unused room reads of a home. */
export type HiddenHome = Places & HomePart<'lots' | 'things' | 'rented' | 'settings'>;
export interface Scene {
	readonly home: HiddenHome;
	readonly places: readonly NookPlace[];
	readonly held: ReadonlyMap<string, Held>;
}
type Finding = Pick<HiddenPlace, 'where' | 'gainMl' | 'make' | 'loadCheck'> &
	Partial<Pick<HiddenPlace, 'nookId' | 'runId' | 'loadG' | 'asksRating' | 'damp'>>;
type Finder = (scene: Scene) => Finding[];

const isMeasured = (nook: Nook) =>
	!!nook.inside.widthMm && !!nook.inside.depthMm && !!nook.inside.heightMm;
const sizeOf = ({ inside }: Nook) => ({
	w: inside.widthMm ?? 0,
	d: inside.depthMm ?? 0,
	h: inside.heightMm ?? 0
});
const litres = (w: number, d: number, h: number) => Math.max(0, (w * d * h) / 1000);
const isDamp = (place: NookPlace) =>
	climateTags(place).some((tag) => tag === 'damp' || tag === 'steam');
const SHELVES: ReadonlySet<NookKind> = new Set(['shelf', 'cupboard', 'corner']);
const inRoomAir = ({ nook }: NookPlace) => climateOf(nook) === 'room';

/** A second shelf where there is headroom of more than twice the tallest thing. */
const secondShelf: Finder = ({ places, held }) =>
	places.flatMap(({ nook, cabinet }) => {
		const own = held.get(nook.id);
		if (!own || !SHELVES.has(nook.kind) || !isMeasured(nook)) return [];
		const { w, d, h } = sizeOf(nook);
		if (h <= 2 * own.tallestMm) return [];
		const clearMm = own.tallestMm + AIR_MM;
		const under = nextPegMm(nook, cabinet, clearMm);
		return under === null
			? []
			: [
					{
						where: nook.name,
						nookId: nook.id,
						gainMl: litres(w, d, h - under - BOARD_MM - AIR_MM),
						loadCheck: 'own-feet',
						make: { as: 'shelf', nookId: nook.id, clearMm }
					}
				];
	});

/** A basket under the shelf above, where a second shelf would be too much. */
const underShelf: Finder = ({ places, held }) =>
	places.flatMap(({ nook, cabinet }) => {
		const own = held.get(nook.id);
		if (!own || !SHELVES.has(nook.kind) || !isMeasured(nook)) return [];
		const { w, d, h } = sizeOf(nook);
		if (h > 2 * own.tallestMm || h < own.tallestMm + AIR_MM + BASKET_MM) return [];
		const above = places.find(
			(other) =>
				other.cabinet.id === cabinet.id &&
				other.nook.at.xMm === nook.at.xMm &&
				other.nook.at.zMm > nook.at.zMm + h &&
				other.nook.at.zMm <= nook.at.zMm + h + 60
		);
		const row = rowOf('under-shelf-basket');
		const spare = above?.nook.loadG
			? above.nook.loadG - (held.get(above.nook.id)?.massG ?? 0)
			: null;
		// A board that is full already carries no basket.
		if (!above || (spare !== null && spare < 1000)) return [];
		const width = Math.min(w, 400);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				gainMl: litres(width, d - 60, BASKET_MM),
				loadG: spare === null ? row.loadG : Math.min(row.loadG, spare),
				loadCheck: spare === null ? 'unknown-shelf' : 'shelf-above',
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `Basket under ${above.nook.name}`,
						kind: 'under-shelf',
						at: { xMm: nook.at.xMm, zMm: nook.at.zMm + h - BASKET_MM },
						inside: { widthMm: width, depthMm: d - 60, heightMm: BASKET_MM }
					}
				}
			}
		];
	});

/** The inside of each hinged door: the gap from the deepest shelf to the door, less 5 mm. */
function doorGap(
	places: readonly NookPlace[],
	cabinet: Cabinet
): { gap: number; first: Nook } | null {
	const own = places.filter((place) => place.cabinet.id === cabinet.id);
	const shelves = own.filter(({ nook }) => SHELVES.has(nook.kind) || nook.kind === 'undersink');
	const taken = own.some(({ nook }) => nook.kind === 'door' || nook.found === 'door-hooks');
	const first = shelves[0]?.nook;
	if (cabinet.front !== 'door' || taken || !first || !shelves.every(({ nook }) => isMeasured(nook)))
		return null;
	const back = 15;
	const deepest = Math.max(...shelves.map(({ nook }) => nook.inside.depthMm ?? 0));
	return { gap: cabinet.depthMm - back - deepest - DOOR_PLAY_MM, first };
}
const doorBack =
	(kind: 'door-rack' | 'door-hooks'): Finder =>
	({ home, places }) =>
		Object.values(home.cabinets).flatMap((cabinet) => {
			const door = doorGap(places, cabinet);
			const rack = kind === 'door-rack';
			if (!door || (rack ? door.gap < FLAT_MM : door.gap >= FLAT_MM || door.gap < 0)) return [];
			const place = places.find(({ nook }) => nook.id === door.first.id)!;
			const depthMm = rack ? Math.min(door.gap, 120) : Math.max(10, Math.min(door.gap, 40));
			const inside = {
				widthMm: Math.max(150, cabinet.widthMm - 120),
				depthMm,
				heightMm: Math.max(150, Math.min(cabinet.heightMm - 120, 600))
			};
			return [
				{
					where: `Door of ${cabinet.name}`,
					nookId: door.first.id,
					gainMl: litres(inside.widthMm, depthMm, inside.heightMm),
					loadCheck: 'hinges',
					asksRating: !rack,
					damp: isDamp(place),
					make: {
						as: 'nook',
						cabinetId: cabinet.id,
						nook: {
							name: `${cabinet.name}: ${rack ? 'door rack' : 'hooks on the door'}`,
							kind: rack ? 'door' : 'hooks',
							at: { xMm: 60, zMm: 60 },
							inside
						}
					}
				}
			];
		});

/** Hooks or a rail under a wall cabinet, over a worktop. */
const wallHooks: Finder = ({ home, places }) =>
	Object.values(home.cabinets).flatMap((cabinet) => {
		const hangs = cabinet.baseMm >= HANGS_FROM_MM && cabinet.form === 'wall';
		const own = places.filter((place) => place.cabinet.id === cabinet.id);
		if (!hangs || !own[0] || own.some(({ nook }) => nook.kind === 'hooks' || nook.kind === 'rail'))
			return [];
		const floor = Object.values(home.cabinets).filter(
			(other) =>
				other.runId === cabinet.runId &&
				other.baseMm < HANGS_FROM_MM &&
				other.offsetMm < cabinet.offsetMm + cabinet.widthMm &&
				cabinet.offsetMm < other.offsetMm + other.widthMm
		);
		const below =
			cabinet.baseMm - Math.max(0, ...floor.map((other) => other.baseMm + other.heightMm));
		if (below < 350) return [];
		// Over a hob they would catch fire or grease.
		if (climateTags(own[0]).includes('heat')) return [];
		const heightMm = 120;
		return [
			{
				where: `Under ${cabinet.name}`,
				nookId: own[0].nook.id,
				gainMl: litres(cabinet.widthMm - 40, 100, heightMm),
				loadCheck: 'fixing',
				asksRating: true,
				damp: isDamp(own[0]),
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `Hooks under ${cabinet.name}`,
						kind: 'hooks',
						at: { xMm: 20, zMm: 0 },
						inside: { widthMm: cabinet.widthMm - 40, depthMm: 100, heightMm }
					}
				}
			}
		];
	});

/** The top of a cabinet with 200 mm or more to the ceiling; not of a fridge or freezer, which must breathe. */
const cabinetTop: Finder = ({ home, places }) =>
	Object.values(home.cabinets).flatMap((cabinet) => {
		const run = home.runs[cabinet.runId];
		const room = run && home.rooms[run.roomId];
		const own = places.filter((place) => place.cabinet.id === cabinet.id);
		const top = cabinet.baseMm + cabinet.heightMm;
		const free = (room?.ceilingMm ?? 0) - top;
		const breathes = cabinet.form === 'fridge' || cabinet.form === 'chest';
		if (top < 1600 || free < TOP_LEAST_MM || breathes) return [];
		if (own.some(({ nook }) => nook.kind === 'top')) return [];
		const heightMm = Math.min(free - AIR_MM, 350);
		return [
			{
				where: `On top of ${cabinet.name}`,
				nookId: own[0]?.nook.id ?? null,
				gainMl: litres(cabinet.widthMm, cabinet.depthMm, heightMm),
				loadCheck: 'own-feet',
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `Top of ${cabinet.name}`,
						kind: 'top',
						at: { xMm: 0, zMm: cabinet.heightMm },
						inside: { widthMm: cabinet.widthMm, depthMm: cabinet.depthMm, heightMm }
					}
				}
			}
		];
	});

/** The widest stretch of a nook's width that no obstruction stands in, mm from its left. */
export function widestGap(
	nook: Nook,
	pipeGapMm: number
): { readonly fromMm: number; readonly widthMm: number } {
	const width = nook.inside.widthMm ?? 0;
	let at = 0;
	let best = { fromMm: 0, widthMm: 0 };
	const spans = blockedBoxes(nook, pipeGapMm)
		.map(({ x, w }) => [x, x + w] as const)
		.sort((a, b) => a[0] - b[0]);
	for (const [from, to] of [...spans, [width, width] as const]) {
		if (from - at > best.widthMm) best = { fromMm: at, widthMm: from - at };
		at = Math.max(at, to);
	}
	return best;
}

/** A slide-out beside the pipes: what is low and deep there comes out in two tiers. */
const slideOut: Finder = ({ home, places, held }) =>
	places.flatMap((place) => {
		const { nook, cabinet } = place;
		const taken = places.some(
			(other) => other.cabinet.id === cabinet.id && other.nook.kind === 'slide-out'
		);
		if (nook.kind !== 'undersink' || !nook.obstructions.length || !isMeasured(nook) || taken)
			return [];
		const gap = widestGap(nook, home.settings.play.pipeMm);
		if (gap.widthMm < SLIDE_LEAST_MM) return [];
		const { d, h } = sizeOf(nook);
		const width = Math.min(gap.widthMm, nook.opening?.widthMm ?? gap.widthMm, 400) - 10;
		const low = Math.min(h / 2, held.get(nook.id)?.tallestMm ?? h / 2);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				gainMl: litres(width, d - 20, h - low - 2 * AIR_MM),
				loadCheck: 'own-feet',
				damp: isDamp(place),
				make: {
					as: 'nook',
					cabinetId: cabinet.id,
					nook: {
						name: `${cabinet.name}: slide-out`,
						kind: 'slide-out',
						at: { xMm: nook.at.xMm + gap.fromMm + 5, zMm: nook.at.zMm + Math.round(low) + AIR_MM },
						inside: {
							widthMm: Math.round(width),
							depthMm: d - 20,
							heightMm: Math.round(h - low - 2 * AIR_MM)
						}
					}
				}
			}
		];
	});

/** A turntable in a corner, or where a shelf is deeper than 450 mm: its back row comes to the front. */
const turntable: Finder = ({ home, places }) =>
	places.flatMap((place) => {
		const { nook } = place;
		const { w, d } = sizeOf(nook);
		const deep = nook.kind === 'corner' || (nook.kind === 'shelf' && d > DEEP_MM);
		const space = usableSpace(nook, baseAboveFloorMm(place), home.settings);
		if (!deep || !space.ok || !inRoomAir(place)) return [];
		const across = Math.min(w, d, space.passes.widthMm);
		if (across < 250) return [];
		const back = nook.kind === 'corner' ? 0.5 : Math.max(0, 1 - BACK_ROW_MM / d);
		return [
			{
				where: nook.name,
				nookId: nook.id,
				// A disc in its square holds π/4 of it; what it brings forward is the back row's part of that.
				gainMl: (space.usableMl * back * Math.PI) / 4,
				loadCheck: 'own-feet',
				make: { as: 'carousel', nookId: nook.id }
			}
		];
	});

/** Gaps between floor bodies along a run, and at its ends, mm. */
export function floorGaps(
	home: Places,
	run: Run
): { readonly fromMm: number; readonly widthMm: number }[] {
	const bodies = Object.values(home.cabinets)
		.filter((cabinet) => cabinet.runId === run.id && cabinet.baseMm < HANGS_FROM_MM)
		.map(({ offsetMm, widthMm }) => [offsetMm, offsetMm + widthMm] as const)
		.sort((a, b) => a[0] - b[0]);
	if (!bodies.length) return [];
	const gaps: { fromMm: number; widthMm: number }[] = [];
	let at = 0;
	const end = Math.floor(runAxes(run).lengthMm);
	for (const [from, to] of [...bodies, [end, end] as const]) {
		if (from > at) gaps.push({ fromMm: at, widthMm: from - at });
		at = Math.max(at, to);
	}
	return gaps;
}

/** A trolley in a gap of the floor that is wide enough for one and too narrow for a cabinet. */
const trolley: Finder = ({ home }) =>
	Object.values(home.runs).flatMap((run) =>
		floorGaps(home, run)
			.filter(
				(gap) => gap.widthMm >= TROLLEY_LEAST_MM && gap.widthMm < 600 && !isDoorway(home, run, gap)
			)
			.map((gap): Finding => {
				const widthMm = Math.min(gap.widthMm - 20, 400);
				return {
					where: `Gap at ${(gap.fromMm / 1000).toFixed(2)} m of ${run.name}`,
					runId: run.id,
					gainMl: litres(widthMm - 40, 460, 660),
					loadCheck: 'own-feet',
					make: { as: 'trolley', runId: run.id, offsetMm: gap.fromMm + 10, widthMm }
				};
			})
	);

/** Whether a stretch of a run lies before a door. */
function isDoorway(home: Places, run: Run, gap: { fromMm: number; widthMm: number }): boolean {
	const { along } = runAxes(run);
	const at = (s: number) => ({ x: run.from.x + along.x * s, y: run.from.y + along.y * s });
	const middle = at(gap.fromMm + gap.widthMm / 2);
	return Object.values(home.rooms).some((room) =>
		room.doors.some(({ a, b }) => {
			const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
			const t = ((middle.x - a.x) * (b.x - a.x) + (middle.y - a.y) * (b.y - a.y)) / length;
			const off =
				Math.abs((middle.x - a.x) * (b.y - a.y) - (middle.y - a.y) * (b.x - a.x)) / length;
			return off < 300 && t > -gap.widthMm / 2 && t < length + gap.widthMm / 2;
		})
	);
}

/** The free side of the last body of a run, where at least a hand's width is beside it. */
const sidePanel: Finder = ({ home, places }) =>
	Object.values(home.runs).flatMap((run) => {
		const bodies = Object.values(home.cabinets)
			.filter((cabinet) => cabinet.runId === run.id && cabinet.baseMm < HANGS_FROM_MM)
			.sort((a, b) => a.offsetMm - b.offsetMm);
		const last = bodies.at(-1);
		const gap = last && floorGaps(home, run).find((g) => g.fromMm === last.offsetMm + last.widthMm);
		if (!last || !gap || gap.widthMm < 100 || last.heightMm < 600) return [];
		const own = places.find((place) => place.cabinet.id === last.id);
		if (places.some(({ nook, cabinet }) => cabinet.id === last.id && nook.kind === 'side-panel'))
			return [];
		const inside = { widthMm: Math.min(last.depthMm - 100, 500), depthMm: 90, heightMm: 500 };
		return [
			{
				where: `Right side of ${last.name}`,
				nookId: own?.nook.id ?? null,
				gainMl: litres(inside.widthMm, inside.depthMm, inside.heightMm),
				loadCheck: 'fixing',
				asksRating: true,
				damp: own ? isDamp(own) : false,
				make: {
					as: 'nook',
					cabinetId: last.id,
					nook: {
						name: `${last.name}: side rack`,
						kind: 'side-panel',
						at: { xMm: last.widthMm, zMm: Math.max(0, Math.min(last.heightMm, 1400) - 600) },
						inside
					}
				}
			}
		];
	});

/** Under a bed with 150 mm or more. */
const underBed: Finder = ({ home }) =>
	Object.values(home.rooms).flatMap((room) =>
		room.obstacles.flatMap((bed): Finding[] => {
			const taken = Object.values(home.cabinets).some(
				(cabinet) =>
					cabinet.form === 'under-bed' &&
					home.runs[cabinet.runId]?.name === bedRunName(room, bed.name)
			);
			return bed.kind === 'bed' && bed.clearBelowMm >= BED_LEAST_MM && !taken
				? [
						{
							where: `Under ${bed.name || 'the bed'}, ${room.name}`,
							gainMl: litres(bed.widthMm * 0.9, bed.depthMm / 2, bed.clearBelowMm - AIR_MM),
							loadCheck: 'own-feet',
							make: { as: 'under-bed', roomId: room.id, obstacleId: bed.id }
						}
					]
				: [];
		})
	);
export const bedRunName = (room: Pick<Room, 'name'>, bed: string) =>
	`${room.name}, under ${bed || 'the bed'}`;

/** A body that was drawn and holds nothing: a coat cupboard, a hutch, a cabinet whose nooks all stand empty. */
const unusedCupboard: Finder = ({ home, places, held }) =>
	Object.values(home.cabinets).flatMap((cabinet) => {
		const own = places.filter((place) => place.cabinet.id === cabinet.id);
		const run = home.runs[cabinet.runId];
		if (own.length || !run) return [];
		const inside = {
			widthMm: Math.max(0, cabinet.widthMm - 2 * BOARD_MM),
			depthMm: Math.max(0, cabinet.depthMm - 20),
			heightMm: Math.max(0, cabinet.heightMm - 2 * BOARD_MM)
		};
		return held.size
			? [
					{
						where: cabinet.name,
						runId: run.id,
						gainMl: litres(inside.widthMm, inside.depthMm, inside.heightMm),
						loadCheck: 'own-feet',
						make: {
							as: 'nook',
							cabinetId: cabinet.id,
							nook: {
								name: `${cabinet.name}: inside`,
								kind: 'cupboard',
								at: { xMm: BOARD_MM, zMm: BOARD_MM },
								inside
							}
						}
					}
				]
			: [];
	});

/** One finder for each kind of hidden storage. */
export const FINDERS: Readonly<Record<HiddenKind, Finder>> = {
	'second-shelf': secondShelf,
	'under-shelf-basket': underShelf,
	'door-rack': doorBack('door-rack'),
	'door-hooks': doorBack('door-hooks'),
	'wall-hooks': wallHooks,
	'cabinet-top': cabinetTop,
	'slide-out': slideOut,
	turntable,
	trolley,
	'side-panel': sidePanel,
	'under-bed': underBed,
	'unused-cupboard': unusedCupboard
};
