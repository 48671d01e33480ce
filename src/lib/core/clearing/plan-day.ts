/** A stretch of the day, minutes from midnight; `toMin` is not part of it. */
export interface Stretch {
	readonly fromMin: number;
	readonly toMin: number;
}
export interface DayPlace {
	readonly nookId: string;
	readonly minutes: number;
	/** Of them, to look through and decide; the rest is emptying before and putting back after. */
	readonly emptyMin: number;
	readonly putBackMin: number;
}
export interface DayInput {
	readonly fromMin: number;
	/** Nothing is begun that cannot be closed by then. */
	readonly stopMin: number;
	readonly fixed: readonly Stretch[];
	/** In the order in which they should be done. */
	readonly places: readonly DayPlace[];
	readonly school: 'place-at-a-time' | 'all-at-once';
}
export interface DayBlock extends Stretch {
	/** The place; null: all of the chosen places together. */
	readonly nookId: string | null;
	readonly work: 'clear' | 'empty' | 'decide' | 'put-back';
}
export interface DayPlan {
	readonly blocks: readonly DayBlock[];
	/** Places that the day takes, in the order in which they are done. */
	readonly taken: readonly string[];
	/** Places for which no stretch is long enough any more, with the longest that was free. */
	readonly left: readonly {
		readonly nookId: string;
		readonly minutes: number;
		readonly longestMin: number;
	}[];
	readonly freeMin: number;
}

/** Gives the free stretches of a day between what is fixed, in order. */
export function freeStretches({
	fromMin,
	stopMin,
	fixed
}: Pick<DayInput, 'fromMin' | 'stopMin' | 'fixed'>): Stretch[] {
	const free: Stretch[] = [];
	let at = fromMin;
	for (const busy of [...fixed].sort((a, b) => a.fromMin - b.fromMin)) {
		if (busy.toMin <= at) continue;
		if (busy.fromMin > at) free.push({ fromMin: at, toMin: Math.min(busy.fromMin, stopMin) });
		at = Math.max(at, busy.toMin);
	}
	if (at < stopMin) free.push({ fromMin: at, toMin: stopMin });
	return free.filter((stretch) => stretch.toMin > stretch.fromMin);
}

const length = ({ fromMin, toMin }: Stretch) => toMin - fromMin;
const total = (stretches: readonly Stretch[]) => stretches.reduce((sum, s) => sum + length(s), 0);

/** Each place in the first stretch that holds it whole: what is open when lunch comes is closed again before it. */
function placeAtATime({ places }: DayInput, free: readonly Stretch[]): DayPlan {
	const rest = free.map((stretch) => ({ ...stretch }));
	const blocks: DayBlock[] = [];
	const left: DayPlan['left'][number][] = [];
	for (const { nookId, minutes } of places) {
		const room = rest.find((stretch) => length(stretch) >= minutes);
		if (!room) {
			left.push({ nookId, minutes, longestMin: Math.max(0, ...rest.map(length)) });
			continue;
		}
		blocks.push({ nookId, work: 'clear', fromMin: room.fromMin, toMin: room.fromMin + minutes });
		room.fromMin += minutes;
	}
	blocks.sort((a, b) => a.fromMin - b.fromMin);
	return { blocks, taken: blocks.map((block) => block.nookId!), left, freeMin: total(rest) };
}

/** Everything is emptied first, then decided, then put back; as many places as can be closed by the stop time. */
function allAtOnce({ places }: DayInput, free: readonly Stretch[]): DayPlan {
	const room = total(free);
	const taken: DayPlace[] = [];
	const left: DayPlan['left'][number][] = [];
	let used = 0;
	for (const place of places) {
		if (used + place.minutes <= room) {
			taken.push(place);
			used += place.minutes;
		} else left.push({ nookId: place.nookId, minutes: place.minutes, longestMin: room - used });
	}
	const sum = (of: (place: DayPlace) => number) => taken.reduce((n, place) => n + of(place), 0);
	const work: [DayBlock['work'], number][] = [
		['empty', sum((place) => place.emptyMin)],
		['decide', sum((place) => place.minutes - place.emptyMin - place.putBackMin)],
		['put-back', sum((place) => place.putBackMin)]
	];
	const blocks: DayBlock[] = [];
	const rest = free.map((stretch) => ({ ...stretch }));
	for (const [kind, minutes] of work) {
		let due = minutes;
		for (const stretch of rest) {
			const part = Math.min(due, length(stretch));
			if (part <= 0) continue;
			blocks.push({
				nookId: null,
				work: kind,
				fromMin: stretch.fromMin,
				toMin: stretch.fromMin + part
			});
			stretch.fromMin += part;
			due -= part;
		}
	}
	return { blocks, taken: taken.map((place) => place.nookId), left, freeMin: total(rest) };
}

/**
 * Plans a day of clearing: blocks between fixed times, and nothing begun that cannot be closed by the stop time.
 * A place at a time, each place is a block of its own that no fixed time cuts; all at once, the work runs on over
 * them. Places keep their order, so the most pressing is done first; no place is left out that would have fitted.
 * @example planDay({ fromMin: 540, stopMin: 660, fixed: [], places: [larder56], school: 'place-at-a-time' }).blocks[0].toMin // 596
 */
export function planDay(input: DayInput): DayPlan {
	const free = freeStretches(input);
	return input.school === 'all-at-once' ? allAtOnce(input, free) : placeAtATime(input, free);
}
