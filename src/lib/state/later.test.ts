import { describe, expect, it } from 'vitest';
import { Later } from './later.svelte';

/** A clock that runs when it is told to. */
function clock() {
	let waiting: (() => void)[] = [];
	return {
		afterwards: (call: () => void) => {
			waiting.push(call);
			return () => {
				waiting = waiting.filter((other) => other !== call);
			};
		},
		tick: () => waiting.splice(0).forEach((call) => call()),
		waiting: () => waiting.length
	};
}

describe('a figure that may come later', () => {
	const set = () => {
		const time = clock();
		let input = 'a';
		let runs = 0;
		const later = new Later(
			() => input,
			(text) => {
				runs++;
				return text.toUpperCase();
			},
			time.afterwards
		);
		return { time, later, runs: () => runs, become: (next: string) => (input = next) };
	};
	it('keeps the last answer until the next is there', () => {
		const { time, later, become } = set();
		expect(later.value).toBeNull();
		time.tick();
		expect(later.value).toBe('A');
		become('b');
		expect(later.value).toBe('A');
		time.tick();
		expect(later.value).toBe('B');
	});
	it('computes once for edits that follow each other quickly, and not again for a second look', () => {
		const { time, later, runs, become } = set();
		void later.value;
		void later.value;
		become('b');
		void later.value;
		become('c');
		void later.value;
		expect(time.waiting()).toBe(1);
		time.tick();
		expect([later.value, runs()]).toEqual(['C', 1]);
		expect(time.waiting()).toBe(0);
	});
	it('computes nothing once it was left', () => {
		const { time, later, runs } = set();
		void later.value;
		later.leave();
		time.tick();
		expect(runs()).toBe(0);
	});
});
