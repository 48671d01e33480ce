import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NOW, tinyHome } from '../fixtures/tiny-home';
import { COLLECTION_NAMES, Home, linkFaults } from '../model';
import { parseHome, repairHome, repairHomeFile, writeHomeFile } from '.';

const fallback = { id: 'mended', now: NOW };
const repair = (raw: unknown) => repairHome(raw, fallback)!;
const copy = () => JSON.parse(JSON.stringify(tinyHome())) as Record<string, never>;
const full = JSON.parse(
	readFileSync(new URL('./fixtures/v13.keepnook.json', import.meta.url), 'utf8')
).home as Record<string, Record<string, Record<string, unknown>>>;

describe('repair', () => {
	it('leaves a sound home as it is', () => {
		expect(repair(copy())).toEqual({ home: tinyHome(), mends: [] });
	});
	it('leaves out what cannot be read, and what hangs on it', () => {
		const raw = copy() as unknown as { cabinets: Record<string, { widthMm: unknown }> };
		const [id] = Object.keys(raw.cabinets);
		raw.cabinets[id!]!.widthMm = 'wide';
		const { home, mends } = repair(raw);
		expect(mends[0]).toMatchObject({ code: 'record-left-out', path: `cabinets.${id}.widthMm` });
		expect(mends.slice(1).every(({ code }) => code === 'link-mended')).toBe(true);
		expect(Object.values(home.nooks).some(({ cabinetId }) => cabinetId === id)).toBe(false);
		expect(Object.keys(home.lots)).toHaveLength(12);
	});
	it('does without the part of a record that cannot be read', () => {
		const raw = structuredClone(full) as unknown as {
			rooms: Record<string, { obstacles: { widthMm: unknown }[] }>;
		};
		const room = Object.values(raw.rooms)[0]!;
		const before = room.obstacles.length;
		room.obstacles[0]!.widthMm = -4;
		const { home, mends } = repair(raw);
		expect(mends).toMatchObject([{ code: 'part-left-out' }]);
		expect(Object.values(home.rooms)[0]!.obstacles).toHaveLength(before - 1);
	});
	it('gives settings that cannot be read their usual value', () => {
		const { home, mends } = repair({ ...copy(), units: 'cubits', currency: 7 });
		expect(home).toMatchObject({ units: 'mm', currency: 'EUR', name: 'Tiny kitchen' });
		expect(mends.map(({ path }) => path)).toEqual(['units', 'currency']);
	});
	it('puts a record under its own id', () => {
		const raw = copy() as unknown as { lots: Record<string, unknown> };
		const [id, lot] = Object.entries(raw.lots)[0]!;
		delete raw.lots[id];
		raw.lots['other'] = lot;
		const { home, mends } = repair(raw);
		expect(home.lots[id]).toBeDefined();
		expect(mends).toMatchObject([{ code: 'part-left-out', path: 'lots.other.id' }]);
	});
	it('makes a home of any record, and of nothing else', () => {
		expect(repair({}).home.name).toBe('A home without a name');
		for (const raw of [null, 7, 'x', [], undefined]) expect(repairHome(raw, fallback)).toBeNull();
	});
	it('makes a sound home of whatever is broken, and never throws', () => {
		const paths: string[][] = [];
		const collect = (value: unknown, path: string[]) => {
			if (path.length) paths.push(path);
			if (typeof value === 'object' && value !== null)
				for (const [key, item] of Object.entries(value)) collect(item, [...path, key]);
		};
		collect(full, []);
		const odd = fc.constantFrom<unknown>(
			null,
			-1,
			1e300,
			'',
			'constructor',
			'__proto__',
			'nowhere',
			[],
			{},
			[null],
			'x'.repeat(5000)
		);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.nat(paths.length - 1), odd), { minLength: 1, maxLength: 8 }),
				(faults) => {
					const raw = structuredClone(full) as unknown;
					for (const [index, value] of faults) {
						const path = paths[index]!;
						const parent = path
							.slice(0, -1)
							.reduce<unknown>((node, key) => (node as Record<string, unknown>)?.[key], raw);
						if (typeof parent === 'object' && parent !== null)
							(parent as Record<string, unknown>)[path.at(-1)!] = value;
					}
					const { home, mends } = repair(raw);
					expect(Home.safeParse(home).error).toBeUndefined();
					expect(linkFaults(home)).toEqual([]);
					if (parseHome(raw).ok) expect(mends).toEqual([]);
					// A second look finds nothing more.
					expect(repair(home).mends).toEqual([]);
				}
			),
			{ seed: 51, numRuns: 150 }
		);
	});
	it('reads a file that was refused for what is in it, and no other', () => {
		const text = writeHomeFile(tinyHome()).replace('"units":"mm"', '"units":"cubits"');
		expect(repairHomeFile(text, fallback)).toMatchObject({ mends: [{ path: 'units' }] });
		for (const bad of ['', '[]', text.slice(0, 99), text.replace('"version":13', '"version":14')])
			expect(repairHomeFile(bad, fallback)).toBeNull();
	});
	it('has every collection, also one the file does not know', () => {
		const raw: Record<string, never> = copy();
		delete raw['pets'];
		const { home } = repair(raw);
		for (const name of COLLECTION_NAMES) expect(home[name]).toBeTypeOf('object');
	});
});
