import type { CollectionName, Home } from '../model';

/** Links that must lead to a record: [collection, field, target collection]. */
const LINKS: readonly (readonly [CollectionName, string, CollectionName])[] = [
	['runs', 'roomId', 'rooms'],
	['stations', 'roomId', 'rooms'],
	['cabinets', 'runId', 'runs'],
	['nooks', 'cabinetId', 'cabinets'],
	['things', 'groupId', 'groups'],
	['lots', 'thingId', 'things'],
	['lots', 'nookId', 'nooks'],
	['groups', 'stockOf', 'groups'],
	['resets', 'cabinetId', 'cabinets'],
	['fitPlans', 'nookId', 'nooks'],
	['useEvents', 'thingId', 'things'],
	['decisions', 'thingId', 'things']
];

/** Lists links that lead nowhere, and records whose id is not the key they stand under. */
export function brokenLinks(home: Home): { path: string; missing: string }[] {
	const found = LINKS.flatMap(([from, field, to]) =>
		Object.entries(home[from] as Record<string, Record<string, unknown>>).flatMap(
			([id, record]) => {
				const target = record[field];
				return typeof target === 'string' && !(target in home[to])
					? [{ path: `${from}.${id}.${field}`, missing: target }]
					: [];
			}
		)
	);
	const collections = [...new Set(LINKS.map(([from]) => from))];
	const misnamed = collections.flatMap((name) =>
		Object.entries(home[name]).flatMap(([key, record]) =>
			record.id === key ? [] : [{ path: `${name}.${key}.id`, missing: key }]
		)
	);
	return [...found, ...misnamed];
}
