import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../core/fixtures/solved-once';
import { demoHome } from '../data/demo';
import { generateHome } from '../core/fixtures/generate-home';
import { apply, NOW, tinyHome } from '../core/fixtures/tiny-home';
import type { FitResult } from '../core/fitting';
import type { SearchResult } from '../core/solvers/assignment';
import { adoptPlan, toZonePlan, type PlaceProgress, type PlaceResult } from '../core/zoning';
import { Job } from '../state/job.svelte';
import { fitPlaceHandler, type FitPlacePayload } from './fit-place.protocol';
import type { StartFitHelper } from './fit-side-by-side';
import { handleFit, handleFitSideBySide } from './fit.protocol';
import { asManyAsSuit, type StartHelper } from './helper';
import { JobClient, type WorkerLike } from './job-client';
import { handleLooks, handleLooksSideBySide } from './looks.protocol';
import { serveJobs } from './job-worker';
import { handlePlace, handlePlaceBySides, type StartSide } from './place.protocol';
import { handleSearch, type SearchPayload } from './search.protocol';
import type { Handled, Handler, JobReply } from './job.protocol';

/** A worker that runs its handler in this very thread, when told to. */
class FakeWorker implements WorkerLike {
	static made: FakeWorker[] = [];
	terminated = false;
	private listeners = new Map<string, ((event: Event) => void)[]>();
	private inside: ((event: MessageEvent<unknown>) => void)[] = [];
	private inbox: unknown[] = [];
	constructor(handler: Handler<unknown, unknown>) {
		FakeWorker.made.push(this);
		serveJobs(
			{
				postMessage: (message: JobReply) =>
					this.emit('message', { data: structuredClone(message) }),
				addEventListener: (_: 'message', listener) => void this.inside.push(listener)
			},
			handler
		);
	}
	postMessage(message: unknown) {
		this.inbox.push(structuredClone(message));
	}
	work() {
		for (const data of this.inbox.splice(0))
			this.inside.forEach((listener) => listener({ data } as MessageEvent));
	}
	terminate() {
		this.terminated = true;
	}
	addEventListener(type: string, listener: (event: Event) => void) {
		this.listeners.set(type, [...(this.listeners.get(type) ?? []), listener]);
	}
	emit(type: string, event: object) {
		if (!this.terminated) this.listeners.get(type)?.forEach((listener) => listener(event as Event));
	}
}
const clientOf = <R, P>(handler: Handler<R, P>) => {
	FakeWorker.made = [];
	return new JobClient<R, P>(() => new FakeWorker(handler as Handler<unknown, unknown>));
};
const worker = () => FakeWorker.made.at(-1)!;
const echo: Handler<unknown, number> = (payload, onProgress) => {
	onProgress?.(0.5);
	if (payload === 'bad') return { ok: false, issues: [{ code: 'x', path: 'p', reason: 'r' }] };
	if (payload === 'throw') throw new Error('broke');
	return { ok: true, result: payload };
};

describe('the job client', () => {
	it('passes answers, progress and refusals', async () => {
		const client = clientOf(echo);
		const seen: number[] = [];
		const done = client.run({ a: 1 }, (progress) => seen.push(progress));
		worker().work();
		expect(await done).toEqual({ kind: 'done', result: { a: 1 } });
		expect(seen).toEqual([0.5]);
		const refused = client.run('bad');
		worker().work();
		expect(await refused).toMatchObject({ kind: 'refused', issues: [{ code: 'x' }] });
		const broken = client.run('throw');
		worker().work();
		expect(await broken).toMatchObject({ kind: 'failed', reason: 'broke' });
		expect(FakeWorker.made).toHaveLength(1);
	});
	it('lets the latest win and ends the worker of the one before', async () => {
		const client = clientOf(echo);
		const first = client.run(1);
		const second = client.run(2);
		expect(await first).toEqual({ kind: 'cancelled' });
		expect(FakeWorker.made[0]!.terminated).toBe(true);
		worker().work();
		expect(await second).toEqual({ kind: 'done', result: 2 });
	});
	it('settles what is pending when the worker dies, and starts a new one next time', async () => {
		const client = clientOf(echo);
		const lost = client.run(1);
		worker().emit('error', { message: 'out of memory' });
		expect(await lost).toMatchObject({ kind: 'failed', reason: 'out of memory' });
		const next = client.run(2);
		worker().work();
		expect(await next).toEqual({ kind: 'done', result: 2 });
		const garbled = client.run(3);
		worker().emit('messageerror', {});
		expect(await garbled).toMatchObject({ kind: 'failed' });
		const nonsense = client.run(4);
		worker().emit('message', { data: { hello: 1 } });
		expect(await nonsense).toMatchObject({ kind: 'failed' });
	});
	it('cancels without anything to cancel', () =>
		expect(() => clientOf(echo).cancel()).not.toThrow());
});

describe('the handlers', () => {
	const home = tinyHome();
	it('place what the core places, the same for the same seed', () => {
		const once = handlePlace({ home, options: { seed: 4, moves: 3000 } });
		expect(once).toMatchObject({ ok: true, result: { overflow: [], seed: 4 } });
		expect(handlePlace({ home, options: { seed: 4, moves: 3000 } })).toEqual(once);
	});
	it('say what of a question they do not understand', () => {
		expect(handlePlace({ home: { ...home, name: 5 } })).toMatchObject({
			ok: false,
			issues: [{ path: 'home.name' }]
		});
		expect(handlePlace(null)).toMatchObject({ ok: false });
		expect(handlePlace({ home, options: { budgetMs: -1 } })).toMatchObject({
			ok: false,
			issues: [{ path: 'options.budgetMs' }]
		});
		expect(handleFit({ home, options: { nookIds: ['nowhere'] } })).toMatchObject({
			ok: false,
			issues: [{ code: 'unknown-nook' }]
		});
		expect(handleFit({ home })).toMatchObject({ ok: false });
	});
	it('fit nook after nook with progress', () => {
		const placed = handlePlace({ home, options: { moves: 3000 } });
		if (!placed.ok) throw new Error('not placed');
		const planned = apply(home, adoptPlan(toZonePlan(placed.result, 'p', 'Plan', NOW)));
		const nookIds = [...new Set(placed.result.assignments.map((a) => a.nookId))];
		const seen: number[] = [];
		const result = handleFit({ home: planned, options: { nookIds } }, ({ done }) =>
			seen.push(done)
		);
		expect(result).toMatchObject({ ok: true });
		expect(seen).toEqual(nookIds.map((_, i) => i + 1));
	});
});

/** A helper that answers in this thread, by copies as a worker does. */
const helperOf =
	<Payload, Result>(
		handle: (payload: unknown) => Handled<Result>,
		end = () => {}
	): StartHelper<Payload, Result> =>
	async () => ({
		ask: async (payload) => {
			const handled = handle(structuredClone(payload));
			if (!handled.ok) throw new Error('refused');
			return structuredClone(handled.result);
		},
		end
	});
const gone = (): never => {
	throw new Error('gone');
};

describe('several places fitted side by side', () => {
	const demo = demoHome(NOW);
	const placed = solvedOnce('demo', () => demo).result;
	const planned = apply(demo, adoptPlan(toZonePlan(placed, 'p', 'Plan', NOW)));
	const nookIds = [...new Set(placed.assignments.map(({ nookId }) => nookId as string))];
	// Drawers and shelves that want the same baskets, so that there is a second round.
	const job = { home: planned, options: { nookIds: nookIds.slice(0, 8) } };
	const alone = handleFit(job);
	const helped = (...start: StartFitHelper[]) => handleFitSideBySide(job, undefined, start);

	it('stand as one thread fits them, each place asked for once, and helpers end', async () => {
		const asked: string[][] = [[], []];
		let ended = 0;
		const startOf = (own: string[]): StartFitHelper => {
			const handle = fitPlaceHandler();
			return helperOf(
				(payload) => {
					own.push((payload as FitPlacePayload).task.nookId);
					return handle(payload);
				},
				() => ended++
			);
		};
		const seen: number[] = [];
		const both = await handleFitSideBySide(job, ({ done }) => seen.push(done), asked.map(startOf));
		expect(alone.ok).toBe(true);
		expect(both).toEqual(alone);
		expect(asked.every((own) => own.length > 0)).toBe(true);
		const times = asked.flat().length;
		expect(times, 'what two places want is fitted without it too').toBeGreaterThan(8);
		expect([...new Set(asked.flat())].sort()).toEqual([...job.options.nookIds].sort());
		expect(seen).toEqual(job.options.nookIds.map((_, i) => i + 1));
		expect(ended).toBe(2);
	});
	it('stand so with a helper that breaks down in between, with none, and with none to be had', async () => {
		const handle = fitPlaceHandler();
		let left = 3;
		const tires = helperOf<FitPlacePayload, FitResult>((payload) =>
			left-- > 0 ? handle(payload) : gone()
		);
		expect(await helped(tires, helperOf(fitPlaceHandler()))).toEqual(alone);
		left = 3;
		expect(await helped(tires)).toEqual(alone);
		expect(await helped(async () => null)).toEqual(alone);
		expect(await helped(() => Promise.reject(new Error('no threads')))).toEqual(alone);
	});
	it('ask no helper for one place, nor for what is not understood', async () => {
		const none: StartFitHelper = () => expect.unreachable();
		const one = { home: planned, options: { nookIds: [nookIds[0]!] } };
		expect(await handleFitSideBySide(one, undefined, [none])).toEqual(handleFit(one));
		expect(await handleFitSideBySide({ home: 5 }, undefined, [none])).toMatchObject({ ok: false });
	});
	it('price the looks of a room as one thread does', async () => {
		const looks = { home: planned, roomId: 'bath' };
		const seen: number[] = [];
		const priced = await handleLooksSideBySide(looks, ({ done, of }) => seen.push(done / of), [
			helperOf(fitPlaceHandler()),
			helperOf(fitPlaceHandler())
		]);
		expect(priced).toEqual(handleLooks(looks));
		expect(seen.at(-1)).toBe(1);
		const unknown = { ...looks, roomId: 'attic' };
		expect(await handleLooksSideBySide(unknown, undefined, [])).toEqual(handleLooks(unknown));
	});
	it('need the home first', () =>
		expect(() => fitPlaceHandler()({ home: null, task: { nookId: 'x', options: {} } })).toThrow(
			'before its home'
		));
	it('leave a core to the page where there are some', () => {
		const counted = [1, 2, 3, 4, 16].map((cores) => asManyAsSuit(null, cores).length);
		expect(counted).toEqual([2, 2, 2, 3, 4]);
	});
});

describe('a large home planned from two sides', () => {
	const home = generateHome({
		seed: 3,
		rooms: 4,
		cabinets: 24,
		groups: 100,
		things: 300,
		lots: 300
	});
	const job = { home, options: { seed: 2, moves: 2000 } };
	const alone = handlePlace(job);
	const helped = (start: StartSide, payload: unknown = job) =>
		handlePlaceBySides(payload, undefined, start);
	it('has the plan that one thread finds, with a helper, with a broken one and with none', async () => {
		let asked = 0;
		const works = helperOf<SearchPayload, SearchResult>((payload) => {
			asked++;
			return handleSearch(payload);
		});
		expect(alone.ok).toBe(true);
		expect(await helped(works)).toEqual(alone);
		expect(asked).toBe(1);
		expect(await helped(helperOf(gone))).toEqual(alone);
		expect(await helped(async () => null)).toEqual(alone);
	});
	it('asks for no helper for a small home, nor for what it does not understand', async () => {
		const none: StartSide = () => expect.unreachable();
		const small = { home: tinyHome(), options: { moves: 2000 } };
		expect(await helped(none, small)).toEqual(handlePlace(small));
		expect(await helped(none, { home: 5 })).toMatchObject({ ok: false });
	});
});

describe('a run of the planner', () => {
	const run = async (act: (job: Job<PlaceResult, PlaceProgress>) => void) => {
		const client = clientOf(handlePlace);
		const job = new Job<PlaceResult, PlaceProgress>(client as never, {
			bestOf: ({ best }) => best
		});
		const result = job.start({ home: tinyHome(), options: { seed: 1, moves: 90_000 } });
		act(job);
		return { job, result: (await result)?.result ?? null };
	};
	it('ends with the plan and is idle again', async () => {
		const { job, result } = await run(() => worker().work());
		expect(result).toMatchObject({ overflow: [] });
		expect(job.state).toEqual({ kind: 'idle' });
	});
	it('keeps nothing when it is stopped before the first plan', async () => {
		const { result } = await run((job) => job.stop());
		expect(result).toBeNull();
	});
	it('keeps the best so far when it is stopped later', async () => {
		const best = {
			status: 'stopped',
			assignments: [],
			overflow: [],
			objective: 5,
			bound: 1,
			seed: 1,
			fingerprint: ''
		};
		const { result } = await run((job) => {
			worker().emit('message', {
				data: { kind: 'progress', id: 1, progress: { doneShare: 0.4, best } }
			});
			expect(job.state).toMatchObject({ kind: 'running', progress: { doneShare: 0.4 } });
			job.stop();
		});
		expect(result).toEqual(best);
	});
	it('says why it failed', async () => {
		const { job, result } = await run(() => worker().emit('error', { message: 'gone' }));
		expect(result).toBeNull();
		expect(job.state).toEqual({ kind: 'failed', reason: 'gone' });
	});
});

it('plans the demo home without overflow', () => {
	const placed = handlePlace({ home: demoHome(NOW), options: { seed: 1, moves: 100_000 } });
	expect(placed).toMatchObject({ ok: true, result: { overflow: [] } });
});
