import { describe, expect, it } from 'vitest';
import { tinyHome } from '../core/fixtures/tiny-home';
import type { PlaceProgress, PlaceResult } from '../core/zoning';
import type { JobOutcome } from '../workers/job-client';
import { PlaceJob } from './place-job.svelte';

/** A planner that answers when it is told to. */
function runner() {
	const runs: {
		settle: (outcome: JobOutcome<PlaceResult>) => void;
		progress: (best: string) => void;
	}[] = [];
	return {
		runs,
		run: (_payload: unknown, onProgress?: (progress: PlaceProgress) => void) =>
			new Promise<JobOutcome<PlaceResult>>((settle) =>
				runs.push({ settle, progress: (best) => onProgress?.({ best } as never) })
			),
		cancel: () => runs.at(-1)?.settle({ kind: 'cancelled' })
	};
}
const options = { seed: 1, moves: 1 };
const done = (result: string): JobOutcome<PlaceResult> => ({
	kind: 'done',
	result: result as never
});

describe('a run of the planner', () => {
	it('gives its plan, or the best so far when it is stopped', async () => {
		const planner = runner();
		const job = new PlaceJob(planner);
		const whole = job.start(tinyHome(), options);
		expect(job.state.kind).toBe('running');
		planner.runs[0]!.settle(done('plan'));
		expect(await whole).toBe('plan');
		const cut = job.start(tinyHome(), options);
		planner.runs[1]!.progress('half');
		job.stop();
		expect(await cut).toBe('half');
		expect(job.state.kind).toBe('idle');
	});
	it('gives nothing when it is left, whatever it had found', async () => {
		const planner = runner();
		const job = new PlaceJob(planner);
		const left = job.start(tinyHome(), options);
		planner.runs[0]!.progress('half');
		job.leave();
		expect(await left).toBeNull();
		expect(job.state.kind).toBe('idle');
	});
	it('is nobody’s any more once another was started', async () => {
		const planner = runner();
		const job = new PlaceJob(planner);
		const first = job.start(tinyHome(), options);
		const second = job.start(tinyHome(), options);
		planner.runs[0]!.progress('old');
		planner.runs[0]!.settle(done('old'));
		expect(await first).toBeNull();
		expect(job.state).toEqual({ kind: 'running', progress: null });
		planner.runs[1]!.settle({ kind: 'failed', reason: 'broke' });
		expect(await second).toBeNull();
		expect(job.state).toEqual({ kind: 'failed', reason: 'broke' });
	});
});
