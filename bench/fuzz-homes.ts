import { readFileSync } from 'node:fs';
import { demoHome } from '../src/lib/data/demo';

/** The homes that odd requests are made of: mostly a small one with something of everything, now and then the demo. */
export function fuzzHomes(): object[] {
	const file = new URL('../src/lib/core/interchange/fixtures/v5.keepnook.json', import.meta.url);
	const small = (JSON.parse(readFileSync(file, 'utf8')) as { home: object }).home;
	const large = JSON.parse(JSON.stringify(demoHome('2026-03-02T09:00:00.000Z'))) as object;
	return [...Array.from({ length: 7 }, () => small), large];
}
