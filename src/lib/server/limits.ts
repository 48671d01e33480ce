import type { Home } from '../core/model';
import type { Issue } from '../workers/job.protocol';

/** What a home may hold to be computed on the server; a browser computes its own home at its own pace. */
export const MOST_FOR_SERVER = {
	nooks: 400,
	groups: 400,
	/** Places × groups: each pair is judged by every rule. */
	pairs: 80_000,
	things: 20_000,
	lots: 40_000,
	/** In one room, and in all of them: walks are measured round each. */
	cornersInRoom: 80,
	corners: 500,
	obstacles: 500,
	/** Obstructions in one place: the room between them is cut into boxes. */
	obstructionsInNook: 30,
	containerKinds: 500
} as const;

const count = (records: object): number => Object.keys(records).length;
const sum = (values: readonly number[]): number =>
	values.reduce((total, value) => total + value, 0);
const words = (value: number): string => value.toLocaleString('en');

/** Lists what of a home is more than the server computes, with what it has and what it may have. */
export function tooMuch(home: Home): Issue[] {
	const rooms = Object.values(home.rooms);
	const corners = rooms.map(({ outline }) => outline.length);
	const inNooks = Object.values(home.nooks).map(({ obstructions }) => obstructions.length);
	const most = MOST_FOR_SERVER;
	const figures: readonly (readonly [path: string, what: string, has: number, may: number])[] = [
		['home.nooks', 'places', count(home.nooks), most.nooks],
		['home.groups', 'groups', count(home.groups), most.groups],
		['home.groups', 'places × groups', count(home.nooks) * count(home.groups), most.pairs],
		['home.things', 'things', count(home.things), most.things],
		['home.lots', 'lots', count(home.lots), most.lots],
		['home.rooms', 'corners in one room', Math.max(0, ...corners), most.cornersInRoom],
		['home.rooms', 'corners', sum(corners), most.corners],
		['home.rooms', 'obstacles', sum(rooms.map((room) => room.obstacles.length)), most.obstacles],
		['home.nooks', 'obstructions in one place', Math.max(0, ...inNooks), most.obstructionsInNook],
		['home.containerKinds', 'container kinds', count(home.containerKinds), most.containerKinds]
	];
	return figures
		.filter(([, , has, may]) => has > may)
		.map(([path, what, has, may]) => ({
			code: 'too-much',
			path,
			reason: `The home has ${words(has)} ${what}; the server computes at most ${words(may)}. Send a smaller part of it, or plan it in the browser.`
		}));
}
