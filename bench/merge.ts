import { generateHome } from '../src/lib/core/fixtures/generate-home';
import { mergeHomes, mergeIn } from '../src/lib/core/merge';
import { applyEdit, type Home } from '../src/lib/core/model';
import { median, round } from './measure';

const RUNS = 5;
const EDITS = 500;

/** Merges two copies of a large home with 500 edits each, a fifth of them on the same records. */
export function benchMerge(): object {
	const home = generateHome({
		seed: 1,
		rooms: 8,
		cabinets: 60,
		groups: 120,
		things: 5000,
		lots: 10_000
	});
	const ids = Object.keys(home.lots);
	const edited = (from: number): Home =>
		applyEdit(home, (draft) => {
			for (let i = 0; i < EDITS; i++) draft.lots[ids[from + i]!]!.batch = `${from}`;
		}).home;
	// As they come from files: nothing is the same object.
	const [base, ours, theirs] = [home, edited(0), edited(400)].map(
		(each) => JSON.parse(JSON.stringify(each)) as Home
	);
	const merged = median(RUNS, () => mergeHomes(base!, ours!, theirs!));
	const { records, head, conflicts } = merged.value;
	const taken = median(RUNS, () => applyEdit(ours!, mergeIn(records, head)));
	return {
		bench: 'merge of two copies, 5,000 things, 10,000 lots, 500 edits each',
		conflicts: conflicts.length,
		mergeMs: round(merged.ms),
		takeInMs: round(taken.ms)
	};
}
