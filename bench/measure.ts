/** Runs a thing some times after a warm-up and gives the median in ms, with the last value. */
export function median<T>(runs: number, work: () => T): { ms: number; value: T } {
	let value = work();
	const times: number[] = [];
	for (let i = 0; i < runs; i++) {
		const from = performance.now();
		value = work();
		times.push(performance.now() - from);
	}
	times.sort((a, b) => a - b);
	return { ms: round(times[Math.floor(times.length / 2)]!), value };
}
export const round = (ms: number) => Math.round(ms * 10) / 10;
