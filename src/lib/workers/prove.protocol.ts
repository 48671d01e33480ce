import { z } from 'zod';
import { Home } from '../core/model';
import { provePlan, type PlanProof } from '../core/zoning';
import { type IntegerSolver } from '../core/solvers/integer';
import { issuesOf, type Handled } from './job.protocol';

export const ProvePayload = z.object({
	home: Home,
	options: z
		.object({ seconds: z.int().min(1).max(120) })
		.partial()
		.default({})
});

export interface ProveProgress {
	/** What no plan can go below, m a week. */
	readonly bound: number;
}

const DEFAULT_SECONDS = 30;

/**
 * Proves the plan in force of a home, with a general solver that is loaded once it is known to be needed. The same for
 * the worker, the route and the tests.
 */
export async function handleProve(
	payload: unknown,
	onProgress: ((progress: ProveProgress) => void) | undefined,
	load: () => Promise<IntegerSolver>
): Promise<Handled<PlanProof>> {
	const parsed = ProvePayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	if (!plan)
		return {
			ok: false,
			issues: [
				{ code: 'no-plan', path: 'home.activePlanId', reason: 'This home has no plan to prove.' }
			]
		};
	const result = provePlan(home, plan, {
		solver: await load(),
		seconds: options.seconds ?? DEFAULT_SECONDS,
		onBound: (bound) => onProgress?.({ bound })
	});
	return { ok: true, result };
}
