import type { Edit } from './edit';

/** What crosses into a store, a worker or a file as it is. */
export type Plain =
	| string
	| number
	| boolean
	| null
	| undefined
	| readonly Plain[]
	| { readonly [name: string]: Plain };

/** Changes a person can make, by name: each makes an edit from plain arguments. */
export type CommandSet = Readonly<Record<string, (...args: never[]) => Edit>>;

/** A change by name, with its plain arguments: it can be made again on a newer home. */
export type CommandOf<Set extends CommandSet> = {
	[Name in keyof Set & string]: {
		readonly name: Name;
		readonly args: Parameters<Set[Name]>;
	};
}[keyof Set & string];

/** Gives a function that makes commands of a set, and one that makes the edit of such a command. */
export function commandsOf<Set extends CommandSet>(set: Set) {
	type Any = CommandOf<Set>;
	return {
		make: <Name extends keyof Set & string>(name: Name, ...args: Parameters<Set[Name]>): Any =>
			({ name, args }) as unknown as Any,
		editOf: ({ name, args }: Any): Edit =>
			(set[name] as (...args: readonly unknown[]) => Edit)(...args)
	};
}

type WithStem<Args extends readonly unknown[]> = Args extends [...infer Rest, () => string]
	? [...Rest, stem: string]
	: never;

/**
 * Turns a change that asks for ids into one with plain arguments: the last is a stem, and the ids are made from it.
 * @example withStem(addShelf)('nook-1', 300, 'x') // the new nook is x-1
 */
export const withStem =
	<Args extends readonly unknown[]>(
		change: (...args: Args) => Edit,
		idsOf: (stem: string) => () => string
	) =>
	(...args: WithStem<Args>): Edit =>
		change(...([...args.slice(0, -1), idsOf(args.at(-1) as string)] as unknown as Args));
