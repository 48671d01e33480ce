import { FitPlanId, GroupId, NookId, type Edit, type FitPlan } from '../model';
import type { Arrangement } from './fit';

/** Makes the edit that keeps an arrangement as the fit plan of its nook; one plan a nook. `now` is an ISO instant. */
export function keepArrangement(
	nookId: string,
	arrangement: Arrangement,
	fingerprint: string,
	now: string
): Edit {
	const plan: FitPlan = {
		id: FitPlanId.parse(`fit-${nookId}`.slice(0, 64)),
		nookId: NookId.parse(nookId),
		placements: [...arrangement.placements],
		standing: [...arrangement.standing],
		leftOver: arrangement.leftOver.map(({ groupId, volumeMl }) => ({
			groupId: GroupId.parse(groupId),
			volumeMl
		})),
		costMinor: arrangement.costMinor,
		fingerprint,
		madeAt: now
	};
	return (draft) => {
		draft.fitPlans[plan.id] = plan;
	};
}
