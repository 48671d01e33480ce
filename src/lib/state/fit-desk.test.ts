import { describe, expect, it, vi } from 'vitest';
import { counter, NOW, TODAY, tinyHome } from '../core/fixtures/tiny-home';
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
	const made = new FitDesk({
		store: store.get,
		runner,
		newId: counter('f'),
		now: () => NOW,
		today: () => TODAY,
		say
	});
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
	it('fits a place that was come to while another was being fitted, once that is done; a failure is not asked again', async () => {
		const { desk: fit, answer } = desk();
		const [first, second] = fit.places.map(({ nook }) => nook.id as string);
		fit.goTo(first!);
		const asked = fit.showSomething();
		fit.goTo(second!);
		await fit.showSomething();
		expect(fit.result).toBeUndefined();
		answer();
		await asked;
		const next = fit.showSomething();
		answer();
		await next;
		expect(fit.result?.nookId).toBe(second);
		await fit.showSomething();
		expect(fit.job.isRunning).toBe(false);
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
	it('is fitted anew when something is to be held otherwise', async () => {
		const { desk: fit, answer, store } = desk();
		const isHeld = () => fit.holders.held.some(({ usual }) => usual.length > 0);
		for (const { nook } of fit.places) if (!isHeld()) fit.goTo(nook.id);
		const asked = fit.fit();
		answer();
		await asked;
		expect(fit.arrangements.length).toBeGreaterThan(0);
		const group = fit.holders.held.find(({ usual }) => usual.length > 0)!.group;
		fit.holders.setHolder(group, 'none');
		expect(store.home.groups[group.id]!.holder).toBe('none');
		expect(fit.job.isRunning).toBe(true);
		answer();
		await vi.waitFor(() => expect(fit.arrangements.length).toBeGreaterThan(0));
		for (const { placements } of fit.arrangements)
			expect(placements.some(({ groupId }) => groupId === group.id)).toBe(false);
	});
	it('says where what was chosen to hold a group does not go in', async () => {
		const { desk: fit, answer, store } = desk();
		for (const { nook } of fit.places)
			if (!fit.holders.held.some(({ usual }) => usual.length)) fit.goTo(nook.id);
		const { group } = fit.holders.held.find(({ usual }) => usual.length)!;
		const racks = Object.values(store.home.containerKinds).filter(({ role }) => role === 'rack');
		for (const { id } of racks) store.run('no racks', 'removeKind', id);
		fit.holders.setHolder(group, 'rack');
		answer();
		await vi.waitFor(() => expect(fit.arrangements.length).toBeGreaterThan(0));
		const missing = () => fit.holders.held.find(({ group: one }) => one.id === group.id)!.isMissing;
		expect(missing()).toBe(true);
		fit.holders.setHolder(group, null);
		expect(missing()).toBe(false);
	});
	it('takes a budget, and jars or packs for one group', () => {
		const { desk: fit, store } = desk();
		fit.setBudget(4500);
		expect(fit.budgetMinor).toBe(4500);
		const group = fit.groups[0]!;
		fit.holders.setBoxes(group.id, 'decant');
		expect(store.home.groups[group.id]!.boxes).toBe('decant');
		for (const { group: one, isDecanted } of fit.holders.pourable)
			if (one.id === group.id) expect(isDecanted).toBe(true);
	});
	it('opens the whole purchase again when the budget, a price or the stock changes, and stays within the ceiling', async () => {
		const { desk: fit, answer, store } = desk();
		const all = async () => {
			const asked = fit.fitAll();
			answer();
			await asked;
		};
		store.run('usual ones', 'addUsualKinds');
		await all();
		const places = fit.places.length;
		expect(fit.isPurchaseOpen).toBe(false);
		const before = fit.costMinor;
		expect(before).toBeGreaterThan(0);
		fit.setBudget(Math.floor(before / 2));
		expect(fit.isPurchaseOpen).toBe(true);
		expect(fit.toFit).toHaveLength(places);
		await all();
		expect(fit.costMinor).toBeLessThanOrEqual(Math.floor(before / 2));
		expect(fit.isPurchaseOpen).toBe(false);
		// What was bought as planned opens nothing; what was found in the loft does.
		const [line] = fit.buying;
		if (line?.kindId) {
			store.run('bought', 'buyContainers', line.kindId, line.buy);
			expect(fit.isPurchaseOpen).toBe(false);
		}
		const [kind] = Object.values(store.home.containerKinds);
		store.run('found', 'setOwned', kind!.id, kind!.owned + 3);
		expect(fit.isPurchaseOpen).toBe(true);
		store.run('a price', 'saveKinds', [{ ...store.home.containerKinds[kind!.id]!, priceMinor: 1 }]);
		await all();
		expect(fit.isPurchaseOpen).toBe(false);
		fit.setBudget(null);
		expect(fit.isPurchaseOpen).toBe(true);
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

describe('moving by hand what stands in a place', () => {
	/** A place with two containers or rows, fitted. */
	async function fitted() {
		const at = desk();
		for (const { nook } of at.desk.places) {
			at.desk.goTo(nook.id);
			const asked = at.desk.fit();
			at.answer();
			await asked;
			const { shown } = at.desk;
			if (shown && shown.placements.length + shown.standing.length > 1) return at;
		}
		throw new Error('No place of the home holds two things.');
	}
	const partsOf = ({ desk: { shown } }: { desk: FitDesk }) => [
		...(shown?.placements ?? []),
		...(shown?.standing ?? [])
	];

	it('draws what is dragged, keeps it where it is let go, and is undone as one step', async () => {
		const at = await fitted();
		const { desk: fit, store } = at;
		const part = partsOf(at)[0]!;
		const from = fit.hand.placeOf(part.id)!;
		fit.pick(part.id);
		const room = fit.nook!.inside;
		// Somewhere on the floor there is room for it.
		const spots = Array.from({ length: 900 }, (_, i) => ({
			x: ((i % 30) * room.widthMm!) / 30,
			y: (Math.floor(i / 30) * room.depthMm!) / 30
		}));
		const free = spots.find((to) => {
			fit.hand.drag(part.id, to);
			const drawn = [...fit.hand.drawn!.placements, ...fit.hand.drawn!.standing];
			const isThere = drawn.find(({ id }) => id === part.id)!.xMm;
			return fit.hand.hits.size === 0 && Math.abs(isThere - from.x) > 20;
		});
		expect(free).toBeDefined();
		expect(fit.hand.isHolding).toBe(true);
		expect(store.labels).toEqual([]);
		fit.hand.drop();
		expect(fit.hand.isHolding).toBe(false);
		expect(store.labels).toEqual([`fit ${fit.nook!.name}`]);
		expect(fit.picked?.xMm).not.toBe(from.x);
		expect(fit.isStale).toBe(false);
		store.undo();
		expect(fit.kept).toBeUndefined();
	});
	it('leaves a part where it was when something stands there, and says what', async () => {
		const at = await fitted();
		const { desk: fit, store, say } = at;
		const [one, two] = partsOf(at);
		const to = fit.hand.placeOf(two!.id)!;
		fit.hand.drag(one!.id, to);
		expect(fit.hand.hits.has(two!.id)).toBe(true);
		fit.hand.drop();
		expect(say).toHaveBeenCalledWith(expect.stringMatching(/^It stays where it was: .+ there\.$/));
		expect(store.labels).toEqual([]);
		fit.hand.setAt(one!.id, { x: -50 });
		const at0 = fit.hand.placeOf(partsOf(at)[0]!.id)!;
		expect(at0.x).toBeGreaterThanOrEqual(0);
	});
	it('does nothing for a part that is not there', async () => {
		const { desk: fit, store } = await fitted();
		fit.hand.nudge('no', { x: 1, y: 0 });
		fit.hand.turn('no');
		fit.hand.drag('no', { x: 0, y: 0 });
		fit.hand.drop();
		expect([fit.hand.isHolding, store.labels]).toEqual([false, []]);
	});
});
