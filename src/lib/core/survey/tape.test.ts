import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { NOW } from '../fixtures/tiny-home';
import { applyEdit } from '../model';
import { tapeList } from './checks';
import { reachShares } from './reach-shares';
import { setReadings, takeReading } from './readings';
import { tapeStep, tapeSteps } from './tape';
import { spaceTotals } from './totals';

const demo = demoHome(NOW);

describe('the tape list, number by number', () => {
	it('has one step for each missing side, in the order of the list', () => {
		const flat = tapeList(demo).flatMap(({ place, missing }) =>
			missing.map((word) => `${place.nook.id}/${word}`)
		);
		expect(tapeSteps(demo).map(({ key }) => key)).toEqual(flat);
	});
	it('takes a side off the list with its first reading, and puts it back when that is taken back', () => {
		const [step] = tapeSteps(demo);
		const read = applyEdit(demo, takeReading(step!.place.nook.id, step!.side, 345)).home;
		expect(tapeSteps(read)).toHaveLength(tapeSteps(demo).length - 1);
		expect(tapeStep(read, step!.key)!.taken).toEqual([345]);
		const back = applyEdit(read, setReadings(step!.place.nook.id, step!.side, [])).home;
		expect(tapeSteps(back)).toHaveLength(tapeSteps(demo).length);
	});
	it('asks for sizes that no tape was held to only when it is told to', () => {
		const assumed = tapeSteps(demo, { assumed: true });
		expect(assumed.length).toBeGreaterThan(3 * 10);
		expect(assumed.every(({ taken }) => taken.length === 0)).toBe(true);
	});
	it('knows nothing of a nook that is gone', () => {
		expect(tapeStep(demo, 'none/width')).toBeNull();
		expect(tapeStep(demo, 'd-1/colour')).toBeNull();
	});
});

describe('space by reach', () => {
	it('adds up to all measured space for every person', () => {
		const whole = spaceTotals(demo).whole.usableMl;
		for (const person of Object.values(demo.people)) {
			const sum = reachShares(demo, person).reduce((total, { usableMl }) => total + usableMl, 0);
			expect(sum, person.name).toBeCloseTo(whole, 3);
		}
	});
	it('gives what needs a stool as never to someone who may not climb', () => {
		const oda = Object.values(demo.people).find(({ limits }) => limits.noClimb)!;
		const shares = new Map(reachShares(demo, oda).map((share) => [share.band, share.usableMl]));
		expect(shares.get('stool')).toBe(0);
		expect(shares.get('never')).toBeGreaterThan(0);
	});
});
