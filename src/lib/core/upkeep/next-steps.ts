import { pastByPlace } from '../clearing';
import { fitFingerprint, fittable } from '../fitting';
import { keptThings, looseThings, unknownThings } from '../grouping';
import { countPast, shoppingList, useFirst } from '../rotation';
import { containerLabels, isUnprinted, placeLabels } from '../marking';
import { activePlan, decidedLots, memoOn, stock, type Home, type Stage } from '../model';
import { checkSurvey, estimatedPlaces, tapeList } from '../survey';
import { zoneFingerprint } from '../zoning';
import { resetsDue } from './resets';

export type NextStep = { readonly stage: Stage } & (
	| { readonly code: 'add-cabinets' }
	| { readonly code: 'say-who' }
	| { readonly code: 'measure'; readonly count: number }
	| { readonly code: 'measure-estimates'; readonly count: number }
	| { readonly code: 'check-survey'; readonly count: number }
	| { readonly code: 'enter-stock' }
	| { readonly code: 'decide-past'; readonly count: number }
	| { readonly code: 'say-kinds'; readonly count: number }
	| { readonly code: 'sort-loose'; readonly count: number }
	| { readonly code: 'make-plan' }
	| { readonly code: 'plan-stale' }
	| { readonly code: 'overflow'; readonly count: number }
	| { readonly code: 'fit-nooks'; readonly count: number }
	| { readonly code: 'fit-stale'; readonly count: number }
	| { readonly code: 'print-labels'; readonly count: number }
	| { readonly code: 'use-first'; readonly count: number }
	| { readonly code: 'shop'; readonly count: number }
	| { readonly code: 'make-resets' }
	| { readonly code: 'resets'; readonly count: number }
);

/** How far each stage is for a home, 0 to 1; null where there is nothing to measure yet. */
export type StageProgress = Readonly<Record<Stage, number | null>>;

const share = (done: number, of: number): number | null => (of > 0 ? done / of : null);

/** Nooks that the plan in force gives to groups. */
const plannedNooks = (home: Home) =>
	new Set((activePlan(home)?.assignments ?? []).map(({ nookId }) => nookId as string));

const lotsDecided = memoOn(['lots', 'decisions'], (home) => {
	const decided = decidedLots(home);
	return stock(home).filter(({ id }) => decided.has(id)).length;
});

/** Labels that are made here: those of containers, or of places where there is no container. */
const ownLabels = (home: Home) => {
	const onContainers = containerLabels(home);
	return onContainers.length ? onContainers : placeLabels(home);
};
const labelsToPrint = (home: Home): number =>
	ownLabels(home).filter((label) => isUnprinted(home, label)).length;
const labelsDone = (home: Home): number | null => {
	const wanted = ownLabels(home).filter(({ bare }) => !bare).length;
	return share(wanted - labelsToPrint(home), wanted);
};
/** Something was taken down, cooked, thrown out or put in: before that nothing was turned, however fresh it is. */
const isTurning = memoOn(['useEvents'], (home) => Object.keys(home.useEvents).length > 0);
const isKeeping = (home: Home): boolean =>
	Object.values(home.resets).some(({ lastDoneOn, log }) => lastDoneOn !== null || log.length > 0);

/**
 * Measures how far each stage is; null for one that was not begun, however good it looks. `today` is an ISO date.
 */
export function stageProgress(home: Home, today: string): StageProgress {
	const nooks = Object.keys(home.nooks).length;
	const things = keptThings(home);
	const lots = stock(home).length;
	const plan = activePlan(home);
	const planned = plannedNooks(home);
	const fits = Object.values(home.fitPlans).filter((fit) => planned.has(fit.nookId));
	const due = resetsDue(home, today);
	const past = countPast(home, today);
	const groups = new Set(plan?.assignments.map(({ groupId }) => groupId)).size;
	return {
		walk: share(nooks - tapeList(home).length - estimatedPlaces(home).length, nooks),
		clear: share(lotsDecided(home), lots),
		sort: share(things - looseThings(home).length, things),
		place: plan ? share(groups, groups + plan.overflow.length) : things ? 0 : null,
		fit: planned.size ? share(fits.length, planned.size) : null,
		mark: plan ? labelsDone(home) : null,
		turn: isTurning(home) ? share(lots - past, lots) : null,
		keep: isKeeping(home)
			? share(due.filter((reset) => reset.daysLeft >= 0).length, due.length)
			: null
	};
}

/**
 * Lists what to do next in a home, in the order of the work: what blocks later stages first.
 * `today` is an ISO date. An empty home is told where to begin.
 */
export function nextSteps(home: Home, today: string): NextStep[] {
	const steps: NextStep[] = [];
	const add = (step: NextStep | false) => step && steps.push(step);
	const missing = tapeList(home).length;
	const doubtful = checkSurvey(home).filter((issue) => issue.code !== 'size-missing').length;
	const things = Object.keys(home.things).length;
	const loose = looseThings(home).length;
	const unknown = unknownThings(home).length;
	const past = countPast(home, today);
	const toDecide = [...pastByPlace(home, today).values()].reduce((sum, count) => sum + count, 0);
	const soon = Math.max(0, useFirst(home, today, 14).length - past);
	const plan = activePlan(home);
	const nooks = Object.keys(home.nooks).length;
	add(!nooks && { stage: 'walk', code: 'add-cabinets' });
	add(nooks > 0 && !Object.keys(home.people).length && { stage: 'walk', code: 'say-who' });
	add(missing > 0 && { stage: 'walk', code: 'measure', count: missing });
	const estimated = estimatedPlaces(home).length;
	add(estimated > 0 && { stage: 'walk', code: 'measure-estimates', count: estimated });
	add(doubtful > 0 && { stage: 'walk', code: 'check-survey', count: doubtful });
	add(!things && { stage: 'clear', code: 'enter-stock' });
	add(toDecide > 0 && { stage: 'clear', code: 'decide-past', count: toDecide });
	add(unknown > 0 && { stage: 'sort', code: 'say-kinds', count: unknown });
	add(loose > 0 && { stage: 'sort', code: 'sort-loose', count: loose });
	if (things && nooks) {
		if (!plan) add({ stage: 'place', code: 'make-plan' });
		else if (plan.fingerprint !== zoneFingerprint(home))
			add({ stage: 'place', code: 'plan-stale' });
	}
	add(!!plan?.overflow.length && { stage: 'place', code: 'overflow', count: plan.overflow.length });
	const planned = plannedNooks(home);
	const fits = Object.values(home.fitPlans).filter((fit) => planned.has(fit.nookId));
	add(
		planned.size > fits.length && {
			stage: 'fit',
			code: 'fit-nooks',
			count: planned.size - fits.length
		}
	);
	const stale = fits.filter(
		(fit) => fit.fingerprint !== fitFingerprint(fittable(home, today), fit.nookId)
	).length;
	add(stale > 0 && { stage: 'fit', code: 'fit-stale', count: stale });
	const labels = plan ? labelsToPrint(home) : 0;
	add(labels > 0 && { stage: 'mark', code: 'print-labels', count: labels });
	add(soon > 0 && { stage: 'turn', code: 'use-first', count: soon });
	const buy = shoppingList(home, today).length;
	add(buy > 0 && { stage: 'turn', code: 'shop', count: buy });
	const overdue = resetsDue(home, today).filter((reset) => reset.daysLeft <= 0).length;
	add(
		planned.size > 0 && !Object.keys(home.resets).length && { stage: 'keep', code: 'make-resets' }
	);
	add(overdue > 0 && { stage: 'keep', code: 'resets', count: overdue });
	return steps;
}
