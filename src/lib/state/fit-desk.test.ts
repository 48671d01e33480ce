import { describe, expect, it, vi } from 'vitest';
import { counter, NOW, tinyHome } from '../core/fixtures/tiny-home';
import { fitNook, fitTogether } from '../core/fitting';
import { applyEdit, type Home } from '../core/model';
import { adoptPlan, DEFAULT_PLACE, placeHome, toZonePlan } from '../core/zoning';
import type { JobOutcome } from '../workers/job-client';
import type { FitAnswer } from '../workers/fit.protocol';
import { DeskStore } from './desk-store';
import { FitDesk } from './fit-desk.svelte';

const bare = tinyHome();
const plan = toZonePlan(placeHome(bare, { ...DEFAULT_PLACE, moves: 3000 }), 'plan', 'Plan', NOW);
const planned = applyEdit(bare, adoptPlan(plan)).home;

/** A worker that fits when it is told to. */
function desk(home: Home = planned) {
	const store = new DeskStore(home);
	const say = vi.fn();
	const waiting: (() => void)[] = [];
	const runner = {
		run: (payload: object) =>
			new Promise<JobOutcome<FitAnswer>>((settle) => {
				const { home: of, options } = payload as { home: Home; options: { nookIds: string[] } };
				waiting.push(() =>
					settle({
						kind: 'done',
						result:
							options.nookIds.length > 1
								? fitTogether(of, options.nookIds)
								: { results: options.nookIds.map((id) => fitNook(of, id)), purchase: null }
					})
				);
			}),
		cancel: vi.fn()
	};
	const made = new FitDesk({ store: store.get, runner, newId: counter('f'), now: () => NOW, say });
	return { store, desk: made, say, answer: () => waiting.splice(0).forEach((one) => one()) };
}

describe('fitting a place', () => {
	it('shows something at once for the place at hand, and keeps what is chosen', async () => {
		const { desk: fit, answer, store } = desk();
		const { nookId } = fit;
		const shown = fit.showSomething();
		answer();
		await shown;
		expect(fit.arrangements.length).toBeGreaterThan(0);
		fit.keep();
		expect(store.labels).toEqual([`fit ${store.home.nooks[nookId!]!.name}`]);
		expect(fit.nookId).toBe(nookId);
		expect([fit.kept?.nookId, fit.isStale]).toEqual([nookId, false]);
		expect(fit.open).not.toContain(nookId);
	});
	it('gives an answer to the place that was asked about, whichever is looked at since', async () => {
		const { desk: fit, answer } = desk();
		const [first, second] = fit.places.map(({ nook }) => nook.id as string);
		fit.goTo(first!);
		const asked = fit.fit();
		fit.goTo(second!);
		answer();
		await asked;
		expect(fit.result).toBeUndefined();
		fit.goTo(first!);
		expect(fit.result?.nookId).toBe(first);
	});
	it('does not show an answer about what has changed since', async () => {
		const { desk: fit, answer, store } = desk();
		const asked = fit.fit();
		answer();
		await asked;
		expect(fit.result).toBeDefined();
		store.run('narrower', 'setInside', fit.nookId!, 'widthMm', 200);
		expect(fit.result).toBeUndefined();
	});
	it('says that a place is too heavily laden, and does not count it as fitted', async () => {
		const laden = applyEdit(planned, (draft) => {
			for (const nook of Object.values(draft.nooks)) nook.loadG = 5;
		}).home;
		const { desk: fit, answer, store } = desk(laden);
		const asked = fit.fit();
		answer();
		await asked;
		expect(fit.result).toMatchObject({ status: 'over-load', loadG: 5 });
		const round = fit.fitAll();
		for (let i = 0; i < 40; i++) {
			answer();
			await Promise.resolve();
			await Promise.resolve();
		}
		await round;
		expect(store.labels).toEqual([]);
		expect(fit.together?.fitted).toBe(0);
	});
	it('fits all that is open, one after the other', async () => {
		const { desk: fit, answer, store } = desk();
		const count = fit.open.length;
		const round = fit.fitAll();
		while (fit.round) {
			answer();
			await new Promise((next) => setTimeout(next));
		}
		await round;
		expect(fit.open).toEqual([]);
		expect(fit.together?.fitted).toBe(count);
		// One step of the history, whatever the count.
		expect(store.labels).toEqual([`fit ${count} places`]);
	});
	it('says what it came to, and names the places where not all goes in', async () => {
		const small = applyEdit(planned, (draft) => {
			for (const nook of Object.values(draft.nooks)) nook.inside.widthMm = 90;
		}).home;
		const { desk: fit, answer } = desk(small);
		const round = fit.fitAll();
		answer();
		await round;
		expect(fit.together?.fitted).toBe(fit.places.length);
		expect(fit.overs.length).toBeGreaterThan(0);
		const litres = fit.overs.map(({ volumeMl }) => volumeMl);
		expect(litres).toEqual([...litres].sort((a, b) => b - a));
	});
	it('shows what is in the container that was tapped, until it is tapped again', async () => {
		const { desk: fit, answer } = desk();
		const asked = fit.fit();
		answer();
		await asked;
		const part = [...fit.shown!.placements, ...fit.shown!.standing][0]!;
		fit.pick(part.id);
		expect(fit.picked?.holds.length).toBeGreaterThan(0);
		fit.pick(part.id);
		expect(fit.picked).toBeUndefined();
	});
	it('looks at the shelves only when asked, and forgets it when the home has changed', () => {
		const { desk: fit, store } = desk();
		expect(fit.shelves).toBeUndefined();
		fit.lookAtShelves();
		expect(fit.shelves).not.toBeUndefined();
		store.run('narrower', 'setInside', fit.nookId!, 'widthMm', 200);
		expect(fit.shelves).toBeUndefined();
	});
	it('takes a budget, and jars or packs for one group', () => {
		const { desk: fit, store } = desk();
		fit.setBudget(4500);
		expect(fit.budgetMinor).toBe(4500);
		const group = fit.groups[0]!;
		fit.setBoxes(group.id, 'decant');
		expect(store.home.groups[group.id]!.boxes).toBe('decant');
		for (const { group: one, isDecanted } of fit.pourable)
			if (one.id === group.id) expect(isDecanted).toBe(true);
	});
	it('goes only to places of the plan', () => {
		const { desk: fit, say, store } = desk();
		const other = Object.keys(store.home.nooks).find((id) => !fit.planned.has(id))!;
		const before = fit.nookId;
		fit.goTo(other);
		expect(fit.nookId).toBe(before);
		expect(say).toHaveBeenCalledWith(expect.stringContaining('holds no group in the plan'));
	});
});
