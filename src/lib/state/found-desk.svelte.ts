import type { ShopLine } from '../core/fitting';
import type { DistanceMeter } from '../core/devices';
import { formatLength, parseLength } from '../core/model';
import { deviceIssueText } from '../messages/devices';
import type { ShopDesk } from './shop-desk.svelte';

export interface FoundDeps {
	readonly shop: () => ShopDesk;
	/** The line that another container is held up to. */
	readonly line: () => ShopLine;
	/** Makes the meter that reads sizes; what it is aimed at is for a stand-in. */
	readonly meter: (aimMm: () => number) => DistanceMeter;
}

const SIDES = ['width', 'depth', 'height'] as const;
const BETWEEN = ' x ';
/** Smaller than this is no container, mm. */
const LEAST_MM = 10;

/** A container in the shop that is not the one on the card: its size typed or read by the meter, and whether it would do. */
export class FoundDesk {
	readonly #deps: FoundDeps;
	readonly #meter: DistanceMeter;
	size = $state('');
	price = $state('');
	#wrong = $state('');
	#waiting = $state(false);

	constructor(deps: FoundDeps) {
		this.#deps = deps;
		this.#meter = deps.meter(() => this.#aim());
	}
	get wrong(): string {
		return this.#wrong;
	}
	get isWaiting(): boolean {
		return this.#waiting;
	}
	get #units() {
		return this.#deps.shop().home.units;
	}
	get #parts(): string[] {
		return this.size
			.split(/[x×*]/i)
			.map((text) => text.trim())
			.filter(Boolean);
	}
	/** The side that is read next; undefined: all are there. */
	get next(): (typeof SIDES)[number] | undefined {
		return SIDES[this.#parts.length];
	}

	/** Looks where a container of this size would do. */
	look(): void {
		const { line } = this.#deps;
		const [width, depth, height, ...more] = this.#parts.map((text) =>
			parseLength(text, this.#units)
		);
		if (more.length || !width?.ok || !depth?.ok || !height?.ok)
			return void (this.#wrong = `Type width × depth × height, such as 200 x 300 x 130. “${this.size}” is not that.`);
		if (Math.min(width.mm, depth.mm, height.mm) < LEAST_MM)
			return void (this.#wrong = 'A container is at least 10 mm on every side. Check the unit.');
		const price = this.price.trim();
		const each = price ? Number(price.replace(',', '.')) : line().kind.priceMinor / 100;
		if (!(each >= 0))
			return void (this.#wrong = `A price is a number, such as 4.50. “${this.price}” is none.`);
		this.#wrong = '';
		this.#deps.shop().look(line(), {
			widthMm: width.mm,
			depthMm: depth.mm,
			heightMm: height.mm,
			priceMinor: Math.round(each * 100)
		});
	}
	/** Reads the next side with the meter; with the last one it is looked where it would do. A full size begins anew. */
	async measure(): Promise<void> {
		if (this.#waiting) return;
		if (!this.next) this.size = '';
		this.#waiting = true;
		const reading = await this.#meter.measure();
		this.#waiting = false;
		if (!reading.ok) return void (this.#wrong = deviceIssueText(reading.issue));
		this.#wrong = '';
		this.size = [...this.#parts, formatLength(reading.mm, this.#units)].join(BETWEEN);
		if (!this.next) this.look();
	}
	/** The container that is looked for, side by side: a stand-in reads about that. */
	#aim(): number {
		const { outerTop, heightMm } = this.#deps.line().kind;
		return { width: outerTop.widthMm, depth: outerTop.depthMm, height: heightMm }[
			this.next ?? 'width'
		];
	}
}
