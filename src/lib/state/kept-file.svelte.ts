import type { Home } from '../core/model';
import { dropKeptFile, getKeptFile, putKeptFile, type Db, type FileHandle } from '../data';

export interface KeptFileDeps {
	readonly db: () => Promise<Db>;
	/** ISO instant. */
	readonly now: () => string;
	/** Lets a person choose a file to write to; null: called off. undefined: this browser cannot. */
	readonly pick: ((name: string) => Promise<FileHandle | null>) | undefined;
	/** The text of the file of a home. */
	readonly write: (home: Home) => Promise<string>;
	/** Calls back when edits have paused; gives a way to call it off. */
	readonly paused: (call: () => void) => () => void;
}
const PAUSE_MS = 2000;
export const afterPause: KeptFileDeps['paused'] = (call) => {
	const timer = setTimeout(call, PAUSE_MS);
	return () => clearTimeout(timer);
};
const ACCESS = { mode: 'readwrite' } as const;

/**
 * A file of the person's own that a home is written to whenever edits pause: in a synced folder it is a copy that is never
 * old. The browser asks anew after it was closed, so that going on takes a tap.
 */
export class KeptFile {
	readonly #deps: KeptFileDeps;
	#home: Home | null = null;
	#handle = $state.raw<FileHandle | null>(null);
	#mayWrite = $state(false);
	#callOff: (() => void) | null = null;
	#writing: Promise<void> | null = null;
	/** What the file holds. */
	#written: Home | null = null;
	/** ISO instant of the last write in this session; null: none yet. */
	writtenAt = $state.raw<string | null>(null);
	/** Why the file is behind. */
	wrong = $state('');

	constructor(deps: KeptFileDeps) {
		this.#deps = deps;
	}
	get canKeep(): boolean {
		return this.#deps.pick !== undefined;
	}
	/** Name of the file; empty: none was chosen. */
	get name(): string {
		return this.#handle?.name ?? '';
	}
	/** It was chosen before, and the browser wants to be asked again. */
	get mustAsk(): boolean {
		return this.#handle !== null && !this.#mayWrite;
	}
	/** Another home is on screen, or none: its file, if it has one. */
	async show(home: Home | null): Promise<void> {
		this.leave();
		[this.#home, this.#written] = [home, null];
		[this.#handle, this.#mayWrite, this.writtenAt, this.wrong] = [null, false, null, ''];
		if (!home || !this.canKeep) return;
		try {
			const handle = await getKeptFile(await this.#deps.db(), home.id);
			const state = (await handle?.queryPermission?.(ACCESS)) ?? 'granted';
			if (this.#home?.id !== home.id || !handle) return;
			this.#handle = handle;
			this.#mayWrite = state === 'granted';
			// What was changed just before the home was left is not in it yet.
			if (this.#mayWrite) this.#soon();
		} catch {
			// Without it the home is kept in the browser as before.
		}
	}
	/** The home as it stands after an edit. */
	touch(home: Home): void {
		if (this.#home === home) return;
		this.#home = home;
		if (this.#mayWrite) this.#soon();
	}
	#soon(): void {
		this.#callOff?.();
		this.#callOff = this.#deps.paused(() => void this.flush());
	}
	/** Chooses the file and writes it. */
	async choose(name: string): Promise<void> {
		const home = this.#home;
		this.wrong = '';
		if (!home) return;
		try {
			const handle = (await this.#deps.pick?.(name)) ?? null;
			if (!handle) return;
			await putKeptFile(await this.#deps.db(), home.id, handle);
			[this.#handle, this.#mayWrite, this.#written] = [handle, true, null];
		} catch (error) {
			this.#fail(error);
			return;
		}
		await this.flush();
	}
	/** Asks the browser to go on with the file that was chosen before. */
	async goOn(): Promise<void> {
		this.wrong = '';
		const state = (await this.#handle?.requestPermission?.(ACCESS)) ?? 'granted';
		this.#mayWrite = state === 'granted';
		if (this.#mayWrite) await this.flush();
		else this.wrong = 'The browser did not allow it. Choose the file again.';
	}
	/** Writes what stands now; one write at a time, the last state last. */
	async flush(): Promise<void> {
		this.#callOff?.();
		this.#callOff = null;
		while (this.#writing) await this.#writing;
		const [handle, home] = [this.#handle, this.#home];
		if (!handle || !home || !this.#mayWrite || this.#written === home) return;
		this.#writing = this.#write(handle, home).finally(() => (this.#writing = null));
		await this.#writing;
	}
	async #write(handle: FileHandle, home: Home): Promise<void> {
		try {
			const text = await this.#deps.write(home);
			const file = await handle.createWritable();
			await file.write(text);
			await file.close();
			[this.#written, this.writtenAt, this.wrong] = [home, this.#deps.now(), ''];
		} catch (error) {
			this.#fail(error);
		}
	}
	#fail(error: unknown): void {
		const reason = error instanceof Error ? error.message : String(error);
		this.wrong = `The file is not up to date: ${reason}. In this browser nothing is lost; choose the file again.`;
	}
	/** The file is left as it is. */
	async stop(): Promise<void> {
		this.leave();
		[this.#handle, this.#mayWrite, this.writtenAt, this.wrong] = [null, false, null, ''];
		if (this.#home) await dropKeptFile(await this.#deps.db(), this.#home.id);
	}
	/** The page goes out of sight, or another home comes: nothing waits any more. */
	leave(): void {
		this.#callOff?.();
		this.#callOff = null;
	}
}
