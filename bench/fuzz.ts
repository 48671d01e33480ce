import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { MOST_MS } from '../src/lib/server/compute-limits';
import { fuzzHomes } from './fuzz-homes';
import { fuzzRequests } from './mutate';
import { round } from './measure';
import { withServer } from './with-server';

const SEED = 77;
const AT_ONCE = 2;

const quantile = (times: readonly number[], share: number) =>
	round([...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)] ?? 0);

/** The most memory the server has taken, MB; null where the system does not say. */
function peakMb(pid: number): number | null {
	try {
		const found = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
		return found ? Math.round(Number(found[1]) / 1024) : null;
	} catch {
		return null;
	}
}

/** Sends odd requests to the built server, some at a time, and looks at a page all the while. */
export async function benchFuzz(count: number): Promise<object> {
	const line = await withServer(async (base, pid) => {
		const requests = fuzzRequests(SEED, count, fuzzHomes());
		const statuses: Record<string, number> = {};
		const times: number[] = [];
		const bad: string[] = [];
		let done = false;
		const pages: number[] = [];
		const looking = (async () => {
			while (!done) {
				const from = performance.now();
				await (await fetch(base)).text();
				pages.push(performance.now() - from);
				await pause(50);
			}
		})();
		let next = 0;
		const sender = async () => {
			for (let i = next++; i < requests.length; i = next++) {
				const { name, body, what } = requests[i]!;
				const from = performance.now();
				const status = await fetch(`${base}/api/v1/${name}`, {
					method: 'POST',
					body,
					headers: { 'content-type': 'application/json' }
				}).then(
					async (response) => {
						await response.text();
						return response.status;
					},
					(error: unknown) => {
						bad.push(`${String((error as { cause?: unknown }).cause ?? error)}: ${name}: ${what}`);
						return 0;
					}
				);
				const ms = performance.now() - from;
				times.push(ms);
				statuses[status] = (statuses[status] ?? 0) + 1;
				if (status >= 500 || ms > MOST_MS + 2000)
					bad.push(`${status} ${round(ms)} ms ${name}: ${what}`);
			}
		};
		await Promise.all(Array.from({ length: AT_ONCE }, sender));
		done = true;
		await looking;
		return {
			bench: 'fuzz',
			seed: SEED,
			requests: times.length,
			statuses,
			medianMs: quantile(times, 0.5),
			worstMs: quantile(times, 1),
			pageMedianMs: quantile(pages, 0.5),
			page99Ms: quantile(pages, 0.99),
			pageWorstMs: quantile(pages, 1),
			peakMb: peakMb(pid),
			bad
		};
	});
	return line ?? { bench: 'fuzz', skipped: 'no build: run npm run build first' };
}
