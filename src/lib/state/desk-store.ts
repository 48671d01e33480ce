import { command, editOf, type ArgsOf, type Command, type CommandName } from '../core/commands';
import { applyEdit, type Home } from '../core/model';
import type { HomeStore } from './home-store.svelte';

/** A home in memory that takes commands as the store does: for tests of desks, without a database. */
export class DeskStore {
	readonly labels: string[] = [];
	readonly #before: Home[] = [];
	constructor(public home: Home) {}

	run<Name extends CommandName>(label: string, name: Name, ...args: ArgsOf<Name>): void {
		this.runAll(label, [command(name, ...args)]);
	}
	runAll(label: string, commands: readonly Command[]): void {
		this.labels.push(label);
		this.#before.push(this.home);
		this.home = commands.reduce((home, one) => applyEdit(home, editOf(one)).home, this.home);
	}
	undo(): void {
		this.labels.pop();
		this.home = this.#before.pop() ?? this.home;
	}
	/** As desks ask for it. */
	readonly get = () => this as unknown as HomeStore;
}
