import type { Home } from '../model';

/** The words of one label, ready to be laid on a sheet. */
export interface LabelText {
	/** Id of the container it is on, with its nook: unique in the home. */
	readonly id: string;
	readonly nookId: string;
	readonly placementId: string;
	readonly groupId: string;
	readonly title: string;
	/** A smaller second line: where it lives. */
	readonly note: string;
	/** Two letters of the group's tag. */
	readonly code: string;
	readonly hue: number;
	/** Seen from above in drawers and chests, else from the front. */
	readonly side: 'front' | 'top';
}

/**
 * Proposes one label a container of the kept fit plans, broad as the group's name; words changed by hand win.
 * Bins of one group in one nook carry the same words, so that any of them may be refilled.
 */
export function proposeLabels(home: Home, nookIds?: readonly string[]): LabelText[] {
	const plans = Object.values(home.fitPlans).filter(
		(plan) => !nookIds || nookIds.includes(plan.nookId)
	);
	const own = new Map(
		Object.values(home.marks).map((mark) => [`${mark.nookId}/${mark.placementId}`, mark])
	);
	return plans.flatMap((plan) => {
		const nook = home.nooks[plan.nookId];
		if (!nook) return [];
		const top =
			nook.kind === 'drawer' || nook.kind.startsWith('chest') || nook.kind === 'freezer-drawer';
		return plan.placements.flatMap((placement): LabelText[] => {
			const group = home.groups[placement.groupId];
			if (!group) return [];
			const id = `${plan.nookId}/${placement.id}`;
			const words = own.get(id);
			return [
				{
					id,
					nookId: plan.nookId,
					placementId: placement.id,
					groupId: group.id,
					title: words?.text ?? group.name,
					note: words?.note ?? nook.name,
					code: group.tag.code,
					hue: group.tag.hue,
					side: top ? 'top' : 'front'
				}
			];
		});
	});
}
