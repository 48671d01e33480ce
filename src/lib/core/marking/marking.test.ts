import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import {
	imposeLabels,
	LABEL_SHEETS,
	nameLabel,
	containerLabels,
	DEFAULT_IMPOSE,
	fieldsOf,
	hazardOf,
	labelledSections,
	leaveBare,
	lidLabels,
	lotLabels,
	markedPlaces,
	placeLabels,
	plainContents,
	proposeContainerWords,
	sectionLabel,
	sheetIssue,
	type LabelPrint,
	type Marked,
	zoneLabels
} from '.';
import { pageSvg, textWidthMm } from '../printing';
import type { Thing } from '../model';

const label = (title: string, note = '', more: Partial<LabelPrint> = {}): LabelPrint => ({
	id: title,
	title,
	note,
	code: 'AB',
	ink: '#2f5d8c',
	hazard: '',
	fields: [],
	code2d: null,
	...more
});
const code2d = Array.from({ length: 25 }, (_, r) =>
	Array.from({ length: 25 }, (_, c) => (r * c) % 3 === 0)
);

describe('sheets', () => {
	it.each(LABEL_SHEETS)('$name lies on its paper', (sheet) => {
		const right =
			sheet.leftMm + sheet.columns * sheet.labelWidthMm + (sheet.columns - 1) * sheet.gapXMm;
		const bottom = sheet.topMm + sheet.rows * sheet.labelHeightMm + (sheet.rows - 1) * sheet.gapYMm;
		expect(right).toBeLessThanOrEqual(sheet.widthMm);
		expect(bottom).toBeLessThanOrEqual(sheet.heightMm);
		const [w, h] = sheet.paper === 'A4' ? [210, 297] : [215.9, 279.4];
		if (sheet.paper !== 'roll') expect([sheet.widthMm, sheet.heightMm]).toEqual([w, h]);
		expect(sheetIssue(sheet)).toBeNull();
	});
	it('lay every label once, without overlap, after those already used', () => {
		const sheet = LABEL_SHEETS[0]!;
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 50 }),
				fc.integer({ min: 0, max: 20 }),
				(count, skip) => {
					const labels = Array.from({ length: count }, (_, i) => label(`Label ${i}`));
					const pages = imposeLabels(labels, sheet, { ...DEFAULT_IMPOSE, skip });
					const all = pages.flatMap((page, p) =>
						page.labels.map((placed) => ({
							key: `${p}/${placed.xMm}/${placed.yMm}`,
							title: placed.print.title
						}))
					);
					expect(all.map(({ title }) => title)).toEqual(labels.map(({ title }) => title));
					expect(new Set(all.map(({ key }) => key)).size).toBe(count);
				}
			),
			{ seed: 82 }
		);
		const [first] = imposeLabels([label('One')], sheet, { ...DEFAULT_IMPOSE, skip: 4 })[0]!.labels;
		expect(first).toMatchObject({
			xMm: sheet.leftMm + sheet.labelWidthMm + sheet.gapXMm,
			yMm: sheet.topMm + sheet.labelHeightMm
		});
	});
	it.each(LABEL_SHEETS)(
		'$name: one letter size for the set, and nothing leaves its label',
		(sheet) => {
			const word = fc.stringMatching(/^[A-Za-z]{2,8}$/);
			const print = fc
				.record({
					words: fc.array(word, { minLength: 1, maxLength: 3 }),
					note: fc.constantFrom('', 'Larder, shelf 2, behind the door'),
					hazard: fc.constantFrom('', 'Keep from children. Never mix'),
					fields: fc.constantFrom(
						[],
						[
							{ name: 'Best before', value: '31 Mar 2027' },
							{ name: 'Opened', value: '' }
						]
					),
					code: fc.boolean()
				})
				.map(({ words, note, hazard, fields, code }) =>
					label(words.join(' '), note, { hazard, fields, code2d: code ? code2d : null })
				);
			fc.assert(
				fc.property(fc.array(print, { minLength: 1, maxLength: 6 }), (prints) => {
					const pages = imposeLabels(prints, sheet, { ...DEFAULT_IMPOSE, viewingMm: 500 });
					const labels = pages.flatMap((page) => page.labels);
					expect(labels.map(({ print }) => print)).toEqual(prints);
					const sizes = labels.filter(({ title }) => title.ok).map(({ title }) => title.sizeMm);
					expect(Math.max(...sizes, 0) - Math.min(...sizes, Infinity)).toBeLessThan(1e-6);
					for (const { title } of labels)
						if (title.ok) expect(title.sizeMm * 0.668).toBeGreaterThanOrEqual(2.5 - 1e-6);
					for (const page of pages)
						for (const item of page.items) {
							const box = boxOf(item);
							if (!box) continue;
							const inside = page.labels.some(
								({ xMm, yMm, widthMm, heightMm, title }) =>
									// One that cannot be read is said to be; it may stick out.
									!title.ok ||
									(box[0] >= xMm - 0.01 &&
										box[1] >= yMm - 0.01 &&
										box[2] <= xMm + widthMm + 0.01 &&
										box[3] <= yMm + heightMm + 0.01)
							);
							expect(inside, JSON.stringify(item)).toBe(true);
						}
				}),
				{ numRuns: 15 }
			);
		}
	);
	it('slip with the printer', () => {
		const sheet = LABEL_SHEETS[0]!;
		const at = (slipXMm: number, slipYMm: number) =>
			imposeLabels([label('Rice')], sheet, { ...DEFAULT_IMPOSE, slipXMm, slipYMm })[0]!.labels[0]!;
		expect(at(1.5, -2).xMm - at(0, 0).xMm).toBeCloseTo(1.5);
		expect(at(1.5, -2).yMm - at(0, 0).yMm).toBeCloseTo(-2);
	});
	it('say what cannot be read from so far', () => {
		const long = label('Unpronounceablewordsthatnobodyreads');
		const [page] = imposeLabels([long], LABEL_SHEETS[2]!, { ...DEFAULT_IMPOSE, viewingMm: 2000 });
		expect(page!.labels[0]!.title.ok).toBe(false);
	});
	it('do not lie beside or below their paper', () => {
		const sheet = LABEL_SHEETS[0]!;
		expect(sheetIssue({ ...sheet, columns: 4 })).toBe('too-wide');
		expect(sheetIssue({ ...sheet, rows: 9 })).toBe('too-high');
	});
	it('are drawn at their true size, with hostile words as plain text', () => {
		const [page] = imposeLabels([label('<script>alert("x")</script> & Co')], LABEL_SHEETS[0]!);
		const svg = pageSvg(page!);
		expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
		expect(svg).not.toContain('<script');
		expect(svg).toContain('&#60;script&#62;');
	});
});

/** Left, top, right and bottom of what is drawn; null for marks that lie outside on purpose. */
function boxOf(item: import('../printing').PrintItem): [number, number, number, number] | null {
	if (item.kind === 'text') {
		const width = textWidthMm(item.text, item.sizeMm, item.face);
		const left = item.align === 'middle' ? item.xMm - width / 2 : item.xMm;
		return [left, item.yMm - item.sizeMm * 0.668, left + width, item.yMm];
	}
	if (item.kind === 'box')
		return [item.xMm, item.yMm, item.xMm + item.widthMm, item.yMm + item.heightMm];
	return null;
}

const demo = demoHome(NOW);
const thing = (name: string, category: string): Thing => ({
	...Object.values(demo.things)[0]!,
	id: name as Thing['id'],
	name,
	category,
	needs: []
});
const bin = (id: string, things: Thing[], role: 'bin' | 'jar' = 'bin'): Marked => ({
	id,
	nook: Object.values(demo.nooks)[0]!,
	placementId: id,
	kind: { ...Object.values(demo.containerKinds)[0]!, role },
	groups: [Object.values(demo.groups).find(({ name }) => name === 'Baking')!],
	things,
	side: 'front'
});

describe('the words of a label', () => {
	const flour = thing('plain flour', 'food.baking');
	const sugar = thing('caster sugar', 'food.baking');
	const cocoa = thing('cocoa', 'food.hot-drinks');
	const rice = thing('basmati', 'food.grains');
	const words = (...bins: Marked[]) => Object.fromEntries(proposeContainerWords(bins));
	it('are narrow on a jar of one thing, broad where contents change', () => {
		expect(words(bin('a', [rice], 'jar'), bin('b', [sugar, cocoa, flour]))).toEqual({
			a: 'Basmati',
			b: 'Baking: caster to plain'
		});
		expect(words(bin('a', [sugar, cocoa, flour]))).toEqual({ a: 'Baking' });
	});
	it('tell bins of one group apart where they hold different things, and are one where they hold the same', () => {
		expect(words(bin('a', [sugar, flour]), bin('b', [cocoa]))).toEqual({
			a: 'Baking: caster sugar, plain flour',
			b: 'Baking: cocoa'
		});
		expect(words(bin('a', [flour]), bin('b', [flour]))).toEqual({ a: 'Baking', b: 'Baking' });
	});
	it('never name what is fresh: it is another thing next week', () => {
		const peppers = { ...thing('red peppers', 'food.salad'), needs: ['chilled' as const] };
		const carrots = { ...thing('carrots', 'food.salad'), needs: ['chilled' as const] };
		const said = words(bin('a', [peppers]), bin('b', [carrots]));
		expect(Object.values(said).join()).not.toMatch(/pepper|carrot/);
	});
});

describe('proposing labels', () => {
	const fitted = apply(demo, (draft) => {
		for (const [nookId, at] of [
			['d-1', 0],
			['d-2', 2]
		] as const)
			draft.fitPlans[`fit-${nookId}` as never] = {
				id: `fit-${nookId}`,
				nookId,
				placements: ['div-s', 'div-m'].map((kindId, i) => ({
					id: `container-${at + i + 1}`,
					kindId,
					groupId: 'cutlery',
					xMm: i * 100,
					yMm: 10,
					zMm: 0,
					turned: false,
					cut: null,
					holds: []
				})),
				standing: [],
				leftOver: [],
				costMinor: 0,
				fingerprint: '',
				madeAt: NOW
			} as never;
	});
	const titles = (home: typeof fitted) => containerLabels(home).map(({ title }) => title);
	it('makes one a container, for the side from which it is seen', () => {
		expect(containerLabels(fitted)[0]).toMatchObject({
			title: 'Cutlery',
			note: 'Top drawer',
			code: 'CU',
			side: 'top',
			byHand: false
		});
		expect(containerLabels(fitted)).toHaveLength(4);
	});
	it('keeps the words that were written by hand, and says them of all that is alike in other places', () => {
		const named = apply(fitted, nameLabel(containerLabels(fitted)[1]!, 'Forks', 'm'));
		expect(titles(named)).toEqual(['Cutlery', 'Forks', 'Forks', 'Forks']);
		const again = apply(named, nameLabel(containerLabels(named)[1]!, 'Spoons', 'm2'));
		expect(Object.values(again.marks).map(({ text }) => text)).toEqual(['Spoons']);
		expect(apply(again, nameLabel(containerLabels(again)[1]!, '', 'm3')).marks).toEqual({});
	});
	it('goes with its container, and asks to be looked at when other things are in it', () => {
		const with_ = (ids: string[]) =>
			apply(fitted, (draft) => {
				const plan = draft.fitPlans['fit-d-1' as never] as (typeof fitted.fitPlans)[string];
				plan.placements[0]!.holds = ids.map((thingId) => ({
					thingId: thingId as never,
					pieces: 1
				}));
			});
		const [one, two] = Object.keys(fitted.things);
		const before = with_([one!]);
		const named = nameLabel(containerLabels(before)[0]!, 'Forks', 'm');
		expect(containerLabels(apply(before, named))[0]!.lookAt).toBe(false);
		const after = apply(with_([two!]), named);
		expect(containerLabels(after)[0]).toMatchObject({ title: 'Forks', lookAt: true });
	});
	it('leaves blank what is asked to be left, and remembers the words', () => {
		const bare = apply(fitted, leaveBare(containerLabels(fitted)[0]!, true, 'm'));
		expect(containerLabels(bare)[0]).toMatchObject({ bare: true, title: 'Cutlery' });
		const back = apply(bare, leaveBare(containerLabels(bare)[0]!, false, 'm2'));
		expect(containerLabels(back)[0]!.bare).toBe(false);
	});
	it('has none for containers where nothing is fitted, and none for places without a plan', () => {
		expect(containerLabels(demo)).toEqual([]);
		expect(placeLabels(demo)).toEqual([]);
	});
	it('says what lives in a place, and warns in words of cleaners and medicines', () => {
		const planned = planFor(demo, {
			baking: 'larder-3',
			spices: 'larder-3',
			medicines: 'd-1'
		});
		const [larder] = placeLabels(planned);
		expect(larder).toMatchObject({ placementId: null, nookId: 'larder-3', hazard: null });
		expect(larder!.title).toMatch(/^Baking, /);
		const drawer = markedPlaces(planned).find(({ nook }) => nook.id === 'd-1')!;
		expect(hazardOf(planned, { ...drawer, things: [] })).toBe('medicine');
	});
	it('warns of what will live in a place, not of what stands there now', () => {
		const inMedicines = Object.values(demo.lots).find(
			({ thingId, nookId }) => nookId && demo.things[thingId]!.groupId === 'medicines'
		)!;
		const planned = planFor(demo, { medicines: 'd-1', spices: inMedicines.nookId! });
		const labels = new Map(placeLabels(planned).map((label) => [label.nookId, label]));
		expect(labels.get('d-1')!.hazard).toBe('medicine');
		expect(labels.get(inMedicines.nookId!)!.hazard).toBeNull();
		const things = (nookId: string) =>
			labels.get(nookId)!.thingIds.map((id) => planned.things[id]!.groupId);
		expect(new Set(things('d-1'))).toEqual(new Set(['medicines']));
		// Today's state warns where they stand today, of today's groups.
		const now = markedPlaces(planned, 'today').find(({ nook }) => nook.id === inMedicines.nookId)!;
		expect(hazardOf(planned, now)).toBe('medicine');
		expect(now.groups.map(({ id }) => id)).toContain('medicines');
	});
});

describe('labels of other sets', () => {
	const fitted = apply(demo, (draft) => {
		draft.containerKinds['div-s' as never]!.lid = true;
		const [first, second] = Object.values(draft.things).filter(
			({ category }) => category === 'kitchen.cutlery'
		);
		draft.fitPlans['fit' as never] = {
			id: 'fit',
			nookId: 'd-1',
			placements: ['div-s', 'div-m'].map((kindId, i) => ({
				id: `container-${i + 1}`,
				kindId,
				groupId: 'cutlery',
				xMm: i * 100,
				yMm: 10,
				zMm: 0,
				turned: false,
				cut: null,
				holds: []
			})),
			standing: [first, second].map((thing, i) => ({
				id: `zone-${i + 1}`,
				groupId: 'cutlery',
				names: [],
				holds: [{ thingId: thing!.id, pieces: 2 }],
				xMm: i * 100,
				yMm: 0,
				widthMm: 90,
				depthMm: 200,
				heightMm: 40
			})),
			leftOver: [],
			costMinor: 0,
			fingerprint: '',
			madeAt: NOW
		} as never;
	});
	it('name zones inside a drawer, each for what lies in it, and keep the words said of one', () => {
		const zones = zoneLabels(fitted);
		expect(zones.map(({ id, side }) => `${id} ${side}`)).toEqual([
			'd-1/zone-1 top',
			'd-1/zone-2 top'
		]);
		expect(zones[0]!.title).not.toBe(zones[1]!.title);
		const named = apply(fitted, nameLabel(zones[0]!, 'Little spoons', 'm'));
		expect(zoneLabels(named)[0]).toMatchObject({ title: 'Little spoons', byHand: true });
		expect(zoneLabels(named)[1]!.title).toBe(zones[1]!.title);
	});
	it('call a lid by its box, as the box is called now', () => {
		expect(lidLabels(fitted)).toMatchObject([{ title: 'Lid of Cutlery', isFixed: true }]);
		const [box] = containerLabels(fitted);
		const named = apply(fitted, nameLabel(box!, 'Forks', 'm'));
		expect(lidLabels(named).map(({ title }) => title)).toEqual(['Lid of Forks']);
		expect(lidLabels(demo)).toEqual([]);
	});
	it('are for each lot that is frozen or made at home, filled from that lot alone', () => {
		const labels = lotLabels(demo);
		expect(labels.length).toBeGreaterThan(20);
		expect(new Set(labels.map(({ id }) => id)).size).toBe(labels.length);
		for (const label of labels) {
			const lot = demo.lots[label.lotId!]!;
			const [frozen] = fieldsOf(demo, label, ['frozen']);
			if (frozen && lot.dates.frozenOn) expect(frozen.value).toBe(lot.dates.frozenOn);
		}
	});
	it('say the sections of shelves, where dates are kept so', () => {
		expect(labelledSections(demo)).toEqual([]);
		const by = apply(demo, (draft) => void (draft.schools.dates = 'quarter'));
		const sections = labelledSections(by);
		const ids = sections.map((each) => sectionLabel(each, 'x').id);
		expect(sections.length).toBeGreaterThan(10);
		expect(new Set(ids).size).toBe(ids.length);
	});
	it('hold in plain words what is in a place, for any phone', () => {
		const [box] = zoneLabels(fitted);
		expect(plainContents(fitted, box!)).toBe(
			`${box!.title}. Top drawer: ${demo.things[box!.thingIds[0]!]!.name}`
		);
		const many = { ...box!, thingIds: Object.keys(demo.things) };
		expect(plainContents(fitted, many)).toHaveLength(300);
	});
	it('say how one thing is cooked, and what a group goes with', () => {
		const [thing] = Object.values(demo.things).filter(({ category }) => category === 'food.grains');
		const cooked = apply(demo, (draft) => void (draft.things[thing!.id]!.cooking = '12 min'));
		const label = {
			...{ ...zoneLabels(fitted)[0]!, groupId: null },
			nookId: 'larder-2',
			thingIds: [thing!.id]
		};
		const said = fieldsOf(cooked, label, ['cooking']);
		expect(said).toEqual([{ field: 'cooking', value: '12 min' }]);
		const two = { ...label, thingIds: [thing!.id, 'plain-flour'] };
		expect(fieldsOf(cooked, two, ['cooking'])).toEqual([]);
		const [group] = Object.values(demo.groups).filter(({ partners }) => partners.length > 0);
		const [partner] = [...group!.partners].sort((a, b) => b.weight - a.weight);
		const placed = planFor(demo, { [partner!.groupId]: 'd-1' });
		const of = { ...label, groupId: group!.id };
		expect(fieldsOf(placed, of, ['goes-with'])).toEqual([
			{ field: 'goes-with', value: `${demo.groups[partner!.groupId]!.name}, Top drawer` }
		]);
	});
});

describe('what else a label says', () => {
	const place = (name: string) => {
		const lot = Object.values(demo.lots).find(
			({ thingId }) => demo.things[thingId]!.name === name
		)!;
		return {
			...containerLabelOf(lot.nookId!),
			thingIds: [lot.thingId as string]
		};
	};
	const containerLabelOf = (nookId: string) => ({
		id: nookId,
		nookId,
		placementId: null,
		groupId: null,
		title: '',
		proposed: '',
		note: '',
		code: '',
		hue: 0,
		side: 'front' as const,
		hazard: null,
		byHand: false,
		bare: false,
		lookAt: false
	});
	it('is filled from what is under it, and left out where it does not concern it', () => {
		const [date] = fieldsOf(demo, place('plain flour'), ['best-before']);
		expect(date!.value).toMatch(/^\d{4}-\d\d-\d\d$/);
		const fork = Object.values(demo.things).find(({ category }) => category === 'kitchen.cutlery')!;
		expect(
			fieldsOf(demo, place(fork.name), ['best-before', 'frozen', 'times', 'allergens'])
		).toEqual([]);
		const pill = Object.values(demo.things).find(
			({ category }) => category === 'bathroom.medicines'
		)!;
		const [times] = fieldsOf(demo, place(pill.name), ['times']);
		expect(times!.boxes).toHaveLength(4);
		expect(fieldsOf(demo, place('plain flour'), ['write-on'])).toEqual([
			{ field: 'write-on', value: '' }
		]);
	});
	it('names allergens of the household in words', () => {
		const tahini = Object.values(demo.things).find(({ name }) => name.startsWith('sesame oil'))!;
		expect(fieldsOf(demo, place(tahini.name), ['allergens'])).toEqual([
			{ field: 'allergens', value: 'sesame' }
		]);
	});
});
