import { inEach, withMore, type Row } from './with-more';

const rows = (value: unknown): Row[] => (Array.isArray(value) ? (value as Row[]) : []);

/** Gives each part of a list an id by its place: what was the third corner is `corner-3` from now on. */
const named = (parts: unknown, kind: string): Row[] =>
	rows(parts).map((part, i) => ({ id: `${kind}-${i + 1}`, ...part }));

/** Labels stood under the place and the index of their container: `nook-0` is that of its first. */
const containerOf = ({ id }: Row): string =>
	`container-${Number(/-(\d+)$/.exec(String(id))?.[1] ?? 0) + 1}`;

/** Carries a home from version 4 to 5: what one can point at has an id instead of a position. */
export function toVersion5(home: unknown): unknown {
	const from = home as Row;
	return {
		...from,
		rooms: inEach(from.rooms, (room) => ({
			outline: named(room.outline, 'corner'),
			doors: named(room.doors, 'door'),
			obstacles: named(room.obstacles, 'obstacle'),
			sockets: named(room.sockets, 'socket')
		})),
		nooks: inEach(from.nooks, (nook) => ({
			obstructions: named(nook.obstructions, 'obstruction')
		})),
		fitPlans: inEach(from.fitPlans, (plan) => ({
			placements: named(plan.placements, 'container'),
			standing: named(plan.standing, 'block')
		})),
		marks: withMore(from.marks, (mark) => ({ placementId: containerOf(mark) }))
	};
}
