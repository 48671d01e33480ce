import { blankNook, CabinetId, NookId, RunId, type Edit, type Home } from '../model';
import { partOf } from './parts';
import { bedRunName } from './hidden-floor';
import type { HiddenPlace } from './hidden-place';
import { addShelf } from './shape-edits';

const TIERS = 3;

/** Adds a cabinet with nothing known of it but its size, for what is set on the floor. */
function addBody(
	draft: Home,
	runId: RunId,
	id: string,
	part: Pick<
		Home['cabinets'][string],
		'name' | 'form' | 'offsetMm' | 'baseMm' | 'widthMm' | 'heightMm' | 'depthMm'
	>
): CabinetId {
	const cabinetId = CabinetId.parse(id);
	draft.cabinets[cabinetId] = {
		...part,
		id: cabinetId,
		runId,
		front: 'open',
		shelves: null,
		climate: [],
		lockable: false,
		childCatch: false
	};
	return cabinetId;
}

/**
 * Makes the edit that turns a found place into a nook, with the load it may carry (`loadG`, by its rating where that
 * was asked for). A second shelf splits the nook it stands in; a turntable makes its shelf a carousel.
 */
export function acceptHidden(place: HiddenPlace, loadG: number, newId: () => string): Edit {
	return (draft) => {
		const add = (
			cabinetId: CabinetId,
			part: Pick<Home['nooks'][string], 'name' | 'kind' | 'at' | 'inside'>,
			load = loadG
		) => {
			const id = NookId.parse(newId());
			draft.nooks[id] = {
				...blankNook(),
				...part,
				id,
				cabinetId,
				loadG: load > 0 ? load : null,
				adjustable: false,
				found: place.kind
			};
		};
		const { make } = place;
		switch (make.as) {
			case 'nook': {
				const cabinet = draft.cabinets[make.cabinetId];
				if (cabinet) add(cabinet.id, structuredClone(make.nook));
				return;
			}
			case 'shelf': {
				const before = new Set(Object.keys(draft.nooks));
				addShelf(make.nookId, make.clearMm, newId)(draft);
				for (const nook of Object.values(draft.nooks))
					if (!before.has(nook.id)) Object.assign(nook, { found: place.kind, loadG });
				return;
			}
			case 'carousel': {
				const nook = draft.nooks[make.nookId];
				if (nook) Object.assign(nook, { kind: 'carousel', found: place.kind });
				return;
			}
			case 'trolley': {
				const run = draft.runs[make.runId];
				if (!run) return;
				const cabinetId = addBody(draft as Home, run.id, newId(), {
					name: 'Gap trolley',
					form: 'trolley',
					offsetMm: make.offsetMm,
					baseMm: 60,
					widthMm: make.widthMm,
					heightMm: 800,
					depthMm: 500
				});
				for (let tier = 0; tier < TIERS; tier++)
					add(
						cabinetId,
						{
							name: `Gap trolley: tier ${tier + 1}`,
							kind: 'trolley',
							at: { xMm: 20, zMm: 20 + tier * 260 },
							inside: { widthMm: make.widthMm - 40, depthMm: 460, heightMm: 220 }
						},
						Math.floor(loadG / TIERS)
					);
				return;
			}
			case 'under-bed': {
				const room = draft.rooms[make.roomId];
				const bed = partOf(room?.obstacles, make.obstacleId);
				if (!room || !bed) return;
				const runId = RunId.parse(newId());
				// Drawn from its near side: whoever kneels there sees its left end on the left.
				draft.runs[runId] = {
					id: runId,
					roomId: room.id,
					name: bedRunName(room, bed.name),
					from: { x: bed.x, y: bed.y },
					to: { x: bed.x + bed.widthMm, y: bed.y }
				};
				const widthMm = Math.round(bed.widthMm * 0.9);
				const cabinetId = addBody(draft as Home, runId, newId(), {
					name: bed.name || 'Bed',
					form: 'under-bed',
					offsetMm: Math.round((bed.widthMm - widthMm) / 2),
					baseMm: 0,
					widthMm,
					heightMm: bed.clearBelowMm,
					depthMm: bed.depthMm
				});
				add(cabinetId, {
					name: `Under ${bed.name || 'the bed'}`,
					kind: 'under-bed',
					at: { xMm: 0, zMm: 0 },
					inside: {
						widthMm,
						depthMm: Math.round(bed.depthMm / 2),
						heightMm: Math.max(0, bed.clearBelowMm - 30)
					}
				});
				return;
			}
		}
	};
}
