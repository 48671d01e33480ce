import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { ComputationName } from '../src/lib/server/compute-limits';

export interface FuzzRequest {
	readonly name: ComputationName;
	readonly body: string;
	/** What was done to a sound request, for whoever looks into an answer. */
	readonly what: string;
}
type Tree = Record<string, unknown>;

const ODD: readonly unknown[] = [
	null,
	true,
	0,
	-1,
	0.5,
	1e9,
	1e308,
	'',
	'x',
	'constructor',
	'__proto__',
	'toString',
	'Infinity',
	'-0',
	'NaN',
	'x'.repeat(70_000),
	[],
	[[]],
	{},
	{ __proto__: 1, length: 3 },
	'\u0000',
	'2026-02-31'
];
const ODD_IDS = [
	'Infinity',
	'-0',
	'NaN',
	'0',
	'1e3',
	'__proto__',
	'constructor',
	'-',
	'x'.repeat(64)
];
const ODD_NUMBERS = [0, 1, 5, 10, 299, 300, 301, 9_999, 99_999, 100_000, -1, 0.1];

/** Makes requests from a seed: sound ones of the given homes, as plain data, with a few things changed in each. */
export function fuzzRequests(seed: number, count: number, homes: readonly object[]): FuzzRequest[] {
	const rng = xoroshiro128plus(seed);
	const below = (limit: number) => (rng.next() >>> 0) % limit;
	const pick = <T>(list: readonly T[]): T => list[below(list.length)]!;
	const paths = (tree: unknown, path: string[] = [], out: string[][] = []): string[][] => {
		if (path.length) out.push(path);
		if (typeof tree === 'object' && tree !== null)
			for (const [key, value] of Object.entries(tree)) paths(value, [...path, key], out);
		return out;
	};
	const parentOf = (tree: Tree, path: readonly string[]) =>
		path.slice(0, -1).reduce<unknown>((node, key) => (node as Tree | null)?.[key], tree) as Tree;

	const changes: readonly ((home: Tree, options: Tree) => string)[] = [
		(home) => {
			const path = pick(paths(home));
			const value = pick(ODD);
			const parent = parentOf(home, path);
			if (typeof parent === 'object' && parent) parent[path.at(-1)!] = value;
			return `${path.join('.')} = ${JSON.stringify(value).slice(0, 30)}`;
		},
		(home) => {
			const path = pick(paths(home));
			const parent = parentOf(home, path);
			if (typeof parent === 'object' && parent) delete parent[path.at(-1)!];
			return `without ${path.join('.')}`;
		},
		(home) => {
			const numbers = paths(home).filter(
				(path) => typeof parentOf(home, path)?.[path.at(-1)!] === 'number'
			);
			const path = pick(numbers);
			const value = pick(ODD_NUMBERS);
			parentOf(home, path)[path.at(-1)!] = value;
			return `${path.join('.')} = ${value}`;
		},
		(home) => {
			const settings = paths(home.settings ?? {}, ['settings']).filter(
				(path) => typeof parentOf(home, path)?.[path.at(-1)!] === 'number'
			);
			if (!settings.length) return 'no settings';
			const path = pick(settings);
			const value = pick([0, 1, 10, 300, 1000, 100_000, -1]);
			parentOf(home, path)[path.at(-1)!] = value;
			return `${path.join('.')} = ${value}`;
		},
		(home) => {
			const lists = paths(home).filter((path) =>
				Array.isArray(parentOf(home, path)?.[path.at(-1)!])
			);
			const path = pick(lists);
			const list = parentOf(home, path)[path.at(-1)!] as unknown[];
			const times = pick([2, 50, 2000]);
			if (list.length)
				for (let i = 0; i < times; i++) {
					const item = structuredClone(list[i % list.length]) as Tree;
					if (typeof item === 'object' && item && 'id' in item) item.id = `f${i}`;
					if (typeof item === 'object' && item && 'x' in item) item.x = Number(item.x) + i;
					list.push(item);
				}
			return `${path.join('.')} × ${times}`;
		},
		(home) => {
			const collection = pick(['stations', 'nooks', 'groups', 'things', 'lots', 'rooms', 'people']);
			const records = home[collection] as Tree | undefined;
			const ids = Object.keys(records ?? {});
			if (!ids.length) return 'no records';
			const [from, to] = [pick(ids), pick(ODD_IDS)];
			const text = JSON.stringify(home).replaceAll(`"${from}"`, `"${to}"`);
			Object.assign(home, JSON.parse(text));
			return `${collection} ${from} → ${to}`;
		},
		(home) => {
			const nooks = Object.values((home.nooks as Tree | undefined) ?? {}) as { inside?: Tree }[];
			const side = pick(['widthMm', 'depthMm', 'heightMm']);
			const mm = pick([0, 1, 9, 10, 11, 300, 100_000, null]);
			for (const nook of nooks) if (nook?.inside) nook.inside[side] = mm;
			return `all ${side} ${mm}`;
		},
		(home) => {
			const things = Object.values((home.things as Tree | undefined) ?? {}) as { piece?: Tree }[];
			const mm = pick([0, 1, 100_000]);
			for (const thing of things) if (thing?.piece) thing.piece.heightMm = mm;
			return `all pieces ${mm} high`;
		},
		(home) => {
			const lots = Object.values((home.lots as Tree | undefined) ?? {}) as { count?: unknown }[];
			for (const lot of lots) if (lot) lot.count = pick([0, 0.001, 1_000_000]);
			return 'counts';
		},
		(_home, options) => {
			const name = pick(['moves', 'seed', 'budgetMs', 'nookIds', 'seconds', '__proto__', 'odd']);
			options[name] = pick([...ODD, 50_000_000, ['constructor'], ['__proto__'], ['x', 'x']]);
			return `options.${name}`;
		}
	];
	return Array.from({ length: count }, () => {
		const home = structuredClone(pick(homes)) as Tree;
		const name = pick(['place', 'fit', 'prove'] as const);
		const nookIds = Object.keys(home.nooks as Tree);
		const options: Tree =
			name === 'fit'
				? { nookIds: nookIds.slice(0, 1 + below(nookIds.length)), budgetMs: 2000 }
				: name === 'place'
					? { moves: 2000, budgetMs: 2000 }
					: { seconds: 2 };
		const what = Array.from({ length: 1 + below(3) }, () => pick(changes)(home, options)).join(
			'; '
		);
		let body = JSON.stringify({ home, options });
		if (below(20) === 0) body = body.slice(0, below(body.length));
		return { name, body, what };
	});
}
