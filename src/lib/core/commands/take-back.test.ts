import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NOW, withLines, bareKitchen } from '../fixtures/tiny-home';
import { command, type Command } from '.';
import { advance, type Entry, type Timeline } from './timeline';
import { takeBack } from './take-back';
import { touchedBy } from './touched-by';

const start: Timeline = {
	home: withLines(bareKitchen(), ['6 penne', '4 milk', '3 eggs']),
	history: [],
	cursor: 0
};
const lots = Object.keys(start.home.lots);
let n = 0;
const run = (now: Timeline, ...commands: Command[]): Timeline => {
	const entry: Entry = { kind: 'do', id: `s${++n}`, label: 'x', at: NOW, commands };
	const step = advance(now, entry);
	return step.ok ? step.after : now;
};
const take = (lotId: string, count: number) =>
	command('takeDown', { lotId, count, eventId: `e${++n}`, now: NOW });
const lastId = ({ history, cursor }: Timeline) => history.find(({ seq }) => seq === cursor)!.id;
const undo = (now: Timeline, stepId: string): Timeline => {
	const touched = touchedBy(now, stepId);
	return touched ? run(now, command('takeBack', touched)) : now;
};

describe('taking one step back, whatever was done since', () => {
	it('gives what undo would, where nothing was done since', () => {
		const after = run(start, take(lots[0]!, 2));
		expect(undo(after, lastId(after)).home).toEqual(start.home);
	});
	it('gives the packs back and leaves what was taken later', () => {
		const first = run(start, take(lots[0]!, 2));
		const id = lastId(first);
		const later = run(first, take(lots[0]!, 1), command('changeHome', { name: 'Mill' }));
		const back = undo(later, id);
		expect(back.home.lots[lots[0]!]!.count).toBe(5);
		expect(back.home.name).toBe('Mill');
		expect(Object.values(back.home.useEvents)).toHaveLength(1);
	});
	it('leaves a word that was said anew since', () => {
		const first = run(start, command('changeHome', { name: 'One' }));
		const second = run(first, command('changeHome', { name: 'Two' }));
		expect(undo(second, lastId(first)).home.name).toBe('Two');
	});
	it('does nothing to what came with the step and was worked on since', () => {
		const thingId = start.home.lots[lots[0]!]!.thingId;
		const put = run(
			start,
			command('putIn', {
				thingId,
				nookId: null,
				count: 3,
				states: ['open'],
				lotId: 'new',
				eventId: 'add',
				now: NOW
			})
		);
		expect(put.home.lots['new']!.count).toBe(3);
		const used = run(put, take('new', 1));
		expect(undo(used, lastId(put)).home).toEqual(used.home);
		expect(undo(put, lastId(put)).home).toEqual(start.home);
	});
	it('does not reach steps that are not in force or forgotten', () => {
		expect(touchedBy(start, 'none')).toBeNull();
		const one = run(start, take(lots[0]!, 1));
		const undone = { ...one, cursor: 0, home: start.home };
		expect(touchedBy(undone, lastId(one))).toBeNull();
		expect(takeBack([])).toBeTypeOf('function');
	});
	it('conserves stock: what is there and what is logged always make up what was there', () => {
		const step = fc.record({
			lot: fc.nat(2),
			count: fc.integer({ min: 1, max: 3 }),
			back: fc.nat(5)
		});
		fc.assert(
			fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
				let now = start;
				const made: string[] = [];
				for (const { lot, count, back } of steps) {
					const before = now.cursor;
					now = run(now, take(lots[lot]!, count));
					if (now.cursor > before) made.push(lastId(now));
					const target = made[back];
					if (target) {
						now = undo(now, target);
						made.splice(back, 1);
					}
				}
				for (const id of lots) {
					const gone = Object.values(now.home.useEvents)
						.filter(({ lotId }) => lotId === id)
						.reduce((sum, { count }) => sum + count, 0);
					expect(now.home.lots[id]!.count + gone).toBe(start.home.lots[id]!.count);
				}
			}),
			{ numRuns: 60 }
		);
	});
});
