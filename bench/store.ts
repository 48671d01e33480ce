import { spawnSync } from 'node:child_process';
import { round } from './measure';

/** Plays stories of three tabs on one database; the same property as in the tests, with another seed and more of them. */
export function benchStore(stories: number, seed = 2002): object {
	const from = performance.now();
	const { status, stdout } = spawnSync(
		'npx',
		['vitest', 'run', 'src/lib/state/store-model.prop.test.ts'],
		{
			encoding: 'utf8',
			env: { ...process.env, STORE_STORIES: String(stories), STORE_SEED: String(seed) }
		}
	);
	const happenings = Number(/happenings: (\d+)/.exec(stdout)?.[1] ?? 0);
	return {
		bench: 'store',
		seed,
		stories,
		happenings,
		held: status === 0,
		seconds: round((performance.now() - from) / 1000),
		...(status === 0 ? {} : { said: stdout.slice(-2000) })
	};
}
