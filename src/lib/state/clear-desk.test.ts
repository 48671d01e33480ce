import { describe, expect, it } from 'vitest';
import { solvedOnce } from '../core/fixtures/solved-once';
import { demoHome } from '../data/demo';
import { apply, bareKitchen, counter, NOW, TODAY, withLines } from '../core/fixtures/tiny-home';
import { applyEdit, NookId, usesPerWeek, type Home } from '../core/model';
import { adoptPlan, keepingCosts, layoutOf, toZonePlan, zoneModelOf } from '../core/zoning';
import { ClearDesk, TABLE } from './clear-desk.svelte';
import { DeskStore } from './desk-store';

const kitchen = bareKitchen();
const nookOf = (name: string): string =>
	Object.values(kitchen.nooks).find((nook) => nook.name.startsWith(name))!.id;
const SINK = nookOf('Sink cabinet');
const BASE = nookOf('Base cabinet');

function desk(
	home: Home,
	placeAsked: string | null = BASE,
	asked: Partial<ConstructorParameters<typeof ClearDesk>[0]> = {}
) {
	const store = new DeskStore(home);
	const newId = counter('d');
	let minute = 0;
	const made = new ClearDesk({
		store: store.get,
		newId,
		now: () => new Date(Date.parse(NOW) + 60_000 * ++minute).toISOString(),
		today: () => TODAY,
		placeAsked,
		afterwards: (call) => (call(), () => {}),
		...asked
	});
	return { store, desk: made };
}
const stocked = (lines: readonly string[], nookId = BASE) => withLines(kitchen, lines, nookId);
const nameOf = ({ desk: { thing } }: { desk: ClearDesk }) => thing?.name;

describe('the pile of a reset', () => {
	const home = stocked(['2 tins chopped tomatoes bb 03/25', '1 saucepan', '2 jars honey']);
	it('has what the reset is for, and nothing that stands beside it', () => {
		const { desk: all } = desk(home);
		expect(all.lots).toHaveLength(3);
		const { desk: food } = desk(home, BASE, {
			meant: ({ category }) => category.startsWith('food.')
		});
		expect(food.lots).toHaveLength(2);
		expect(food.open.size).toBe(2);
		food.keepPlain();
		expect([...food.verdicts.keys()].every((id) => food.lots.some((lot) => lot.id === id))).toBe(
			true
		);
	});
	it('heeds the advice that the reset is about', () => {
		const { desk: all } = desk(home);
		const late = all.lots.find(({ id }) => all.adviceOn(id).length > 0)!;
		expect(all.adviceOn(late.id)[0]!.strength).toBeGreaterThan(1);
		const { desk: none } = desk(home, BASE, { heeds: () => false });
		expect(none.lots.every(({ id }) => none.adviceOn(id).length === 0)).toBe(true);
		const { desk: dates } = desk(home, BASE, { heeds: ({ strength }) => strength > 1 });
		expect(dates.adviceOn(late.id)).toEqual(
			all.adviceOn(late.id).filter(({ strength }) => strength > 1)
		);
	});
});

describe('the pile in Clear', () => {
	it('opens where most is past its date, and stays there when that changes', () => {
		const home = withLines(
			withLines(kitchen, ['flour bb 01/01/25', 'rice bb 01/02/25'], BASE),
			['soap', 'honey bb 01/01/25'],
			SINK
		);
		const at = desk(home, null);
		expect(at.desk.nookId).toBe(BASE);
		at.desk.choose('discard');
		at.desk.choose('discard');
		expect(at.desk.past.get(SINK)).toBe(1);
		expect(at.desk.nookId).toBe(BASE);
	});
	it('brings up the strongest advice first, then the nearest date, and the next by itself', () => {
		const at = desk(
			stocked(['rice', 'flour bb 01/01/25', 'tin of soup bulging', 'oats bb 10/03/26'])
		);
		const order: (string | undefined)[] = [];
		for (let i = 0; i < 4; i++) {
			order.push(nameOf(at));
			at.desk.takeAdvice();
		}
		expect(order).toEqual(['soup', 'flour', 'oats', 'rice']);
		expect(at.desk.current).toBeUndefined();
		expect(at.desk.tally.map(({ verdict }) => verdict)).toContain('discard');
	});
	it('says what keeping a seldom used thing costs by the plan in force, and nothing once that is out of date', () => {
		const home = demoHome(NOW);
		const result = solvedOnce('demo', () => home).result;
		const planned = apply(home, adoptPlan(toZonePlan(result, 'p', 'Plan', NOW)));
		const model = zoneModelOf(planned);
		const costs = [...keepingCosts(model, layoutOf(model, result.assignments)).values()];
		const seldom = costs.find(({ thingId }) => usesPerWeek(home.things[thingId]!) <= 1)!;
		const lot = Object.values(home.lots).find(
			(one) => one.thingId === seldom.thingId && one.nookId
		)!;
		const at = (of: Home) => {
			const { desk: clear } = desk(of, lot.nookId);
			clear.pick(lot.id);
			return clear.keeping;
		};
		expect(at(planned)).toEqual(seldom);
		expect(at(home)).toBeNull();
		const changed = apply(planned, (draft) => void (draft.lots[lot.id]!.count += 40));
		expect(at(changed)).toBeNull();
	});
	it('decides on a part, and asks about the rest', () => {
		const at = desk(stocked(['6 jars']));
		at.desk.some = 4;
		at.desk.choose('give');
		expect(at.desk.current?.count).toBe(2);
		expect(at.desk.some).toBeNull();
	});
	it('asks why when the advice was not followed, and keeps the reason', () => {
		const at = desk(stocked(['tin of soup bulging']));
		at.desk.choose('keep');
		expect(at.desk.against).toMatchObject({ name: 'soup', words: 'Discard' });
		at.desk.giveReason('It is still good');
		expect(Object.values(at.store.home.decisions)[0]?.reason).toBe('It is still good');
		expect(at.desk.against).toBeNull();
	});
	it('keeps all that there are no concerns about as one step', () => {
		const at = desk(stocked(['rice', 'oats', 'tin of soup bulging']));
		expect(at.desk.plain).toHaveLength(2);
		at.desk.keepPlain();
		expect(at.store.labels).toEqual(['keep 2 things']);
		expect(nameOf(at)).toBe('soup');
		at.store.undo();
		expect(at.desk.plain).toHaveLength(2);
	});
	it('puts what leaves and is restocked on the list in the same gesture, unless it is not to be bought', () => {
		const home = applyEdit(stocked(['rice']), (draft) => {
			Object.values(draft.things)[0]!.hold = { rule: 'packs', amount: 2 };
		}).home;
		const wanted = desk(home);
		wanted.desk.choose('discard');
		expect(Object.values(wanted.store.home.decisions)[0]).toMatchObject({ wantAgain: true });
		const unwanted = desk(home);
		unwanted.desk.avoid = true;
		unwanted.desk.choose('discard');
		expect(Object.values(unwanted.store.home.decisions)[0]).toMatchObject({ wantAgain: false });
		expect(Object.values(unwanted.store.home.things)[0]?.avoid).toBe(true);
	});
	it('moves to the place that is chosen, or to the table, from where it goes on', () => {
		const at = desk(stocked(['ladle', 'whisk']));
		at.desk.moveTo = SINK;
		at.desk.choose('move');
		at.desk.choose('move');
		const places = Object.values(at.store.home.lots).map(({ nookId }) => nookId);
		expect(places).toEqual(expect.arrayContaining([NookId.parse(SINK), null]));
		at.desk.goTo(TABLE);
		expect(at.desk.atTable).toBe(true);
		expect(at.desk.lots).toHaveLength(1);
	});
	it('raises the advice over the pile on a tap, and lowers it when the pile is done', () => {
		const at = desk(stocked(['ladle']));
		at.desk.pick(at.desk.lots[0]!.id);
		expect(at.desk.isRaised).toBe(true);
		at.desk.close();
		expect(at.desk.isRaised).toBe(false);
		at.desk.pick(at.desk.lots[0]!.id);
		at.desk.choose('keep');
		expect(at.desk.isRaised).toBe(false);
	});
	it('says how many pieces are too many for the place', () => {
		const many = Array.from({ length: 30 }, (_, i) => `4 stockpot ${i}`);
		const at = desk(stocked(many));
		expect(at.desk.tooMany?.over).toBeGreaterThan(0);
		expect(desk(stocked(['1 mug'])).desk.tooMany).toBeNull();
	});
});
