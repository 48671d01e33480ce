import { randomOf, simulateUse } from '../src/lib/core/fixtures/simulate-use';
import { adviseLevel, believeRate, FORECAST } from '../src/lib/core/rotation';

/** A thing whose future is known: how it is used, what it costs, how long it keeps. */
interface Case {
	readonly shape: number;
	readonly weeks: number;
	readonly trueRate: number;
	readonly portion: number;
	readonly lifeDays: number | null;
	readonly price: number;
}

const SHOP_DAYS = 7;
const RUN_OUT = 150;
const LOG_WEEKS = 12;
const FUTURE_DAYS = 26 * 7;
const LIVES = [3, 5, 7, 10, 14, 30, 90, 365, null];
const PORTIONS = [1, 1, 0.5, 0.25, 0.125];

function casesOf(seed: number, count: number): Case[] {
	const random = randomOf(seed + 1000);
	const one = <Item>(items: readonly Item[]): Item => items[Math.floor(random() * items.length)]!;
	return simulateUse(seed, count, LOG_WEEKS).map(({ days, classRate, trueRate }) => {
		const uses = days.map((day) => ({ weeksAgo: LOG_WEEKS - day / 7, packs: 1 }));
		const { shape, weeks } = believeRate(uses, LOG_WEEKS, classRate);
		return {
			shape,
			weeks,
			trueRate,
			portion: one(PORTIONS),
			lifeDays: one(LIVES),
			price: Math.round(60 + 540 * random() ** 2)
		};
	});
}

/**
 * Lives through half a year day by day with a level to buy up to, apart from the program's own forecast: whole packs as
 * they were bought, the oldest first, thrown out when their days are over. What it cost in waste and in running out.
 */
function live({ trueRate, portion, lifeDays, price }: Case, level: number, seed: number): number {
	const random = randomOf(seed);
	let packs: { left: number; until: number }[] = [];
	let cost = 0;
	let isOut = false;
	for (let day = 0; day < FUTURE_DAYS; day++) {
		for (const pack of packs) if (pack.until < day) cost += pack.left * price;
		packs = packs.filter(({ until }) => until >= day);
		if (day % SHOP_DAYS === 0) {
			const held = packs.reduce((sum, { left }) => sum + left, 0);
			for (let buy = Math.ceil(level - held - 1e-9); buy > 0; buy--)
				packs.push({ left: 1, until: lifeDays === null ? Infinity : day + lifeDays });
			isOut = false;
		}
		const mean = trueRate / 7 / portion;
		for (let t = -Math.log(1 - random()); t < mean; t -= Math.log(1 - random())) {
			let want = portion;
			while (want > 1e-9 && packs.length) {
				const taken = Math.min(want, packs[0]!.left);
				packs[0]!.left -= taken;
				want -= taken;
				if (packs[0]!.left <= 1e-9) packs.shift();
			}
			if (want > 1e-9 && !isOut) {
				isOut = true;
				cost += RUN_OUT;
			}
		}
	}
	return cost;
}

const RULES: Readonly<Record<string, (rate: number) => number>> = {
	'1 pack': () => 1,
	'one open, one spare': () => 2,
	'3 packs': () => 3,
	'par, half a week of safety': (rate) => rate * 1.5,
	'par, a week of safety': (rate) => rate * 2,
	'4 weeks of it': (rate) => rate * 4
};

/**
 * Compares the advised number of packs with each single rule, in money a thing and half a year, on made-up households
 * whose future is known to nobody but the judge. All rules know the rate as the program believes it, and hold no more than
 * is used within the life.
 */
export function* benchHold(seeds: readonly number[] = [11, 12, 13], count = 300) {
	for (const seed of seeds) {
		const cases = casesOf(seed, count);
		const total = (levelOf: (one: Case) => number) =>
			cases.reduce((sum, one, i) => sum + live(one, levelOf(one), seed * 10_000 + i), 0) / count;
		const ceiling = ({ shape, weeks, lifeDays }: Case) =>
			lifeDays === null ? null : Math.max(1, Math.floor(((shape / weeks) * lifeDays) / 7 + 1e-9));
		const advised = total((one) => {
			const input = { ...one, lots: [], level: null, runOutPrice: RUN_OUT };
			const options = { ...FORECAST, firstShop: 0, everyDays: SHOP_DAYS };
			return adviseLevel(input, ceiling(one), options).best?.level ?? 1;
		});
		const rules = Object.fromEntries(
			Object.entries(RULES).map(([name, packs]) => [
				name,
				Math.round(
					total((one) =>
						Math.min(Math.ceil(packs(one.shape / one.weeks) - 1e-9), ceiling(one) ?? Infinity)
					)
				)
			])
		);
		yield { bench: 'hold', seed, things: count, advised: Math.round(advised), ...rules };
	}
}
