import { fixedText, wholeText } from './numbers';
import { type Home, type PlaceRank, type WishPrice, type ZonePlan } from '../core/model';
import { type PlaceKind, type PlanProof, type SchoolVariant, type Worse } from '../core/zoning';

/** How much may move, as one chooses it. */
export const CHANGE_TEXT: Readonly<Record<Home['schools']['change'], string>> = {
	little: 'Change as little as possible',
	some: 'Move what pays back within a month',
	scratch: 'Start from scratch'
};

/** Names a school by what it thinks otherwise; `schools` are its own. */
export function schoolText({ key, schools }: SchoolVariant): string {
	switch (key) {
		case 'as-now':
			return 'As you prefer now';
		case 'near':
			return schools.near === 'use'
				? 'Dishes near where they are used'
				: 'Dishes near the dishwasher';
		case 'change':
			return CHANGE_TEXT[schools.change];
		case 'room':
			return schools.room === 'slack' ? 'Room to grow' : 'Use every inch';
	}
}

/** Names a kind of place. */
export const SPOT_WORDS: Readonly<Record<PlaceKind, string>> = {
	'shallow-drawer': 'shallow drawer',
	'deep-drawer': 'deep drawer',
	'low-drawer': 'drawer below the knee',
	'wall-upper': 'second shelf of a wall cabinet',
	'low-shelf': 'shelf below the knee',
	'knee-to-shoulder': 'between knee and shoulder',
	'wall-shelf': 'lowest wall shelf',
	'above-shoulder': 'above the shoulder',
	top: 'top of a cabinet',
	corner: 'corner',
	slot: 'narrow slot',
	rail: 'rail or hooks',
	door: 'door rack',
	open: 'open shelf',
	larder: 'larder',
	worktop: 'worktop',
	'under-sink': 'under the sink',
	'fridge-top': 'top of the fridge',
	'fridge-middle': 'middle of the fridge',
	'fridge-low': 'bottom of the fridge',
	'fridge-door': 'fridge door',
	crisper: 'crisper',
	bathroom: 'bathroom',
	kitchen: 'kitchen',
	satellite: 'place further off'
};
export const RANK_WORDS: Readonly<Record<PlaceRank, string>> = {
	first: 'first choice',
	fair: 'fine',
	poor: 'better not'
};

/** Says what the wishes for a group cost; null: that was not computed yet. */
export function wishText(price: Pick<WishPrice, 'extra' | 'atMost'> | null): string {
	if (!price) return 'Solve again to see what that costs.';
	const metres = (value: number) => `${wholeText(value)} m`;
	if (price.atMost < 0.5) return 'It costs nothing: the best plan does this anyway.';
	if (price.extra < 0.5)
		return `No better plan was found without it (it could save ${metres(price.atMost)} a week at most).`;
	return `It costs ${metres(price.extra)} of effort a week, at most ${metres(price.atMost)}.`;
}

/** Says which place a plan keeps empty to grow, and what that costs the week; '' where none was asked for. */
export function keptEmptyText(home: Home, { keptEmpty, assignments }: ZonePlan): string {
	if (home.schools.room !== 'slack') return '';
	if (!keptEmpty) return 'No good place could be kept empty for growth.';
	const name = home.nooks[keptEmpty.nookId]?.name ?? 'A place that is gone';
	if (assignments.some(({ nookId }) => nookId === keptEmpty.nookId))
		return `${name} was kept empty for growth, but is in use now.`;
	return keptEmpty.extra < 0.5
		? `${name} is kept empty for that, at no cost.`
		: `${name} is kept empty for that, which adds ${Math.round(keptEmpty.extra)} m to the week’s effort.`;
}

/** So small a share of the effort is nothing that anyone could walk. */
const PROVEN_SHARE = 1e-5;
/** Whether nothing is left between a plan and what no plan can go below. */
export const isProven = (effort: number, bound: number): boolean =>
	effort - bound <= Math.abs(effort) * PROVEN_SHARE;

/** Says how good a plan is at least. */
export function gapText(effort: number, bound: number): string {
	if (isProven(effort, bound)) return 'Proven: no plan is better.';
	const percent = ((effort - bound) / effort) * 100;
	return `No plan can go below ${wholeText(bound)}, so this one is at most ${
		percent < 0.1 ? 'a tenth of a per cent' : `${fixedText(percent, 1)} %`
	} from the best.`;
}

/** Says what came of the search for a proof of so many seconds at most. */
export function proofText(proof: PlanProof, seconds: number): string {
	switch (proof.status) {
		case 'stale':
			return 'The home has changed since this plan was made. Solve again, then prove it.';
		case 'broken':
			return 'This plan breaks a hard rule. Mend that or solve again, then prove it.';
		case 'too-large':
			return proof.saved < 0.05
				? 'This home is too large to prove here, and a long search found nothing better.'
				: `A plan that saves ${fixedText(proof.saved, 1)} m a week was found. This home is too large to prove that it is the best. Undo brings the old one back.`;
		case 'open':
			return `${proof.saved < 0.05 ? '' : `A plan that saves ${fixedText(proof.saved, 1)} m a week was found. `}Not proven within ${seconds} seconds. ${gapText(proof.objective, proof.bound)}`;
		case 'proven':
			return proof.saved < 0.05
				? 'Proven: no plan is better.'
				: `A better plan was found, ${fixedText(proof.saved, 1)} m a week less, and it is proven to be the best. Undo brings the old one back.`;
	}
}

const WORSE_WORDS: Readonly<Record<Worse, string>> = {
	'longer-walk': 'the walk gets longer',
	'fewer-easy': 'fewer things are in easy reach'
};
/** Says in what a plan is worse than today. */
export const worseText = (worse: readonly Worse[]): string =>
	`Worse than today: ${worse.map((one) => WORSE_WORDS[one]).join(' and ')}.`;
