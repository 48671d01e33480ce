import { assignmentNow, totalsOf, zoneModelOf } from '../core/zoning';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../data/demo';
import { apply, bareKitchen, counter, NOW, TODAY } from '../core/fixtures/tiny-home';
import { addDays, type Home } from '../core/model';
import { homeCalendar } from '../core/interchange/calendar';
import { homeReport, reportMarkdown } from '../messages/report';
import { reportElsewhere } from '../core/upkeep';
import { DeskStore } from './desk-store';
import { FindDesk } from './find-desk.svelte';
import { KeepDesk } from './keep-desk.svelte';
import { PracticeDesk } from './practice-desk.svelte';
import { RecordDesk } from './record-desk.svelte';
import { ResetDesk } from './reset-desk.svelte';
import { TablesDesk } from './tables-desk.svelte';
import { WeekDesk } from './week-desk.svelte';

const demo = demoHome(NOW);
function desks(home: Home = demo) {
	const store = new DeskStore(home);
	const said: string[] = [];
	const deps = {
		store: store.get,
		newId: counter('k'),
		now: () => NOW,
		today: () => TODAY,
		said: (words: string) => void said.push(words)
	};
	return { store, said, deps };
}
const keep = (home?: Home) => {
	const { store, said, deps } = desks(home);
	return { store, said, desk: new KeepDesk(deps), deps };
};

describe('resets of a home', () => {
	it('are added, spread, put off, left out and done, each with its notice', () => {
		const { desk, said, store } = keep({ ...demo, resets: {} });
		desk.addUsual();
		expect(desk.usual).toEqual([]);
		// From the first day on they are not all due at once.
		expect(desk.due.filter(({ dueOn }) => dueOn === TODAY).length).toBeLessThan(3);
		expect(new Set(desk.due.map(({ dueOn }) => dueOn)).size).toBeGreaterThan(5);
		store.get().run(
			'all today',
			'postponeResets',
			desk.due.map(({ reset }) => [reset.id, TODAY] as const)
		);
		expect(desk.spread.length).toBeGreaterThan(3);
		desk.spreadOut();
		expect(said.at(-1)).toMatch(/resets spread over the weeks/);
		const { reset } = desk.due[0]!;
		const before = desk.due.find((each) => each.reset.id === reset.id)!.dueOn;
		desk.putOff(reset);
		const due = () => desk.due.find((each) => each.reset.id === reset.id)!;
		expect(due().dueOn).toBe(addDays(before < TODAY ? TODAY : before, 7));
		desk.skip(due().reset);
		expect(due().reset.log.at(-1)).toMatchObject({ skipped: true });
		desk.finish(due().reset);
		expect(due().reset).toMatchObject({ lastDoneOn: TODAY, postponedTo: null });
	});
	it('are changed by hand, and refuse what is no interval', () => {
		const { desk } = keep();
		desk.choose(desk.due[0]!.reset.id);
		desk.change(desk.chosen!.reset, { everyDays: 0 });
		expect(desk.wrong).toMatch(/“0” is no number of days/);
		desk.change(desk.chosen!.reset, { everyDays: 45, name: 'Sniff the spices' });
		expect(desk.chosen!.reset).toMatchObject({ everyDays: 45, name: 'Sniff the spices' });
		expect(desk.titleOf(desk.chosen!.reset)).toBe('Sniff the spices');
		const person = Object.values(demo.people)[0]!;
		desk.change(desk.chosen!.reset, { personId: person.id });
		expect(desk.personOf(desk.chosen!.reset)).toBe(person.name);
		desk.remove(desk.chosen!.reset);
		expect(desk.chosen).toBeNull();
	});
	it('go through places that can be chosen, one at least', () => {
		const { desk } = keep();
		const larder = desk.due.find(({ reset }) => reset.id === 'pantry-dates')!.reset;
		const [first, ...others] = larder.nookIds;
		desk.setPlace(larder, first!, false);
		const now = () => desk.home.resets[larder.id]!;
		expect(now().nookIds).toEqual(others);
		for (const id of others) desk.setPlace(now(), id, false);
		expect(now().nookIds).toHaveLength(1);
		expect(desk.wrong).toMatch(/one place at least/);
		desk.setCabinet(now(), null);
		expect(desk.firstPlace(now())).toBeNull();
	});
	it('of the household’s own, and swaps of the seasons, begin empty and open', () => {
		const { desk } = keep(bareKitchen());
		desk.addOwn(false);
		expect(desk.chosen!.reset).toMatchObject({ kind: 'own', cabinetId: null });
		desk.addOwn(true);
		expect(desk.swapOf(desk.chosen!.reset)).toEqual({
			lots: 0,
			words: 'nothing to no place yet, nothing to no place yet'
		});
	});
	it('go into a calendar, with dates of safety when they are asked for', () => {
		const { desk } = keep();
		const plain = homeCalendar(desk.calendar(false));
		const dated = homeCalendar(desk.calendar(true));
		const events = (text: string) => text.match(/BEGIN:VEVENT/g)!.length;
		expect(events(plain)).toBe(desk.due.length);
		expect(events(dated)).toBeGreaterThan(events(plain));
	});
	it('are done as a Clear of their places, one after the other', () => {
		const { desk, deps, store } = keep();
		const larder = desk.due.find(({ reset }) => reset.id === 'pantry-dates')!.reset;
		let at: string | null = desk.firstPlace(larder);
		const clear = new ResetDesk({ ...deps, asked: () => larder.id, nookId: () => at });
		expect(clear.reset).toBeNull();
		desk.begin(larder);
		expect(clear.places).toHaveLength(4);
		expect([clear.at, clear.next?.id]).toEqual([0, clear.places[1]!.id]);
		at = clear.places[3]!.id;
		expect(clear.next).toBeNull();
		expect(clear.found).toMatchObject({ looked: 0, share: 0 });
		clear.finish();
		expect(store.home.resets[larder.id]).toMatchObject({ lastDoneOn: TODAY, foundShare: 0 });
		expect(clear.reset).toBeNull();
	});
	it('goes past the places that hold nothing of what it is for', () => {
		const { desk, deps } = keep();
		const makeUp = desk.due.find(({ reset }) => reset.kind === 'make-up')!.reset;
		desk.begin(makeUp);
		const all = makeUp.nookIds.length || 2;
		const clear = new ResetDesk({ ...deps, asked: () => makeUp.id, nookId: () => null });
		expect(clear.places.length).toBeGreaterThan(0);
		expect(clear.places.length).toBeLessThan(all);
		// Where one stands one stays, also when the last of it has gone.
		const bare = Object.values(desk.home.nooks).find(
			({ id, cabinetId }) =>
				(makeUp.nookIds.includes(id) || cabinetId === makeUp.cabinetId) &&
				!clear.places.some((nook) => nook.id === id)
		)!;
		const there = new ResetDesk({ ...deps, asked: () => makeUp.id, nookId: () => bare.id });
		expect(there.places.map(({ id }) => id)).toContain(bare.id);
	});
});

describe('a week that is watched', () => {
	const week = (home: Home = demo) =>
		new WeekDesk({ home: () => home, afterwards: (call) => (call(), () => {}) });
	it('says the metres of the whole week as Plan does', () => {
		const desk = week();
		expect(desk.whole).not.toBeNull();
		const whole = desk.whole!;
		const model = zoneModelOf(demo);
		expect(whole.now).toBe(totalsOf(model, assignmentNow(demo)).metresPerWeek);
		expect(whole.now).toBeGreaterThan(desk.weeks.now.metres);
	});
	it('plays, stops, steps and ends', () => {
		const desk = week();
		expect(desk.endS).toBeGreaterThan(5);
		desk.toggle();
		desk.advance(1);
		expect(desk.atS).toBeCloseTo(desk.speed, 6);
		desk.stepBy(1);
		expect(desk.isPlaying).toBe(false);
		const { moment } = desk;
		expect(moment?.fromS).toBe(desk.atS);
		desk.stepBy(-1);
		expect(desk.atS).toBeLessThan(moment!.fromS);
		desk.toggle();
		desk.advance(9999);
		expect([desk.isPlaying, desk.words]).toEqual([false, 'Done.']);
		desk.toggle();
		expect(desk.atS).toBe(0);
	});
	it('is of one person, and of two at once', () => {
		const desk = week();
		const [all] = [desk.weeks.now.seconds];
		desk.personId = desk.people.at(-1)!.id;
		expect(desk.weeks.now.seconds).not.toBe(all);
		desk.setOther(desk.routines[1]!.id);
		expect(desk.otherDot).not.toBeNull();
		desk.choose(desk.routines[1]!.id);
		expect(desk.other).toBeNull();
	});
	it('is nothing where there are no routines', () => {
		const desk = week(bareKitchen());
		expect([desk.routine, desk.play, desk.endS, desk.dot]).toEqual([null, null, 0, null]);
		desk.toggle();
		expect(desk.isPlaying).toBe(false);
	});
});

describe('practice', () => {
	const practise = (name: RegExp) => {
		const { store, deps } = desks();
		const desk = new PracticeDesk(deps);
		desk.choosePerson(desk.people.find((person) => name.test(person.ageBand))!.id);
		desk.start();
		return { desk, store };
	};
	it('asks where things are; the right door and the wrong shelf is asked again', () => {
		const { desk, store } = practise(/adult/);
		const { know, kind } = desk.question!;
		expect(kind).toBe('where');
		const { cabinetId } = demo.nooks[know.nookId]!;
		const near = Object.values(demo.nooks).find(
			(nook) => nook.cabinetId === cabinetId && nook.id !== know.nookId
		);
		if (near) {
			desk.answerPlace(near.id);
			expect(desk.reply?.is).toMatch(/almost|right/);
		}
		desk.start();
		desk.answerPlace(know.nookId);
		expect(desk.reply).toMatchObject({ is: 'right' });
		// Answered once; another tap changes nothing.
		desk.answerPlace('elsewhere');
		expect(desk.reply).toMatchObject({ is: 'right' });
		expect(Object.values(store.home.practiceCards)).toMatchObject([
			{ groupId: know.groupId, streak: 1 }
		]);
	});
	it('offers a child three large tags, the right one among them', () => {
		const { desk, store } = practise(/child/);
		for (let i = 0; i < 3; i++) {
			const { kind, choices, group } = desk.question!;
			expect(kind).toBe('what');
			expect(choices).toHaveLength(3);
			expect(choices.map(({ id }) => id)).toContain(group.id);
			desk.answerGroup(choices.find(({ id }) => id !== group.id)!.id);
			expect(desk.reply?.is).toBe('wrong');
			desk.next();
		}
		expect(Object.values(store.home.practiceCards).every(({ streak }) => streak === 0)).toBe(true);
	});
	it('ends, and what was wrong came twice', () => {
		const { desk } = practise(/child/);
		const first = desk.question!.group.id;
		desk.answerGroup(desk.question!.choices.find(({ id }) => id !== first)!.id);
		desk.next();
		const later: string[] = [];
		while (!desk.isOver && later.length < 40) {
			later.push(desk.question!.group.id);
			desk.answerGroup(desk.question!.group.id);
			desk.next();
		}
		expect(later).toContain(first);
		expect(desk.right).toBe(desk.asked - 1);
	});
});

describe('where is it', () => {
	it('shows the place, and notes in one tap that it was elsewhere', () => {
		const { store, deps, said } = desks();
		const desk = new FindDesk(deps);
		desk.words = 'penne';
		expect(desk.chosen).toMatchObject({ name: expect.stringMatching(/penne/i) });
		expect(demo.nooks[desk.chosen!.nookId!]).toBeDefined();
		desk.notThere();
		const [there] = Object.keys(demo.nooks);
		desk.tap(there!);
		expect(Object.values(store.home.misplacings)).toMatchObject([{ nookId: there }]);
		expect(said.at(-1)).toMatch(/found in/);
		desk.tap(there!);
		expect(Object.keys(store.home.misplacings)).toHaveLength(1);
	});
	it('says of what is used up where the next one belongs, and knows places and groups', () => {
		const group = Object.values(demo.groups).find(({ name }) => name === 'Baking')!;
		const out = apply(demo, (draft) => {
			for (const lot of Object.values(draft.lots))
				if (draft.things[lot.thingId]!.name === 'cocoa') lot.count = 0;
		});
		const desk = new FindDesk(desks(out).deps);
		desk.words = 'cocoa';
		expect(desk.chosen!.where).toMatch(/none left; it lives in /);
		desk.words = group.name;
		expect(desk.found.some(({ key }) => key === `group/${group.id}`)).toBe(true);
		desk.words = 'zzzz';
		expect(desk.chosen).toBeNull();
	});
});

describe('the record', () => {
	it('sums the year, and lets a group live where it is found', () => {
		const thing = Object.values(demo.things).find(({ groupId }) => groupId)!;
		const [nookId] = Object.keys(demo.nooks);
		const missed = [1, 2, 3].reduce(
			(now, i) => apply(now, reportElsewhere(`m${i}`, thing.id, nookId!, NOW)),
			demo
		);
		const { store, deps } = desks(missed);
		const desk = new RecordDesk(deps);
		expect(desk.months).toHaveLength(12);
		expect(desk.months.at(-1)!.month).toBe(TODAY.slice(0, 7));
		expect(desk.hasStockLog).toBe(true);
		expect(desk.rows.map(({ name }) => name)).toContain('Places cleared');
		const [wrong] = desk.wrong;
		desk.pinThere(wrong!.groupId, wrong!.nookId!);
		desk.pinThere(wrong!.groupId, wrong!.nookId!);
		expect(store.home.pins.filter(({ kind }) => kind === 'pin')).toHaveLength(1);
	});
	it('makes a report in the organizer’s own words, safe in a table', () => {
		const { store, deps } = desks();
		const desk = new RecordDesk(deps);
		desk.setNote('We began in the larder.\n\nIt | helped.');
		store.run('hours', 'addWorkTime', { on: TODAY, stage: 'walk', minutes: 90, note: '' }, 'w1');
		store.run(
			'liner',
			'addMaterial',
			{ on: TODAY, name: 'liner', count: 2, priceMinor: 240 },
			'm1'
		);
		const text = reportMarkdown(desk.report);
		expect(text).toContain('| Walk | 1 h 30 min |');
		expect(text).toContain('Materials for €4.80.');
		expect(text).toMatch(/^# The halt at Quillmere\n\nAs of 2 Mar 2026\n/);
		expect(text).toContain('## In our words\n\nWe began in the larder.\n\nIt | helped.');
		expect(text).toMatch(/\| Pantry dates, Larder shelves \| .* \|/);
		expect(homeReport(bareKitchen(), TODAY).sections.map(({ heading }) => heading)).toEqual([
			'Where things live'
		]);
		expect(store.home.note).toMatch(/larder/);
	});
});

describe('stock as a table', () => {
	it('is matched, looked at and taken in as one step', () => {
		const { store, deps, said } = desks(bareKitchen());
		const desk = new TablesDesk(deps);
		desk.bring('what,how many,best before\nrice,2,12/27\n,1,\nflour,x,\n');
		expect(desk.rows).toHaveLength(3);
		expect([desk.taken.length, desk.bad.length, desk.here]).toEqual([1, 2, 0]);
		desk.confirm();
		expect(Object.values(store.home.things).map(({ name }) => name)).toEqual(['rice']);
		expect(said).toEqual(['1 row of a table taken in.']);
		expect(desk.rows).toBeNull();
		desk.bring(desk.csv());
		expect([desk.taken.length, desk.here]).toEqual([0, 1]);
	});
	it('asks which column has the names, and says what is no table', () => {
		const desk = new TablesDesk(desks(bareKitchen()).deps);
		desk.bring('foo;bar\nrice;2\n');
		expect(desk.wrong).toMatch(/No column is headed “name”/);
		expect(desk.rows).toBeNull();
		desk.setColumn('name', 0);
		desk.setColumn('count', 1);
		expect(desk.taken.map(({ name, cells }) => `${cells[0]} ${name}`)).toEqual(['2 rice']);
		desk.bring('');
		expect(desk.wrong).not.toBe('');
		expect(desk.heads).toEqual([]);
	});
	it('takes places and meals in too, each read as what was chosen', () => {
		const { store, said, deps } = desks(bareKitchen());
		const desk = new TablesDesk(deps);
		desk.which = 'places';
		desk.bring('room;cabinet;place;width;depth;height\nScullery;Low unit;Top;56,4 cm;510;wide\n');
		expect(desk.bad.map(({ wrong }) => wrong[0])).toEqual([
			'“wide” is no length (height inside). Write it as 564 or 56.4 cm.'
		]);
		desk.bring('room;cabinet;place;width;depth;height\nScullery;Low unit;Top;56,4 cm;510;300\n');
		expect(desk.taken.map(({ name, cells }) => [name, ...cells])).toEqual([
			['Top', 'new', 'Low unit', '564 × 510 × 300 mm']
		]);
		desk.confirm();
		expect(said).toEqual(['1 row of a table taken in.']);
		expect(Object.values(store.home.rooms).map(({ name }) => name)).toContain('Scullery');
		desk.bring(desk.csv());
		expect([desk.taken.length, desk.bad.length]).toEqual([0, 0]);
		expect(desk.here).toBe(desk.rows!.length);
		// The same table is no stock: it is read anew when the choice changes.
		desk.which = 'meals';
		expect(desk.wrong).toMatch(/No column is headed “meal”/);
		desk.bring('meal,servings,ingredient\nSoup,4,leeks\n');
		expect(desk.bad[0]!.wrong[0]).toMatch(/Nothing here is called “leeks”/);
		desk.confirm();
		expect(Object.values(store.home.meals).map(({ name, servings }) => [name, servings])).toEqual([
			['Soup', 4]
		]);
	});
});
