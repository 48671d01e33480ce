import { knownThing, parseIntake } from '../core/clearing';
import { command, type Command } from '../core/commands';
import { toCsv } from '../core/interchange/reports';
import type { Home, Settings } from '../core/model';
import {
	areaOrder,
	canWait,
	homeOf,
	listCost,
	shoppingList,
	type ShoppingLine
} from '../core/rotation';
import { nooksInOrder } from '../core/survey';
import { matchColumns, readTable, type Field } from '../core/tables';
import { intakeIssueText } from '../messages/clearing';
import { tableText } from '../messages/fitting';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';
import { printedDate } from './printed-date';

export interface ListDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** What is written of a bought line while it is put away. */
export interface PutAwayLine {
	readonly line: ShoppingLine;
	/** As it was typed. */
	readonly date: string;
	readonly nookId: string | null;
}

type ColumnName = 'name' | 'count' | 'got' | 'price';
const COLUMNS: readonly Field<ColumnName>[] = [
	{ name: 'name', headed: /^(item|name|thing)/i },
	{ name: 'count', headed: /^(count|buy|how many)/i },
	{ name: 'got', headed: /^(got|bought|ticked|done)/i },
	{ name: 'price', headed: /^(price|paid)/i }
];
const YES = /^(x|yes|y|1|true|got|done)$/i;

/** What is beyond these is a slip of the finger. */
const MOST_DAYS = 365;
const MOST_BUDGET_MINOR = 1_000_000_000;
const MOST_RUN_OUT_MINOR = 1_000_000;

/** The shopping list: made up, taken to the shop, ticked off, and put away. */
export class ListDesk {
	readonly #deps: ListDeskDeps;
	/** What was typed into the line for something by hand. */
	typed = $state('');
	/** Why the last thing was not done. */
	wrong = $state('');
	/** Why nothing was put away. */
	putWrong = $state('');
	#written = $state.raw<Readonly<Record<string, Partial<PutAwayLine>>>>({});

	constructor(deps: ListDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	lines = $derived.by(() => shoppingList(this.home, this.#deps.today()));
	/** What is still to be taken off the shelf. */
	wanted = $derived.by(() => this.lines.filter(({ said }) => said?.state !== 'in-trolley'));
	inTrolley = $derived.by(() => this.lines.filter(({ said }) => said?.state === 'in-trolley'));
	areas = $derived.by(() => {
		const order = areaOrder(this.home.settings.shop.areas);
		return [...new Set(this.lines.map(({ area }) => area))].sort(order);
	});
	costMinor = $derived.by(() => listCost(this.lines));
	/** How much more it costs than a shop may, minor units; 0: no more, or no budget was said. */
	overMinor = $derived.by(() =>
		Math.max(0, this.costMinor - (this.home.settings.shop.budgetMinor ?? Infinity))
	);
	/** What may wait for the next shop, so that it costs no more. */
	waiting = $derived.by(() => canWait(this.home, this.lines, this.#deps.today()));

	#do(words: string, commands: readonly Command[], isSaid = true): void {
		if (!commands.length) return;
		[this.wrong, this.putWrong] = ['', ''];
		this.#deps.store().runAll(words, commands);
		if (isSaid) this.#deps.said(`${words[0]!.toUpperCase()}${words.slice(1)}.`);
	}
	#say(line: ShoppingLine, change: Parameters<typeof sayOf>[2]): Command {
		return sayOf(line, this.#deps, change);
	}

	/** Adds what was typed: "2 milk", "birthday candles". */
	add(): void {
		const text = this.typed.trim();
		if (!text) return;
		const today = this.#deps.today();
		const { line, issues } = parseIntake(text, { order: this.home.dateOrder ?? 'dmy', today });
		if (!line.name) {
			this.wrong = issues[0] ? intakeIssueText(issues[0]) : `“${text}” has no name in it.`;
			return;
		}
		const thing = knownThing(this.home, line.name);
		this.typed = '';
		this.#do(`${line.name} on the list`, [
			command('addLine', thing?.id ?? null, line.name, line.count, this.#deps.newId(), today)
		]);
	}
	/** It lies in the trolley; a container is bought with that. */
	tick(line: ShoppingLine): void {
		if (line.kindId)
			this.#do(`${line.buy} × ${line.name} bought`, [
				command('buyContainers', line.kindId, line.buy)
			]);
		else
			this.#do(
				`${line.name} in the trolley`,
				[this.#say(line, { state: 'in-trolley', count: line.buy })],
				false
			);
	}
	/** Back on the shelf of the shop. */
	untick(line: ShoppingLine): void {
		this.#do(`${line.name} back on the list`, [this.#say(line, { state: 'wanted' })], false);
	}
	/** So many were bought, at so much each; what is not a number is left as it was. */
	setBought(line: ShoppingLine, change: { readonly count?: number; readonly paidMinor?: number }) {
		const isWrong = Object.values(change).some((value) => !(value >= 0) || value > 1e7);
		if (isWrong) {
			this.putWrong = `That is not a number for ${line.name}. Write a number from 0 up.`;
			return;
		}
		this.#do(`${line.name} in the trolley`, [this.#say(line, change)], false);
	}
	/** Something else was taken in its place. */
	setInstead(line: ShoppingLine, instead: string): void {
		this.#do(
			`something else for ${line.name}`,
			[this.#say(line, { instead: instead.slice(0, 200) })],
			false
		);
	}
	/** There is some in the house after all: not asked for until the next shop. */
	have(line: ShoppingLine): void {
		if (line.reason === 'by-hand') this.remove(line);
		else this.#do(`${line.name}: there is some`, [this.#say(line, { state: 'have' })]);
	}
	/** Left for the next shop, all that may wait. */
	letWait(): void {
		const { waiting } = this;
		const goods = waiting.filter(({ kindId }) => !kindId);
		this.#do(
			`${countText(goods.length, 'line')} left for the next shop`,
			goods.map((line) => this.#say(line, { state: 'have' }))
		);
	}
	/** Not bought again. */
	notAgain(line: ShoppingLine): void {
		const drop = line.said ? [command('dropLines', [line.said.id])] : [];
		if (line.thingId)
			this.#do(`${line.name} not bought again`, [
				command('changeThing', line.thingId, { avoid: true }),
				...drop
			]);
		else this.remove(line);
	}
	/** Takes a line by hand off the list. */
	remove(line: ShoppingLine): void {
		if (line.said) this.#do(`${line.name} off the list`, [command('dropLines', [line.said.id])]);
	}

	change(shop: Partial<Settings['shop']>): void {
		this.#do('how you shop', [command('changeShop', shop)], false);
	}
	/** Days between big shops, as typed: from 1 to a year. */
	setEveryDays(text: string): void {
		const everyDays = Math.round(Number(text));
		if (everyDays >= 1 && everyDays <= MOST_DAYS) this.change({ everyDays });
	}
	/** What one shop may cost, in whole money as typed; empty: no limit. */
	setBudget(text: string): void {
		const budgetMinor = text.trim() === '' ? null : Math.round(Number(text) * 100);
		if (budgetMinor === null || (budgetMinor >= 0 && budgetMinor <= MOST_BUDGET_MINOR))
			this.change({ budgetMinor });
	}
	/** What running out of something costs, in whole money as typed. */
	setRunOut(text: string): void {
		const runOutMinor = Math.round(Number(text) * 100);
		if (runOutMinor >= 0 && runOutMinor <= MOST_RUN_OUT_MINOR) this.change({ runOutMinor });
	}
	/** Moves an area of the shop up or down in the order it is walked. */
	moveArea(area: string, by: -1 | 1): void {
		const areas = [...this.areas];
		const at = areas.indexOf(area);
		const to = at + by;
		if (at < 0 || to < 0 || to >= areas.length) return;
		[areas[at], areas[to]] = [areas[to]!, areas[at]!];
		// Areas that are not on the list today keep their place behind.
		const rest = this.home.settings.shop.areas.filter((each) => !areas.includes(each));
		this.change({ areas: [...areas, ...rest] });
	}

	/** What lies in the trolley, with where it goes and its date as typed. */
	putting = $derived.by((): readonly PutAwayLine[] =>
		this.inTrolley.map((line) => ({
			line,
			date: '',
			nookId: line.thingId ? homeOf(this.home, line.thingId) : null,
			...this.#written[line.key]
		}))
	);
	places = $derived.by(() => nooksInOrder(this.home).map(({ nook }) => nook));
	write(line: ShoppingLine, change: Partial<Pick<PutAwayLine, 'date' | 'nookId'>>): void {
		this.#written = { ...this.#written, [line.key]: { ...this.#written[line.key], ...change } };
	}
	#putOne({ line, date, nookId }: PutAwayLine): Command | string {
		const today = this.#deps.today();
		const count = line.said?.count ?? line.buy;
		const thing = line.thingId ? this.home.things[line.thingId] : undefined;
		const read = printedDate(this.home, thing, date, today);
		if (!read.ok) return `${line.name}: ${read.words}`;
		const { printed } = read;
		const lotId = this.#deps.newId();
		if (!line.thingId || line.said?.instead) {
			const bought = line.said?.instead || line.name;
			const parsed = parseIntake(bought, { order: this.home.dateOrder ?? 'dmy', today }).line;
			return command('takeIn', {
				line: { ...parsed, name: parsed.name || bought, count: Math.max(1, count), printed },
				nookId: nookId as never,
				thingId: this.#deps.newId(),
				lotId,
				today
			});
		}
		return command('putIn', {
			thingId: line.thingId,
			nookId,
			count,
			dates: { printed },
			lotId,
			eventId: this.#deps.newId(),
			now: this.#deps.now()
		});
	}
	/** Puts all that lies in the trolley away, as one step; true: it did. A date that cannot be read stops it. */
	putAway(): boolean {
		const rows = this.putting.filter(({ line }) => (line.said?.count ?? line.buy) > 0);
		const made = rows.map((row) => this.#putOne(row));
		const wrong = made.find((one) => typeof one === 'string');
		if (typeof wrong === 'string') {
			this.putWrong = wrong;
			return false;
		}
		const commands = made as Command[];
		const prices = rows.flatMap(({ line }) =>
			line.thingId && line.said?.paidMinor != null
				? [command('changeThing', line.thingId, { priceMinor: line.said.paidMinor })]
				: []
		);
		const done = this.inTrolley.flatMap(({ said }) => said?.id ?? []);
		this.#do(`shopping put away, ${countText(rows.length, 'line')}`, [
			...commands,
			...prices,
			command('dropLines', done),
			command('forgetSaid', this.#deps.today())
		]);
		this.#written = {};
		return true;
	}

	/** The list as a table that another phone can tick and send back. */
	csv(): string {
		return toCsv([
			['item', 'count', 'area', 'have', 'price', 'got'],
			...this.lines.map(({ name, buy, area, have, priceMinor, said }) => [
				name,
				said?.state === 'in-trolley' ? said.count : buy,
				area,
				have,
				priceMinor === null ? '' : (priceMinor / 100).toFixed(2),
				said?.state === 'in-trolley' ? 'x' : ''
			])
		]);
	}
	/** Takes a list in that somebody ticked: what it says was got lies in the trolley then. */
	bring(text: string): void {
		const read = readTable(text);
		if (!read.ok) {
			this.wrong = tableText(read.code);
			return;
		}
		const at = matchColumns(read.table.head, COLUMNS);
		if (at.name < 0 || at.got < 0) {
			this.wrong = `The file has no column “${at.name < 0 ? 'item' : 'got'}”. Export the list here, mark what you got with x, and bring that file back.`;
			return;
		}
		const lineOf = new Map(this.lines.map((line) => [line.name.toLowerCase(), line]));
		const today = this.#deps.today();
		const commands = read.table.rows.flatMap((row): Command[] => {
			const name = row[at.name]!.replace(/^'/, '').trim();
			if (!name || !YES.test(row[at.got]!)) return [];
			const count = Number(row[at.count] ?? '') || 1;
			const paid = at.price < 0 || !row[at.price] ? NaN : Number(row[at.price]!.replace(',', '.'));
			const paidMinor = Number.isFinite(paid) && paid >= 0 ? Math.round(paid * 100) : null;
			const line = lineOf.get(name.toLowerCase());
			if (line?.kindId) return [command('buyContainers', line.kindId, count)];
			if (line) return [this.#say(line, { state: 'in-trolley', count, paidMinor })];
			const id = this.#deps.newId();
			const thingId = knownThing(this.home, name)?.id ?? null;
			return [
				command('addLine', thingId, name, count, id, today),
				command(
					'sayOfLine',
					{ lineId: id, thingId, name, count },
					{ state: 'in-trolley', paidMinor },
					id,
					today
				)
			];
		});
		if (!commands.length) this.wrong = 'Nothing in the file is marked as got. Mark it with x.';
		else this.#do(`${countText(commands.length, 'line')} ticked from a file`, commands);
	}
}

function sayOf(
	line: ShoppingLine,
	deps: Pick<ListDeskDeps, 'newId' | 'today'>,
	change: {
		readonly state?: 'wanted' | 'in-trolley' | 'have';
		readonly count?: number;
		readonly paidMinor?: number | null;
		readonly instead?: string;
	}
): Command {
	const { said, thingId, name, buy } = line;
	return command(
		'sayOfLine',
		{ lineId: said?.id ?? null, thingId, name, count: buy },
		change,
		deps.newId(),
		deps.today()
	);
}
