import { describe, expect, it } from 'vitest';
import type { JobOutcome } from '../workers/job-client';
import { Job } from './job.svelte';

/** A worker that answers when it is told to. */
function runner() {
	const runs: {
		settle: (outcome: JobOutcome<string>) => void;
		progress: (best: string) => void;
	}[] = [];
	return {
		runs,
		run: (_payload: object, onProgress?: (progress: { best: string }) => void) =>
			new Promise<JobOutcome<string>>((settle) =>
				runs.push({ settle, progress: (best) => onProgress?.({ best }) })
			),
		cancel: () => runs.at(-1)?.settle({ kind: 'cancelled' })
	};
}
const done = (result: string): JobOutcome<string> => ({ kind: 'done', result });
const keepsBest = { bestOf: ({ best }: { best: string }) => best };

describe('a job', () => {
	it('gives its answer, or the best so far when it is stopped', async () => {
		const worker = runner();
		const job = new Job(worker, keepsBest);
		const whole = job.start({});
		expect(job.isRunning).toBe(true);
		worker.runs[0]!.settle(done('plan'));
		expect(await whole).toEqual({ result: 'plan', isLate: false });
		const cut = job.start({});
		worker.runs[1]!.progress('half');
		expect(job.progress).toEqual({ best: 'half' });
		job.stop();
		expect(await cut).toEqual({ result: 'half', isLate: false });
		expect(job.state.kind).toBe('idle');
	});
	it('gives nothing when it is stopped and has no best so far', async () => {
		const worker = runner();
		const job = new Job(worker);
		const cut = job.start({});
		worker.runs[0]!.progress('half');
		job.stop();
		expect(await cut).toBeNull();
	});
	it('gives nothing when it is left, whatever it had found', async () => {
		const worker = runner();
		const job = new Job(worker, keepsBest);
		const left = job.start({});
		worker.runs[0]!.progress('half');
		job.leave();
		expect(await left).toBeNull();
		expect(job.state.kind).toBe('idle');
	});
	it('is nobody’s any more once another was started', async () => {
		const worker = runner();
		const job = new Job(worker, keepsBest);
		const first = job.start({});
		const second = job.start({});
		worker.runs[0]!.progress('old');
		worker.runs[0]!.settle(done('old'));
		expect(await first).toBeNull();
		expect(job.state).toEqual({ kind: 'running', progress: null });
		worker.runs[1]!.settle({ kind: 'failed', reason: 'broke' });
		expect(await second).toBeNull();
		expect(job.failure).toBe('broke');
	});
	it('says of an answer that what it hangs on has changed meanwhile', async () => {
		const worker = runner();
		const job = new Job(worker);
		let plan = 'a';
		const answer = job.start({}, () => plan);
		plan = 'b';
		worker.runs[0]!.settle(done('proof'));
		expect(await answer).toEqual({ result: 'proof', isLate: true });
	});
	it('names every fault of what it refused', async () => {
		const worker = runner();
		const job = new Job(worker);
		const answer = job.start({});
		worker.runs[0]!.settle({
			kind: 'refused',
			issues: [
				{ code: 'bad', path: 'home.name', reason: 'is missing' },
				{ code: 'bad', path: 'options.moves', reason: 'is negative' }
			]
		} as never);
		expect(await answer).toBeNull();
		expect(job.failure).toBe('home.name: is missing; options.moves: is negative');
	});
});
