import { cutRoom, benchBoxes } from './boxes';
import { faultsOf } from '../src/lib/core/solvers/boxes';
import { writeFileSync } from 'node:fs';
const rng = (seed: number) => {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) | 0;
		let t = Math.imul(a ^ (a >>> 15), 1 | a);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
};
for (const loose of [0, 4, 12])
	for (const n of [20, 50]) {
		const out: number[] = [];
		for (let s = 1; s <= 10; s++) {
			const f = `/tmp/b-${n}-${s}.json`;
			const c = cutRoom({ count: n, random: rng(s * 77 + n), looseMm: loose });
			writeFileSync(f, JSON.stringify(c));
			const r: any = benchBoxes(f, 500);
			out.push(r.share);
			const fl = faultsOf(
				{ levelMm: 3, ...c, boxes: c.items } as any,
				r.placed.map((p: any) => ({ ...p, box: c.items.findIndex((i) => i.id === p.id) }))
			);
			if (fl.length) console.log('FAULT', fl.slice(0, 3));
			if (s === 1) console.log(r.ms, r.status);
		}
		out.sort();
		console.log(loose, n, out.join(' '), 'median', out[4]);
	}
