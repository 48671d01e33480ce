import type { DistanceMeter, MeterReading } from '../core/devices';
import { parseLengths, type Cabinet } from '../core/model';
import { alikeIn, READINGS, sidesFrom, tapeStep, tapeSteps, type TapeStep } from '../core/survey';
import { deviceIssueText } from '../messages/devices';
import { lengthIssueText } from '../messages/survey';
import type { HomeStore } from './home-store.svelte';

/** A place has so many sides to measure. */
const SIDES = 3;
/** A usual board on both sides, mm: what a body's inside is thought to be before anyone measures it. */
const BOARDS_MM = 36;
const outside = (cabinet: Cabinet, { side }: TapeStep) => cabinet[side];

/** Goes through the numbers that are to be measured, one at a time, typed or sent by a device. */
export class Tape {
	readonly #store: () => HomeStore;
	readonly #meter: DistanceMeter;
	#keys = $state.raw<readonly string[]>([]);
	#at = $state(0);
	typed = $state('');
	#wrong = $state('');
	#waiting = $state(false);
	/** The place whose size was read last, all at once. */
	#lastRead = $state.raw<string | null>(null);
	#silence = $state.raw<(() => void) | null>(null);

	constructor(store: () => HomeStore, meter: (aimMm: () => number) => DistanceMeter) {
		this.#store = store;
		this.#meter = meter(() => this.#aim());
	}

	/** The number at hand; null: not begun, or all are taken. */
	get step(): TapeStep | null {
		const key = this.#keys[this.#at];
		return key === undefined ? null : tapeStep(this.#store().home, key);
	}
	get isOn(): boolean {
		return this.#keys.length > 0;
	}
	get isDone(): boolean {
		return this.isOn && this.#at >= this.#keys.length;
	}
	get position(): { readonly at: number; readonly of: number } {
		return { at: Math.min(this.#at + 1, this.#keys.length), of: this.#keys.length };
	}
	get wrong(): string {
		return this.#wrong;
	}
	get isWaiting(): boolean {
		return this.#waiting;
	}
	get isListening(): boolean {
		return this.#silence !== null;
	}

	/** Begins with what is missing, or also with what was only assumed; at one nook when it is named. */
	begin(assumed: boolean, nookId?: string): void {
		const steps = tapeSteps(this.#store().home, { assumed });
		this.#keys = steps.map(({ key }) => key);
		const first = nookId ? steps.findIndex(({ place }) => place.nook.id === nookId) : 0;
		this.#go(Math.max(0, first));
	}
	/** Ends; what was taken stays. */
	end(): void {
		this.quiet();
		this.#keys = [];
		this.#go(0);
	}

	press(key: string): void {
		this.typed += key;
		this.#wrong = '';
	}
	erase(): void {
		if (this.typed) this.typed = this.typed.slice(0, -1);
		else this.#takeBack();
	}

	/** Takes what is typed as the next reading. Without anything typed: goes on when there is a reading. */
	take(): void {
		const { step } = this;
		if (!step) return;
		if (!this.typed.trim() && step.taken.length) return this.next();
		const read = parseLengths(this.typed, this.#store().home.units);
		if (!read.ok) {
			this.#wrong = lengthIssueText(read.issue);
			return;
		}
		const [mm, ...more] = read.mm;
		if (more.length) this.#keepRow(step, read.mm);
		else if (mm !== undefined) this.#keep(mm);
	}
	/** Takes several numbers in a row for this side and those that follow it in its place, and goes on to the next. */
	#keepRow(step: TapeStep, mm: readonly number[]): void {
		// Three are the whole size, whichever side is asked for.
		const sides = sidesFrom(mm, mm.length === SIDES ? 'widthMm' : step.side);
		if (Object.keys(sides).length < mm.length) {
			this.#wrong = `${mm.length} numbers from the ${step.word} on are more than this place has sides.`;
			return;
		}
		const { nook } = step.place;
		this.#store().run(`size of ${nook.name}`, 'takeSides', nook.id, sides);
		this.#leavePlace(nook.id, Object.keys(sides));
	}
	/** How many other places stand in the same cabinet and are of the kind of the one just read; 0: none, or nothing read. */
	get alike(): number {
		const nookId = this.#lastRead;
		const { home } = this.#store();
		return nookId && home.nooks[nookId] ? alikeIn(home, nookId).length : 0;
	}
	/** Gives the places like the one read last its size, and leaves them off the list. */
	takeForAlike(): void {
		const nookId = this.#lastRead;
		if (!nookId) return;
		const { home } = this.#store();
		const ids = new Set(alikeIn(home, nookId).map(({ id }) => id as string));
		this.#store().run(`places like ${home.nooks[nookId]?.name ?? ''}`, 'sameSize', nookId);
		this.#lastRead = null;
		this.#leave((key) => ids.has(key.slice(0, key.lastIndexOf('/'))));
	}
	#leavePlace(nookId: string, sides: readonly string[]): void {
		this.#lastRead = nookId;
		const done = new Set(sides.map((side) => `${nookId}/${side.replace('Mm', '')}`));
		this.#leave((key) => done.has(key));
	}
	/** Goes on to the first number from here that is not among those that are done. */
	#leave(isDone: (key: string) => boolean): void {
		let at = this.#at;
		while (at < this.#keys.length && isDone(this.#keys[at]!)) at++;
		this.#go(at);
	}
	/** Leaves this number and goes to the next; it stays on the list when nothing was taken. */
	next(): void {
		this.#go(this.#at + 1);
	}
	back(): void {
		this.#go(Math.max(0, this.#at - 1));
	}

	/** Asks the device for one reading. */
	async measure(): Promise<void> {
		if (this.#waiting) return;
		this.#waiting = true;
		this.#wrong = '';
		this.#hear(await this.#meter.measure());
		this.#waiting = false;
	}
	/** Lets the device send on its own. */
	listen(): void {
		this.#wrong = '';
		this.#silence ??= this.#meter.listen((reading) => this.#hear(reading));
	}
	quiet(): void {
		this.#silence?.();
		this.#silence = null;
	}

	#aim(): number {
		const { step } = this;
		if (!step) return 500;
		const known = step.place.nook.inside[step.side] ?? step.taken[0];
		return known || Math.max(60, outside(step.place.cabinet, step) - BOARDS_MM);
	}
	#hear(reading: MeterReading): void {
		if (reading.ok) return this.#keep(reading.mm);
		this.#wrong = deviceIssueText(reading.issue);
		if (reading.issue.code.startsWith('device-')) this.quiet();
	}
	#keep(mm: number): void {
		const { step } = this;
		if (!step || step.taken.length >= READINGS) return;
		this.#store().run(
			`${step.word} of ${step.place.nook.name}`,
			'takeReading',
			step.place.nook.id,
			step.side,
			mm
		);
		this.typed = '';
		this.#wrong = '';
		if (step.taken.length + 1 >= READINGS) this.next();
	}
	#takeBack(): void {
		const { step } = this;
		if (step?.taken.length)
			this.#store().run(
				`take back the ${step.word} of ${step.place.nook.name}`,
				'setReadings',
				step.place.nook.id,
				step.side,
				step.taken.slice(0, -1)
			);
	}
	#go(at: number): void {
		this.#at = at;
		this.typed = '';
		this.#wrong = '';
	}
}
