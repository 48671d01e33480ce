<script lang="ts">
	import {
		figureParts,
		parseFigure,
		type GroupFigures,
		type Holding,
		type SummedFigure
	} from '$lib/core/grouping';
	import type { Group } from '$lib/core/model';
	import { FIGURE_NAMES, figureText } from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';

	interface Props {
		group: Group;
		figures: GroupFigures;
		holdings: readonly Holding[];
		figure: SummedFigure;
	}
	let { group, figures, holdings, figure }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const units = $derived(store.home.units);
	const id = $props.id();
	const name = $derived(FIGURE_NAMES[figure]);
	const byHand = $derived(figures.overridden.has(figure));
	const how = $derived(figureParts(holdings, figure));
	const computed = $derived(figureText(figure, how.value, units));
	let open = $state(false);
	let wrong = $state('');
	const SHOWN = 4;

	function take(text: string) {
		wrong = '';
		if (!text.trim()) return set(null);
		const value = parseFigure(figure, text, units);
		if (value === null)
			wrong = `“${text}” cannot be read as ${name.toLowerCase()}. Write it like ${computed}.`;
		else if (value !== figures[figure]) set(value);
	}
	const set = (value: number | null) =>
		store.run(
			value === null ? `compute ${name.toLowerCase()}` : `${name.toLowerCase()} by hand`,
			'setOverride',
			group.id,
			figure,
			value
		);
</script>

<li class="rule-top">
	<button
		class="line"
		aria-expanded={open}
		onclick={() => (open = !open)}
		aria-label="{name}: {figureText(figure, figures[figure], units)}{byHand
			? ', set by hand'
			: ''}. How?"
	>
		<span>{name}</span>
		<span class="measure">{figureText(figure, figures[figure], units)}</span>
		<span class="soft text-sm">{byHand ? 'by hand' : 'how'}</span>
	</button>
	{#if open}
		<div class="pb-2 text-sm">
			{#if how.parts.length}
				<p class="soft">
					{how.take === 'sum' ? 'The sum over its things' : 'The most of any of its things'}:
				</p>
				<ul class="measure">
					{#each how.parts.slice(0, how.take === 'sum' ? SHOWN : 1) as part (part.thing.id)}
						<li class="flex justify-between gap-2">
							<span class="min-w-0 truncate">{part.pieces} × {part.thing.name}</span><span
								class="whitespace-nowrap">{figureText(figure, part.value, units)}</span
							>
						</li>
					{/each}
				</ul>
				{#if how.take === 'sum' && how.parts.length > SHOWN}
					<p class="soft">
						and {how.parts.length - SHOWN} more with {figureText(
							figure,
							how.parts.slice(SHOWN).reduce((sum, part) => sum + part.value, 0),
							units
						)}; together {computed}.
					</p>
				{/if}
			{/if}
			<div class="mt-1 flex items-end gap-2">
				<label for={id} class="grow"
					><span class="soft">By hand</span>
					<input
						{id}
						class="input measure"
						autocomplete="off"
						placeholder={computed}
						value={byHand ? figureText(figure, figures[figure], units) : ''}
						aria-label="{name} by hand"
						aria-invalid={wrong ? 'true' : undefined}
						aria-describedby={wrong ? `${id}-say` : undefined}
						onchange={(event) => take(event.currentTarget.value)}
					/></label
				>
				{#if byHand}<button class="btn" onclick={() => set(null)}>Compute it</button>{/if}
			</div>
			{#if wrong}<p id="{id}-say" role="alert" style="color:var(--color-error)">{wrong}</p>{/if}
		</div>
	{/if}
</li>

<style>
	.line {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto 4rem;
		gap: 0.5rem;
		align-items: center;
		width: 100%;
		min-height: 44px;
		text-align: left;
		cursor: pointer;
	}
	.line:hover {
		background: var(--color-base-300);
	}
	.line .soft {
		text-align: right;
		text-decoration: underline dotted;
	}
</style>
