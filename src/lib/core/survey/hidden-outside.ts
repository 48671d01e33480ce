import { type Cabinet, type Nook } from '../model';
import { isMeasured, litres, isDamp, SHELVES, type Finder } from './hidden-scene';
import { HANGS_FROM_MM, type NookPlace } from './place';
import { climateTags } from './totals';

const AIR_MM = 30;
/** Handbook: free gap of a door back is from shelf front to closed door, less 5 mm; below 60 mm only flat things. */
const DOOR_PLAY_MM = 5;
const FLAT_MM = 60;
const TOP_LEAST_MM = 200;

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

export const doorBack =
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
export const wallHooks: Finder = ({ home, places }) =>
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
export const cabinetTop: Finder = ({ home, places }) =>
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
