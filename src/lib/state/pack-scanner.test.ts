import { describe, expect, it } from 'vitest';
import { PackScanner } from './pack-scanner.svelte';

const standIn = { scan: async () => ({ ok: true as const, text: '0200000000004' }) };
const made = (camera: boolean) => new PackScanner({ hasCamera: async () => camera, standIn });
const turn = () => new Promise((done) => setImmediate(done));

describe('scanning a pack', () => {
	it('falls back to the stand-in without a camera, and says that it invents', async () => {
		const scanner = made(false);
		expect(await scanner.scan()).toEqual({ ok: true, text: '0200000000004', invented: true });
		expect(scanner.isOpen).toBe(false);
	});
	it('shows the camera until a code is found', async () => {
		const scanner = made(true);
		const scan = scanner.scan();
		await turn();
		expect(scanner.isOpen).toBe(true);
		scanner.found('4006381333931');
		expect(await scan).toEqual({ ok: true, text: '4006381333931' });
		expect(scanner.isOpen).toBe(false);
	});
	it('can be stopped, and a second scan stops the first', async () => {
		const scanner = made(true);
		const first = scanner.scan();
		await turn();
		const second = scanner.scan();
		expect(await first).toMatchObject({ ok: false, issue: { code: 'scan-stopped' } });
		await turn();
		scanner.stop();
		expect((await second).ok).toBe(false);
	});
	it('offers the stand-in when the camera gives no picture', async () => {
		const scanner = made(true);
		const scan = scanner.scan();
		await turn();
		scanner.failed('not allowed');
		expect([scanner.trouble, scanner.isOpen]).toEqual(['not allowed', true]);
		await scanner.standIn();
		expect(await scan).toMatchObject({ ok: true, invented: true });
	});
});
