import { z } from 'zod';
import { Home } from '../core/model';
import { DEFAULT_HELP, likelyHelps, whatHelps, type Helped } from '../core/zoning';
import { issuesOf, type Handled } from './job.protocol';

export const HelpPayload = z.object({ home: Home });

export interface HelpProgress {
	/** Share of the changes that were tried, 0 to 1. */
	readonly doneShare: number;
	/** Those that help, of the ones tried, the best first. */
	readonly found: readonly Helped[];
}

/** Tries what might help the plan in force of a home; the same for the worker and the tests. */
export function handleHelp(
	payload: unknown,
	onProgress?: (progress: HelpProgress) => void
): Handled<readonly Helped[]> {
	const parsed = HelpPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home } = parsed.data;
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	if (!plan)
		return {
			ok: false,
			issues: [
				{ code: 'no-plan', path: 'home.activePlanId', reason: 'This home has no plan to help.' }
			]
		};
	const helps = likelyHelps(home, plan.overflow);
	return {
		ok: true,
		result: whatHelps(home, plan, helps, DEFAULT_HELP, (found, doneShare) =>
			onProgress?.({ found, doneShare })
		)
	};
}
