import { describe, expect, it } from 'vitest';
import { apply, NOW, tinyHome, withLines } from '../fixtures/tiny-home';
import { makeHome, type Lot } from '../model';
import { medicinesOf } from './medicines';

const TODAY = '2026-03-02';
const shelf = Object.values(tinyHome().nooks)[0]!.id;
/** One box of painkillers, with what is said of it. */
const notGiven = (change: (lot: Lot) => void, hazards?: readonly string[]) => {
	let home = withLines(tinyHome(), ['1 paracetamol'], shelf);
	home = apply(home, (draft) => {
		const lot = Object.values(draft.lots).find(
			({ thingId }) => draft.things[thingId]!.name === 'paracetamol'
		)!;
		lot.dates.printed = { on: '2027-05-31', kind: 'use-by' } as never;
		change(lot as Lot);
		if (hazards) draft.things[lot.thingId]!.hazards = [...hazards] as never;
	});
	return medicinesOf(home, TODAY).map(({ not }) => not);
};

describe('medicines for a carer', () => {
	it.each<[string, (lot: Lot) => void, string | null]>([
		['in date', () => {}, null],
		['on its last day', (lot) => (lot.dates.printed!.on = TODAY as never), null],
		['a day past it', (lot) => (lot.dates.printed!.on = '2026-03-01' as never), 'expired'],
		['without a date', (lot) => (lot.dates.printed = null), 'no-date'],
		['frozen once', (lot) => void lot.states.push('thawed'), 'spoiled'],
		['leaking', (lot) => void lot.states.push('leaking'), 'spoiled']
	])('%s', (_, change, not) => expect(notGiven(change)).toEqual([not]));
	it('what nobody has said the kind of is not given', () =>
		expect(notGiven(() => {}, ['medicine', 'unknown'])).toEqual(['unknown']));
	it('lists none where there is none, and none that is used up', () => {
		expect(medicinesOf(makeHome({ id: 'h', name: 'H', now: NOW }), TODAY)).toEqual([]);
		expect(notGiven((lot) => (lot.count = 0))).toEqual([]);
	});
});
