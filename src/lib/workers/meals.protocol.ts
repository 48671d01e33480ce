import { z } from 'zod';
import { Home, IsoDate, MEAL_SLOTS } from '../core/model';
import { planWeek, type MealWeek } from '../core/rotation';
import type { IntegerSolver } from '../core/solvers/integer';
import { issuesOf, type Handled } from './job.protocol';

export const MealsPayload = z.object({
	home: Home,
	options: z.object({
		from: IsoDate,
		today: IsoDate,
		days: z.int().min(1).max(31),
		slots: z.array(z.enum(MEAL_SLOTS)).min(1).max(MEAL_SLOTS.length),
		servings: z.int().min(1).max(100)
	})
});
const SECONDS = 10;

/** Plans the meals of some days; the same for the worker and the tests. `load` fetches the general solver. */
export async function handleMeals(
	payload: unknown,
	load: () => Promise<IntegerSolver>
): Promise<Handled<MealWeek>> {
	const parsed = MealsPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	return { ok: true, result: planWeek(home, options, options.today, await load(), SECONDS) };
}
