import type { CodeScanner, ScanResult } from '../core/devices';

export interface PackScannerDeps {
	readonly hasCamera: () => Promise<boolean>;
	/** What is asked when there is no camera, or it may not be used. */
	readonly standIn: CodeScanner;
}

/**
 * Scans packs with the camera where there is one: while `isOpen` its picture is to be shown, and what is read in it is
 * handed to `found`. Without a camera the stand-in answers, whose products are invented.
 */
export class PackScanner implements CodeScanner {
	readonly #deps: PackScannerDeps;
	isOpen = $state(false);
	/** Why the camera gives no picture. */
	trouble = $state('');
	#settle: ((result: ScanResult) => void) | null = null;

	constructor(deps: PackScannerDeps) {
		this.#deps = deps;
	}

	async scan(): Promise<ScanResult> {
		this.#end({ ok: false, issue: { code: 'scan-stopped' } });
		if (!(await this.#deps.hasCamera())) return this.#fromStandIn();
		this.trouble = '';
		return new Promise((settle) => {
			this.#settle = settle;
			this.isOpen = true;
		});
	}
	/** A code was read in the picture. */
	found(text: string): void {
		this.#end({ ok: true, text });
	}
	stop(): void {
		this.#end({ ok: false, issue: { code: 'scan-stopped' } });
	}
	/** The camera cannot be used: what it said. The picture stays open to offer the stand-in. */
	failed(reason: string): void {
		this.trouble = reason;
	}
	/** Takes the stand-in for this once. */
	async standIn(): Promise<void> {
		this.#end(await this.#fromStandIn());
	}
	async #fromStandIn(): Promise<ScanResult> {
		const result = await this.#deps.standIn.scan();
		return result.ok ? { ...result, invented: true } : result;
	}
	#end(result: ScanResult): void {
		const settle = this.#settle;
		this.#settle = null;
		this.isOpen = false;
		settle?.(result);
	}
}
