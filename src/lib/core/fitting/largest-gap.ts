import { waysDown, type Home, type Thing } from '../model';
import { partBoxes, type Stood } from './by-hand';

/** Width that is free from front to back in a place where so much stands, mm: the widest strip that nothing stands in. */
export function largestGapMm(home: Home, nookId: string, stood: Stood): number {
	const widthMm = home.nooks[nookId]?.inside.widthMm ?? 0;
	const spans = partBoxes(home, stood)
		.map(({ x, w }) => [x, x + w] as const)
		.sort((a, b) => a[0] - b[0]);
	let at = 0;
	let widest = 0;
	for (const [from, to] of [...spans, [widthMm, widthMm] as const]) {
		widest = Math.max(widest, from - at);
		at = Math.max(at, to);
	}
	return Math.max(0, Math.floor(widest));
}

/** The least width that one of a thing takes of a shelf, however it is turned or laid, mm. */
export const leastWidthMm = (thing: Pick<Thing, 'name' | 'category' | 'piece'>): number =>
	Math.min(...waysDown(thing).map(({ narrowMm }) => narrowMm));
