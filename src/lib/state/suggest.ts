import MiniSearch from 'minisearch';
import { memoOn, type Thing } from '../core/model';

const indexOf = memoOn(
	(home) => [home.things],
	(home) => {
		const index = new MiniSearch<Thing>({
			fields: ['name'],
			searchOptions: {
				prefix: true,
				fuzzy: (term) => (term.length > 4 ? 0.2 : 0),
				combineWith: 'AND'
			}
		});
		index.addAll(Object.values(home.things));
		return index;
	}
);

/** Finds up to `most` known things whose names are like what is typed; the name itself is not repeated. */
export function suggestThings(
	home: Parameters<typeof indexOf>[0],
	typed: string,
	most = 4
): Thing[] {
	if (typed.trim().length < 2) return [];
	return indexOf(home)
		.search(typed)
		.slice(0, most + 1)
		.map((hit) => home.things[String(hit.id)])
		.filter((thing) => thing !== undefined)
		.filter((thing) => thing.name.toLowerCase() !== typed.trim().toLowerCase())
		.slice(0, most);
}
