/** Which rows of a long list are chosen, with the habits of lists: one, a range from the last one, all. */
export class Selection {
	#ids = $state.raw<ReadonlySet<string>>(new Set());
	#anchor: string | null = null;

	get ids(): ReadonlySet<string> {
		return this.#ids;
	}
	has(id: string): boolean {
		return this.#ids.has(id);
	}

	/** Chooses a row or lets go of it; the next range starts from it. */
	toggle(id: string): void {
		const next = new Set(this.#ids);
		if (!next.delete(id)) next.add(id);
		this.#ids = next;
		this.#anchor = id;
	}

	/** Chooses all rows from the last one that was touched to `id`, in the order of `rows`; alone when there is none. */
	extend(id: string, rows: readonly string[]): void {
		const from = this.#anchor === null ? -1 : rows.indexOf(this.#anchor);
		const to = rows.indexOf(id);
		if (from < 0 || to < 0) return this.toggle(id);
		this.#ids = new Set([...this.#ids, ...rows.slice(Math.min(from, to), Math.max(from, to) + 1)]);
		this.#anchor = id;
	}

	/** Chooses all of `rows`, or lets go of them when all of them are chosen. */
	toggleAll(rows: readonly string[]): void {
		const next = new Set(this.#ids);
		const all = rows.length > 0 && rows.every((id) => next.has(id));
		for (const id of rows)
			if (all) next.delete(id);
			else next.add(id);
		this.#ids = next;
	}

	clear(): void {
		this.#ids = new Set();
		this.#anchor = null;
	}
}
