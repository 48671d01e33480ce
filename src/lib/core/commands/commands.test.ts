import { describe, expect, it } from 'vitest';
import { NOW, tinyHome } from '../fixtures/tiny-home';
import { applyEdit, idsFrom } from '../model';
import { command, COMMANDS, editOf, type Command } from '.';
import { HISTORY_LIMIT } from './history-limit';
import { advance, holds, type Entry, type Timeline } from './timeline';

const home = tinyHome();
const start: Timeline = { home, history: [], cursor: 0 };
let n = 0;
const doing = (...commands: Command[]): Entry => ({
	kind: 'do',
	id: `e${++n}`,
	label: 'x',
	at: NOW,
	commands
});
const after = (now: Timeline, entry: Entry): Timeline => {
	const step = advance(now, entry);
	if (!step.ok) throw new Error(step.lost.code);
	return step.after;
};

describe('commands', () => {
	it('are plain data that make the same change again', () => {
		const [nook] = Object.values(home.nooks);
		const made = [
			command('setInside', nook!.id, 'widthMm', 597),
			command('addShelf', nook!.id, 200, 'stem'),
			command('duplicateCabinet', nook!.cabinetId, 'copy'),
			command('chooseSchools', { tops: true }),
			command('removeNook', nook!.id)
		];
		const sent = JSON.parse(JSON.stringify(made)) as Command[];
		const run = (list: Command[]) =>
			list.reduce((now, one) => applyEdit(now, editOf(one)).home, home);
		expect(run(sent)).toEqual(run(made));
		// The ids come from the stem, so that a change made again does not make other records.
		expect(run(sent).cabinets['copy-1']).toBeDefined();
	});
	it('do nothing to what is not there', () => {
		const quiet: Command[] = [
			command('setInside', 'no', 'widthMm', 1),
			command('changeNook', 'no', { name: 'x' }),
			command('changeThing', 'no', { avoid: true }),
			command('setUser', 'no', 'no', true),
			command('moveDoor', 'kitchen', 'no', { x: 1, y: 1 }),
			command('learnUntil', 'no', '2026-03-16'),
			command('changeObstruction', 'no', 'no', { widthMm: 1 }),
			command('nameRun', 'no', 'x'),
			command('nameStation', 'no', 'x'),
			command('changeRoom', 'no', { ceilingMm: 1 }),
			command('changeCabinet', 'no', { widthMm: 1 }),
			command('removeCorner', 'kitchen', 'no')
		];
		for (const one of quiet)
			expect(advance(start, doing(one)), one.name).toEqual({
				ok: false,
				lost: { code: 'no-effect' }
			});
	});
	it('keep what a choice does not name', () => {
		const person = after(start, doing(command('addPerson', 'p', 'Oda')));
		const one = after(person, doing(command('changePerson', 'p', { limits: { noClimb: true } })));
		const both = after(one, doing(command('changePerson', 'p', { limits: { maxLiftG: 5000 } })));
		expect(both.home.people['p']!.limits).toEqual({
			noClimb: true,
			maxLiftG: 5000,
			noAboveShoulder: false,
			seated: null
		});
		const nookId = Object.keys(home.nooks)[0]!;
		const wide = after(both, doing(command('setOpening', nookId, { widthMm: 300, heightMm: 200 })));
		const high = after(wide, doing(command('setOpening', nookId, { heightMm: 100 })));
		expect(high.home.nooks[nookId]!.opening).toEqual({ widthMm: 300, heightMm: 100 });
	});
	it('each have a name of their own', () => {
		expect(Object.keys(COMMANDS).length).toBeGreaterThan(80);
		expect(Object.values(COMMANDS).every((make) => typeof make === 'function')).toBe(true);
	});
});

describe('a timeline', () => {
	const one = after(start, doing(command('changeHome', { name: 'One' })));
	const two = after(one, doing(command('changeHome', { name: 'Two' })));
	const step = (kind: 'undo' | 'redo', stepId: string): Entry => ({
		kind,
		id: `u${++n}`,
		at: NOW,
		stepId
	});
	const idAt = (now: Timeline, seq: number) => now.history.find((each) => each.seq === seq)!.id;

	it('goes back and forth over its steps', () => {
		const back = after(two, step('undo', idAt(two, 2)));
		expect([back.home.name, back.cursor]).toEqual(['One', 1]);
		const forth = after(back, step('redo', idAt(two, 2)));
		expect(forth.home).toEqual(two.home);
		expect(advance(two, step('undo', idAt(two, 1)))).toMatchObject({ lost: { code: 'not-last' } });
		expect(advance(two, step('redo', idAt(two, 2)))).toMatchObject({ lost: { code: 'not-last' } });
	});
	it('forgets what could be done again once something else is done', () => {
		const back = after(two, step('undo', idAt(two, 2)));
		const other = after(back, doing(command('changeHome', { rented: true })));
		expect(other.history.map(({ seq }) => seq)).toEqual([1, 2]);
		expect(other.home).toMatchObject({ name: 'One', rented: true });
	});
	it('tells what does not fit a newer home, and throws a mistake of its own', () => {
		const broken = doing({ name: 'takeDown', args: [null as never] });
		expect(() => advance(start, broken)).toThrow();
		expect(advance(start, broken, true)).toMatchObject({ lost: { code: 'no-longer-fits' } });
	});
	it('tells what still stands on what would go', () => {
		const { runId } = Object.values(home.cabinets)[0]!;
		const room = Object.values(home.rooms)[0]!;
		expect(advance(start, doing(command('removeRun', runId)))).toMatchObject({ ok: false });
		expect(advance(start, doing(command('removeRoom', room.id)))).toMatchObject({ ok: false });
	});
	it('knows whether a change is there already', () => {
		const made = advance(start, doing(command('changeHome', { name: 'One' })));
		if (!made.ok) throw new Error('lost');
		expect(holds(one.home, made.patches)).toBe(true);
		expect(holds(two.home, made.patches)).toBe(false);
		const gone = advance(start, doing(command('removeNook', Object.keys(home.nooks)[0]!)));
		if (!gone.ok) throw new Error('lost');
		expect(holds(gone.after.home, gone.patches)).toBe(true);
		expect(holds(home, gone.patches)).toBe(false);
	});
	it('keeps the last steps at hand, as many as are stored', () => {
		let now = start;
		for (let i = 0; i < HISTORY_LIMIT + 30; i++)
			now = after(now, doing(command('changeHome', { name: `Name ${i}` })));
		expect(now.history).toHaveLength(HISTORY_LIMIT);
		expect(now.history.at(-1)!.seq).toBe(HISTORY_LIMIT + 30);
	});
	it('makes ids from a stem', () => {
		const ids = idsFrom('x');
		expect([ids(), ids()]).toEqual(['x-1', 'x-2']);
	});
});
