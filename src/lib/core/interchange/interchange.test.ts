import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { demoHome } from '../../data/demo';
import { generateHome } from '../fixtures/generate-home';
import { bareKitchen, NOW, TODAY, tinyHome } from '../fixtures/tiny-home';
import { linkFaults } from '../model';
import ICAL from 'ical.js';
import { homeCalendar } from './calendar';
import { homeJsonSchema, MAX_FILE_BYTES, migrate, readHomeFile, writeHomeFile } from '.';
import { toVersion3 } from './to-version-3';
import { toVersion8 } from './to-version-8';

const codesOf = (text: string) => {
	const result = readHomeFile(text);
	return result.ok ? [] : result.issues.map((issue) => issue.code);
};

describe('the home file', () => {
	it('gives the same home back', () => {
		for (const home of [tinyHome(), demoHome(NOW)])
			expect(readHomeFile(writeHomeFile(home))).toEqual({ ok: true, home });
	});
	it('gives the same home back, whatever its size', () => {
		fc.assert(
			fc.property(
				fc.nat(1000),
				fc.integer({ min: 1, max: 3 }),
				fc.integer({ min: 1, max: 12 }),
				(seed, rooms, groups) => {
					const home = generateHome({
						seed,
						rooms,
						cabinets: rooms * 2,
						groups,
						things: groups * 3,
						lots: groups * 4
					});
					expect(readHomeFile(writeHomeFile(home))).toEqual({ ok: true, home });
				}
			),
			{ seed: 101, numRuns: 12 }
		);
	});
	it('says what a broken file is, and never throws', () => {
		const good = writeHomeFile(tinyHome());
		expect(codesOf(good.slice(0, good.length / 2))).toEqual(['file-not-json']);
		expect(codesOf('')).toEqual(['file-not-json']);
		expect(codesOf('[]')).toEqual(['file-wrong-type']);
		expect(codesOf('{"format":"other","version":1}')).toEqual(['file-wrong-type']);
		expect(codesOf(good.replace('"version":13', '"version":14'))).toEqual(['file-newer']);
		expect(codesOf(good.replace(/"widthMm":\d+/, '"widthMm":"wide"'))).toEqual(['file-bad-record']);
		expect(codesOf(good.replace(/"count":6/, '"count":6,"extra":1'))).toEqual(['file-bad-record']);
		expect(codesOf('x'.repeat(MAX_FILE_BYTES + 1))).toEqual(['file-too-large']);
	});
	it('survives any cut and any flipped letter', () => {
		const good = writeHomeFile(bareKitchen());
		fc.assert(
			fc.property(
				fc.nat(good.length - 1),
				fc.constantFrom('', '"', '}', '0', '\u0000'),
				(at, letter) => {
					expect(typeof readHomeFile(good.slice(0, at) + letter + good.slice(at + 1)).ok).toBe(
						'boolean'
					);
					expect(readHomeFile(good.slice(0, at)).ok).toBe(false);
				}
			),
			{ seed: 102, numRuns: 60 }
		);
	});
	it('does not take links that lead nowhere', () => {
		const home = tinyHome();
		const lot = Object.values(home.lots)[0]!;
		const things = { ...home.things };
		delete things[lot.thingId];
		const lost = { ...home, things };
		expect(codesOf(writeHomeFile(lost))).toEqual(['file-broken-link']);
		expect(linkFaults(home)).toEqual([]);
		expect(
			codesOf(writeHomeFile({ ...home, things: { other: Object.values(home.things)[0]! } }))
		).toContain('file-bad-record');
	});
	it('keeps a prototype name from being more than a name', () => {
		const text = writeHomeFile(tinyHome()).replace(
			'"pets":{}',
			'"pets":{"__proto__":{"id":"x","name":"y","kind":"z"}}'
		);
		readHomeFile(text);
		expect(({} as Record<string, unknown>).name).toBeUndefined();
	});
	it.each(['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf'])(
		'does not take %s for an id, of a record or in a link',
		(word) => {
			const home = tinyHome();
			const lot = Object.values(home.lots)[0]!;
			const text = writeHomeFile(home);
			const renamed = text.replaceAll(`"${lot.thingId}"`, `"${word}"`);
			expect(codesOf(renamed)).toContain('file-bad-record');
			const linked = text.replace(`"thingId":"${lot.thingId}"`, `"thingId":"${word}"`);
			expect(codesOf(linked)).toContain('file-bad-record');
		}
	);
	it('looks nothing up that is not there', () => {
		const read = readHomeFile(writeHomeFile(tinyHome()));
		if (!read.ok) throw new Error('not read');
		for (const records of [read.home.lots, tinyHome().nooks])
			expect((records as Record<string, unknown>)['constructor']).toBeUndefined();
	});
	it.each([0, -3])('has no layout %s', (version) => {
		const text = writeHomeFile(tinyHome()).replace('"version":13', `"version":${version}`);
		expect(codesOf(text)).toEqual(['file-bad-version']);
	});
	it.each([1, 2, 3, 4, 5, 6])(
		'says in words that there is no home in a file of layout %i',
		(version) => {
			for (const home of ['null', '7', '"x"', '[]', '{"nooks":3}', '{"rooms":{"a":null}}'])
				expect(codesOf(`{"format":"keepnook-home","version":${version},"home":${home}}`)).toContain(
					'file-bad-record'
				);
		}
	);
});

describe('versions', () => {
	it('carries the frozen fixture of version 1 to today', () => {
		const text = readFileSync(new URL('./fixtures/v1.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result).toMatchObject({ ok: true, home: { name: 'Tiny kitchen' } });
		if (result.ok) expect(Object.keys(result.home.lots)).toHaveLength(12);
	});
	it('reads the frozen fixture of version 2, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v2.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { rooms, nooks, things, lots, decisions, sessions, zonePlans, clearDay } = result.home;
		expect(Object.values(rooms).flatMap(({ obstacles }) => obstacles)).toHaveLength(1);
		expect(Object.values(nooks).find(({ photoId }) => photoId)).toMatchObject({
			readings: { widthMm: [555, 552] },
			inside: { widthMm: 552 },
			temperatureC: 17.5,
			childCatch: true
		});
		expect(Object.values(things).some(({ rim }) => rim?.part === 'lid')).toBe(true);
		expect(Object.values(lots).some(({ owner }) => owner === 'Oda')).toBe(true);
		expect(Object.values(decisions)).toHaveLength(1);
		expect(Object.values(sessions)[0]!.runningSince).toBeNull();
		expect(zonePlans['p1']!.learnUntil).toBe('2026-03-16');
		expect(clearDay?.hands).toBe(2);
	});
	it('reads the frozen fixture of version 3, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v3.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { groups, things, zonePlans } = result.home;
		const dairy = Object.values(groups).find(({ name }) => name === 'Dairy')!;
		expect(dairy.overrides).toMatchObject({ usesPerWeek: 9, needs: ['chilled', 'dark'] });
		expect(dairy.partners[0]).toMatchObject({ weight: 2.5, why: 'hand' });
		expect(groups['spares-1']!.stockOf).not.toBeNull();
		expect(Object.values(groups).some(({ why }) => why[0]?.code === 'category')).toBe(true);
		expect(Object.values(things).find(({ name }) => name === 'penne')).toMatchObject({
			groupByHand: true,
			allergens: { contains: ['gluten'], freeFrom: ['sesame'] }
		});
		expect(zonePlans['p1']!.wishPrices[0]!.extra).toBe(12.5);
	});
	it('reads the frozen fixture of version 4, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v4.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		expect(Object.values(result.home.rooms)[0]!.sockets).toEqual([
			{ id: 'socket-1', x: 1200, y: 0 }
		]);
		expect(result.home.zonePlans['p1']!.keptEmpty!.extra).toBe(7.25);
	});
	it('carries version 5 to today: dates of making, told kinds and pictured sizes are new', () => {
		const text = readFileSync(new URL('./fixtures/v5.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		expect(result.home.readings).toEqual({});
		expect(Object.values(result.home.lots).every(({ dates }) => dates.madeOn === null)).toBe(true);
		expect(Object.values(result.home.nooks).every(({ pictured }) => pictured === null)).toBe(true);
	});
	it('reads the frozen fixture of version 7, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v7.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { people, belongs, schools, zonePlans } = result.home;
		expect(Object.values(people)[0]!.limits.seated).toEqual({ lowMm: 400, highMm: 1200 });
		expect(belongs).toEqual([{ kind: 'kitchen.glasses', spot: 'open', standing: 'first' }]);
		expect(schools.change).toBe('some');
		expect(Object.values(zonePlans)[0]!.assignments[0]!.thingIds).toHaveLength(1);
	});
	it('reads the frozen fixture of version 8, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v8.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { things, listLines, plannedMeals, warmSpells, marks, settings } = result.home;
		expect(Object.values(things)[0]!).toMatchObject({
			hold: { rule: 'par', amount: 0.5 },
			packUses: 6
		});
		expect(listLines['ll1']).toMatchObject({ state: 'in-trolley', paidMinor: 120 });
		expect(plannedMeals['pm1']!.slot).toBe('supper');
		expect(warmSpells['ws1']!.peakC).toBe(12);
		expect(marks['mark-place']).toMatchObject({ placementId: null, bare: false });
		expect(settings.shop.areas).toEqual(['Fridge', 'Dry food']);
	});
	it('reads the frozen fixture of version 12, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v12.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { rooms, groups, containerKinds, fitPlans } = result.home;
		expect(Object.values(rooms)[0]!.look).toBe('white');
		expect(Object.values(groups)[0]!.lids).toBe('on');
		expect(containerKinds['bin-s']).toMatchObject({
			cells: 5,
			soldBy: 4,
			look: 'clear',
			cutTo: { widthMm: 144, depthMm: 244 }
		});
		expect(Object.values(fitPlans)[0]!.placements[0]!.cut).toEqual({ widthMm: 146, depthMm: 248 });
	});
	it('reads the frozen fixture of version 13, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v13.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { cabinets, nooks, settings } = result.home;
		const guards = Object.values(cabinets).map((one) => [one.lockable, one.childCatch]);
		expect(guards.slice(0, 2)).toEqual([
			[true, false],
			[false, true]
		]);
		const own = Object.values(nooks).map((one) => [one.locked, one.childCatch]);
		expect(own.slice(0, 2)).toEqual([
			[true, false],
			[false, true]
		]);
		expect(settings.purchaseOpen).toBe(true);
	});
	it('carries version 12 to today: what may be no more than a catch is no lock', () => {
		const text = readFileSync(new URL('./fixtures/v12.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text.replace('"lockable": false', '"lockable": true'));
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const cabinets = Object.values(result.home.cabinets);
		const nooks = Object.values(result.home.nooks);
		expect(cabinets.filter(({ childCatch }) => childCatch)).toHaveLength(1);
		expect(nooks.filter(({ childCatch }) => childCatch)).toHaveLength(1);
		expect([
			...cabinets.map((one) => one.lockable),
			...nooks.map((one) => one.locked)
		]).not.toContain(true);
	});
	it('carries version 11 to today: what is known of no look, and nothing is cut', () => {
		const text = readFileSync(new URL('./fixtures/v11.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { rooms, groups, containerKinds, fitPlans } = result.home;
		for (const { look } of Object.values(rooms)) expect(look).toBe('');
		for (const { lids } of Object.values(groups)) expect(lids).toBeNull();
		for (const kind of Object.values(containerKinds))
			expect(kind).toMatchObject({ cells: 1, cutTo: null, look: '', soldBy: 1 });
		for (const { placements } of Object.values(fitPlans))
			for (const { cut } of placements) expect(cut).toBeNull();
	});
	it('reads the frozen fixture of version 11, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v11.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		expect(result.home.smallParts['part-1']).toMatchObject({ use: 'liner', has: false });
		expect(result.home.smallParts['part-2']).toMatchObject({ use: 'hooks', has: true });
		expect(Object.values(result.home.groups)[0]!.holder).toBe('turntable');
	});
	it('reads the frozen fixture of version 10, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v10.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { customs, pictures, workTimes, materials, printed, labelWords } = result.home;
		expect(Object.values(result.home.containerKinds)[0]!.shop).toBe('the hardware shop');
		expect(labelWords).toEqual({ Pasta: 'Noodles of all kinds' });
		expect(printed).toEqual({ 'label-1': 'Rice' });
		expect(customs).toEqual({ region: 'US', paper: 'Letter', weekStart: 'sunday' });
		expect(Object.values(pictures).map(({ when }) => when)).toEqual(['before', 'after']);
		expect(workTimes['wt-1']).toMatchObject({ stage: 'walk', minutes: 90 });
		expect(materials['mat-1']).toMatchObject({ count: 3.5, priceMinor: 240 });
	});
	it('reads the frozen fixture of version 9, with everything that version added', () => {
		const text = readFileSync(new URL('./fixtures/v9.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const { schools, customs, settings, things, resets, practiceCards, misplacings } = result.home;
		expect(schools.dates).toBe('quarter');
		expect(customs.paper).toBe('Letter');
		expect(settings.shop.budgetMinor).toBe(9000);
		expect(Object.values(things)[0]!.cooking).toMatch(/2 parts water/);
		expect(resets['own-1']).toMatchObject({ kind: 'own', postponedTo: '2026-03-09' });
		expect(resets['own-1']!.log).toHaveLength(2);
		expect(resets['swap-1']!.swap?.from).toEqual(['05-01', '10-15']);
		expect(practiceCards['pc1']!.streak).toBe(2);
		expect(misplacings['mp1']).toBeDefined();
	});
	it('carries version 8 to today: what is known of the last time begins the log of a reset', () => {
		const text = readFileSync(new URL('./fixtures/v8.keepnook.json', import.meta.url), 'utf8');
		const old = JSON.parse(text) as {
			home: { resets: Record<string, { lastDoneOn: string | null; foundShare: number | null }> };
		};
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		expect(Object.keys(old.home.resets).length).toBeGreaterThan(0);
		for (const [id, { lastDoneOn, foundShare }] of Object.entries(old.home.resets)) {
			const { log, ...reset } = result.home.resets[id]!;
			expect(reset).toMatchObject({ lastDoneOn, foundShare, nookIds: [], swap: null });
			expect(log.map(({ on }) => on)).toEqual(lastDoneOn === null ? [] : [lastDoneOn]);
		}
	});
	it('carries version 7 to today: so many packs to hold are a rule now, and labels know their contents', () => {
		const text = readFileSync(new URL('./fixtures/v7.keepnook.json', import.meta.url), 'utf8');
		const old = JSON.parse(text) as {
			home: { things: Record<string, { parPacks: number | null }> };
		};
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		for (const [id, { parPacks }] of Object.entries(old.home.things))
			expect(result.home.things[id]!.hold).toEqual(
				parPacks === null ? null : { rule: 'packs', amount: parPacks }
			);
		expect(toVersion8({ things: { a: { parPacks: 3 } } })).toMatchObject({
			things: { a: { hold: { rule: 'packs', amount: 3 } } }
		});
		expect(Object.values(result.home.marks).every(({ bare }) => !bare)).toBe(true);
		expect(result.home.settings.shop.everyDays).toBe(7);
	});
	it('carries the frozen fixture of version 6 to today: nobody sits, and kinds belong where they usually do', () => {
		const text = readFileSync(new URL('./fixtures/v6.keepnook.json', import.meta.url), 'utf8');
		const result = readHomeFile(text);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		expect(result.home.readings).toEqual({ chilli: 'food.spices' });
		expect(Object.values(result.home.lots).some(({ dates }) => dates.madeOn)).toBe(true);
		expect(Object.values(result.home.nooks)[0]!.pictured).toEqual({ widthMm: 12, heightMm: null });
		expect(result.home.belongs).toEqual([]);
		expect(Object.values(result.home.people)[0]!.limits.seated).toBeNull();
	});
	it('keeps what was put by hand in version 2, which did not say which things were', () => {
		const old = {
			things: { a: { groupId: 'g' }, b: { groupId: 'h' }, c: { groupId: null } },
			groups: {
				g: { byHand: true, partners: [{ groupId: 'h', weight: 2 }], overrides: { volumeMl: 5 } },
				h: { byHand: false, partners: [], overrides: {} }
			},
			zonePlans: { p: {} }
		};
		expect(toVersion3(old)).toMatchObject({
			things: { a: { groupByHand: true }, b: { groupByHand: false }, c: { groupByHand: false } },
			groups: {
				g: { partners: [{ why: 'hand' }], overrides: { volumeMl: 5, look: null }, stockOf: null }
			},
			zonePlans: { p: { wishPrices: [] } }
		});
	});
	it('climbs the ladder step by step and says when a step is missing', () => {
		const steps = [(home: unknown) => [home, 2], (home: unknown) => [home, 3]];
		expect(migrate('a', 1, steps, 3)).toEqual([['a', 2], 3]);
		expect(migrate('a', 2, steps, 3)).toEqual(['a', 3]);
		expect(() => migrate('a', 1, [], 2)).toThrow(/No migration from version 1/);
	});
});

it('has a JSON Schema that names its format', () => {
	const schema = homeJsonSchema() as { properties: Record<string, { const?: unknown }> };
	expect(schema.properties.format!.const).toBe('keepnook-home');
	expect(JSON.stringify(schema).length).toBeGreaterThan(5000);
});

describe('a calendar file', () => {
	const options = (on: string, now = NOW) => ({
		name: 'The mill; ours, too',
		homeId: 'mill',
		now,
		resets: [
			{
				id: 'fridge',
				on,
				everyDays: 7,
				title: 'Fridge, before the shop; wipe',
				what: 'Use things up.',
				minutes: 12,
				person: 'Ada'
			},
			{ id: 'swap', on, everyDays: null, title: 'Swap', what: '', minutes: 30, person: '' }
		],
		dates: [{ id: 'lot-1', on: '2026-03-05', title: 'Use by today: milk', place: 'Fridge' }]
	});
	const events = (text: string) =>
		new ICAL.Component(ICAL.parse(text))
			.getAllSubcomponents('vevent')
			.map((component) => ({ component, event: new ICAL.Event(component) }));
	it('is read by another parser: all-day events that repeat, each with an alarm', () => {
		const [fridge, swap, milk] = events(homeCalendar(options(TODAY)));
		expect(fridge!.event.summary).toBe('Fridge, before the shop; wipe');
		expect(fridge!.event.startDate.isDate).toBe(true);
		expect(fridge!.event.startDate.toString()).toBe(TODAY);
		expect(fridge!.event.description).toBe('Use things up. About 12 min. Ada.');
		const next = fridge!.event.iterator();
		next.next();
		expect(next.next().toString()).toBe('2026-03-09');
		expect(swap!.event.isRecurring()).toBe(false);
		expect(milk!.event.startDate.toString()).toBe('2026-03-05');
		for (const { component } of [fridge!, swap!, milk!])
			expect(component.getAllSubcomponents('valarm')).toHaveLength(1);
	});
	it('replaces what an earlier file brought: the same ids, a higher number', () => {
		const first = events(homeCalendar(options(TODAY)));
		const later = events(homeCalendar(options('2026-03-09', '2026-03-03T09:00:00.000Z')));
		first.forEach(({ event }, i) => {
			expect(later[i]!.event.uid).toBe(event.uid);
			expect(later[i]!.event.sequence).toBeGreaterThan(event.sequence);
		});
		expect(new Set(first.map(({ event }) => event.uid)).size).toBe(3);
		expect(homeCalendar(options(TODAY))).toBe(homeCalendar(options(TODAY)));
	});
});
