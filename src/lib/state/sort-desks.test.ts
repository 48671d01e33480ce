import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../core/fixtures/solved-once';
import { demoHome } from '../data/demo';
import { bareKitchen, counter, NOW, TODAY, withLines } from '../core/fixtures/tiny-home';
import { applyEdit, type Home } from '../core/model';
import { adoptPlan, toZonePlan } from '../core/zoning';
import { DeskStore } from './desk-store';
import { NotesDesk } from './notes-desk.svelte';
import { RoutinesDesk } from './routines-desk.svelte';
import { SchoolsDesk } from './schools-desk.svelte';
import { SortDesk } from './sort-desk.svelte';

const demo = demoHome(NOW);
const result = solvedOnce('demo', () => demo).result;
const planned = applyEdit(demo, adoptPlan(toZonePlan(result, 'plan', 'a plan', NOW))).home;

describe('the groups of a home', () => {
	const desk = (home: Home, asked: string | null = null) => {
		const store = new DeskStore(home);
		return {
			store,
			sort: new SortDesk({ store: store.get, newId: counter('s'), groupAsked: () => asked })
		};
	};
	it('stand in the order asked for', () => {
		const { sort } = desk(demo);
		const uses = sort.sorted.map((f) => f.usesPerWeek);
		expect(uses).toEqual([...uses].sort((a, b) => b - a));
		sort.by = 'litres';
		const litres = sort.sorted.map((f) => f.volumeMl);
		expect(litres).toEqual([...litres].sort((a, b) => b - a));
		sort.by = 'name';
		const names = sort.sorted.map((f) => sort.nameOf(f));
		expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
		expect(new Set(sort.sorted.map((f) => f.groupId)).size).toBe(sort.figures.length);
	});
	it('tells how few of them make four fifths of all fetches', () => {
		const { sort } = desk(demo);
		const most = [...sort.figures].sort((a, b) => b.usesPerWeek - a.usesPerWeek);
		const sumOf = (count: number) =>
			most.slice(0, count).reduce((sum, f) => sum + f.usesPerWeek, 0) / sort.total;
		expect(sumOf(sort.few)).toBeGreaterThanOrEqual(0.8);
		expect(sumOf(sort.few - 1)).toBeLessThan(0.8);
		expect(sort.fewTakePercent).toBeLessThan(100);
	});
	it('opens the group that was asked for, until another is chosen', () => {
		const id = Object.keys(demo.groups)[3]!;
		const { sort } = desk(demo, id);
		expect(sort.group?.id).toBe(id);
		sort.choose(null);
		expect(sort.group).toBeUndefined();
	});
	it('groups what is loose in one step', () => {
		const { sort, store } = desk(withLines(bareKitchen(), ['2 penne', '1 olive oil', '3 sponges']));
		expect(sort.loose).toHaveLength(3);
		sort.groupLoose();
		expect(sort.loose).toHaveLength(0);
		expect(store.labels).toEqual(['group 3 things']);
		expect(desk(bareKitchen()).sort.mostUses).toBe(1);
	});
});

describe('routines', () => {
	const desk = (home: Home) => {
		const store = new DeskStore(home);
		return { store, desk: new RoutinesDesk({ store: store.get, newId: counter('r') }) };
	};
	it('are walked as things stand and in the plan, and summed over the week', () => {
		const { desk: routines } = desk(planned);
		const sum = routines.routines.reduce(
			(metres, { id, timesPerWeek }) => metres + timesPerWeek * routines.walksOf(id)!.now.metres,
			0
		);
		expect(routines.metresAWeek('now')).toBeCloseTo(sum, 6);
		expect(routines.metresAWeek('plan')).toBeLessThanOrEqual(routines.metresAWeek('now'));
		expect(desk(demo).desk.metresAWeek('plan')).toBe(0);
	});
	it('show the walk of the one that is picked, as it is looked at', () => {
		const { desk: routines } = desk(planned);
		const { id } = routines.routines[0]!;
		expect(routines.walk).toBeNull();
		routines.pick(id);
		expect(routines.walk).toEqual(routines.walksOf(id)!.now);
		routines.view = 'plan';
		expect(routines.walk).toEqual(routines.walksOf(id)!.plan);
		routines.pick(id);
		expect(routines.walk).toBeNull();
	});
	it('are taken, written and removed', () => {
		const { desk: routines, store } = desk(demo);
		const before = routines.routines.length;
		routines.addOwn();
		expect(routines.chosen?.name).toBe('Our routine');
		routines.remove(routines.chosen!);
		expect([routines.chosen, routines.routines.length]).toEqual([undefined, before]);
		const usual = routines.usual.length;
		routines.takeAll();
		expect(routines.routines.length).toBe(before + usual);
		expect(store.labels).toHaveLength(3);
	});
});

describe('notes for the doors', () => {
	const desk = (home: Home) => {
		const store = new DeskStore(home);
		return { store, notes: new NotesDesk({ store: store.get, today: () => TODAY }) };
	};
	it('say all that the plan puts somewhere, each in its place', () => {
		const { notes } = desk(planned);
		const said = notes.cabinets.flatMap(({ rows }) =>
			rows.flatMap(({ id, notes: own }) => own.map(({ group }) => `${group.id} ${id}`))
		);
		const meant = notes.plan!.assignments.map(({ groupId, nookId }) => `${groupId} ${nookId}`);
		expect([...said].sort()).toEqual([...new Set(meant)].sort());
		expect(notes.cabinets.every(({ rows }) => rows.some(({ notes: own }) => own.length))).toBe(
			true
		);
	});
	it('say “part of it” of groups in two places alone', () => {
		const { notes } = desk(planned);
		const counts = new Map<string, number>();
		for (const { groupId } of notes.plan!.assignments)
			counts.set(groupId, (counts.get(groupId) ?? 0) + 1);
		for (const { rows } of notes.cabinets)
			for (const { notes: own } of rows)
				for (const { group, isPart } of own) expect(isPart).toBe(counts.get(group.id)! > 1);
	});
	it('are tried out until a day, that day too', () => {
		const { notes } = desk(planned);
		expect(notes.isLearning).toBe(false);
		notes.learnUntil(TODAY);
		expect(notes.isLearning).toBe(true);
		notes.learnUntil('2026-03-01');
		expect(notes.isLearning).toBe(false);
		notes.learnUntil('');
		expect(notes.plan!.learnUntil).toBeNull();
	});
	it('are none without a plan', () => {
		const { notes, store } = desk(demo);
		notes.learnUntil(TODAY);
		expect([notes.cabinets, notes.objections, store.labels]).toEqual([[], [], []]);
	});
});

describe('four schools side by side', () => {
	/** The plan that stands, and one in which two groups change over. */
	const { assignments } = result;
	const whole = assignments.filter(({ share }) => share > 0.999);
	const [one] = whole;
	const other = whole.find(({ nookId }) => nookId !== one!.nookId);
	const changed = assignments.map((each) =>
		each === one
			? { ...each, nookId: other!.nookId }
			: each === other
				? { ...each, nookId: one!.nookId }
				: each
	);
	const desk = () => {
		const answers = [assignments, changed, assignments, assignments];
		const store = new DeskStore(planned);
		const schools = new SchoolsDesk({
			store: store.get,
			newId: counter('p'),
			now: () => NOW,
			runner: {
				run: () =>
					Promise.resolve({
						kind: 'done',
						result: { ...result, assignments: answers.shift()! }
					} as const),
				cancel: () => undefined
			}
		});
		return { store, schools };
	};
	it('says which groups end up in different places, and takes the place of one or the whole plan', async () => {
		const { schools, store } = desk();
		expect(schools.disputed).toEqual([]);
		await schools.start();
		expect(schools.compare.plans).toHaveLength(4);
		expect([...schools.disputed].sort()).toEqual([one!.groupId, other!.groupId].sort());
		const there = schools.compare.plans[1]!;
		const group = store.home.groups[one!.groupId]!;
		expect(schools.groupsIn(there).get(other!.nookId)).toContain(group);
		schools.takeGroup(group, there);
		const now = store.home.zonePlans[store.home.activePlanId!]!.assignments;
		expect(now.find(({ groupId }) => groupId === group.id)!.nookId).toBe(other!.nookId);
		schools.take(there);
		expect(store.home.zonePlans[store.home.activePlanId!]!.assignments).toHaveLength(
			changed.length
		);
		expect(store.home.schools).toEqual({ ...planned.schools, ...there.variant.schools });
	});
	it('draws the walls with most cabinets', () => {
		const { schools } = desk();
		const counts = schools.runs.map(
			({ id }) => Object.values(demo.cabinets).filter(({ runId }) => runId === id).length
		);
		expect(counts).toEqual([...counts].sort((a, b) => b - a));
		expect(counts.length).toBeLessThanOrEqual(3);
	});
	it('says where a group stands, and looks at one group at a time', () => {
		const { schools } = desk();
		const { groupId, nookId } = assignments[0]!;
		expect(schools.placesText(assignments, groupId)).toContain(planned.nooks[nookId]!.name);
		expect(schools.placesText([], groupId)).toBe('without a place');
		schools.look(groupId);
		expect(schools.group?.id).toBe(groupId);
		schools.look(groupId);
		expect(schools.group).toBeUndefined();
	});
});
