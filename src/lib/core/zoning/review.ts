import type { Home, ZonePlan } from '../model';
import { reviewHob, reviewLarder, reviewSplits, reviewTrifles } from './review-kitchen';
import { reviewCabinets, reviewFridges, reviewPlace } from './review-place';
import { standings, type Objection } from './review-standing';

export { REVIEW_CODES, type Objection, type ReviewCode } from './review-standing';

/**
 * Lists what a practitioner would object to in a plan, made by hand or computed, worst first, then in walking order. It
 * looks at things, places and heights by itself and shares nothing with the rules of the solver but the records.
 */
export function reviewPlan(home: Home, plan: Pick<ZonePlan, 'assignments'>): readonly Objection[] {
	const all = standings(home, plan);
	const hasToddler = Object.values(home.people).some(({ ageBand }) => ageBand === 'toddler');
	const found = [
		...all.flatMap((one) => reviewPlace(one, hasToddler)),
		...all.flatMap(reviewTrifles),
		...reviewFridges(all),
		...reviewCabinets(all),
		...reviewLarder(all),
		...reviewSplits(all),
		...reviewHob(home, all)
	];
	return found.sort((a, b) => b.grade - a.grade);
}
