import { type Room, type Run } from '../model';
import { litres, isDamp, type Finder, type Finding } from './hidden-scene';
import { HANGS_FROM_MM, runAxes, type Places } from './place';

const BOARD_MM = 18;
const AIR_MM = 30;
const TROLLEY_LEAST_MM = 180;
const BED_LEAST_MM = 150;

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
export const trolley: Finder = ({ home }) =>
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
export const sidePanel: Finder = ({ home, places }) =>
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
export const underBed: Finder = ({ home }) =>
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
export const unusedCupboard: Finder = ({ home, places, held }) =>
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
