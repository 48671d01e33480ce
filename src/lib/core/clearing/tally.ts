import { pieceVolumeMl, type Decision, type Home, type Verdict } from '../model';

export interface TallyLine {
	readonly verdict: Verdict;
	readonly things: number;
	readonly volumeMl: number;
	/** Money of what was thrown away, minor units, where prices are known. */
	readonly lostMinor: number;
}

/** Sums decisions by verdict, in the order of first use: how many, how much room, what money. */
export function tally(home: Home, decisions: readonly Decision[]): TallyLine[] {
	const lines = new Map<Verdict, TallyLine>();
	for (const { verdict, thingId, count } of decisions) {
		const thing = home.things[thingId];
		const line = lines.get(verdict) ?? { verdict, things: 0, volumeMl: 0, lostMinor: 0 };
		const lost = verdict === 'discard' || verdict === 'hazardous';
		lines.set(verdict, {
			verdict,
			things: line.things + count,
			volumeMl: line.volumeMl + (thing ? pieceVolumeMl(thing) * count : 0),
			lostMinor: line.lostMinor + (lost ? Math.round((thing?.priceMinor ?? 0) * count) : 0)
		});
	}
	return [...lines.values()];
}
