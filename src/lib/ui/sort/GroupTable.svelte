<script lang="ts">
	import { formatLength, formatVolume } from '$lib/core/model';
	import { usesText } from '$lib/messages/sorting';
	import type { SortDesk } from '$lib/state/sort-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import { inkOf } from '$lib/ui/drawing/tag-style';

	/** All groups in a list, with bars of how often they are fetched and how much they take. */
	let { desk }: { desk: SortDesk } = $props();
	const home = $derived(desk.home);
	const chosen = $derived(desk.chosen);
</script>

<div class="head soft text-sm" aria-hidden="true">
	<span>Group</span><span>Uses a week</span><span>Litres</span><span class="wide">Tallest</span>
</div>
<ul aria-label="Groups">
	{#each desk.sorted as f (f.groupId)}
		{@const g = home.groups[f.groupId]!}
		<li>
			<button
				class="row"
				class:now={chosen === f.groupId}
				aria-pressed={chosen === f.groupId}
				onclick={() => desk.choose(chosen === f.groupId ? null : f.groupId)}
				aria-label="{g.name}: {usesText(f.usesPerWeek)} uses a week, {formatVolume(
					f.volumeMl
				)}, tallest {formatLength(f.tallestMm, home.units)}"
			>
				<span class="flex min-w-0"><TagChip group={g} /></span>
				<span class="bar"
					><i
						style:width="{(100 * f.usesPerWeek) / desk.mostUses}%"
						style:background={inkOf(g.tag.hue)}
					></i><b class="measure">{usesText(f.usesPerWeek)}</b></span
				>
				<span class="bar"
					><i style:width="{(100 * f.volumeMl) / desk.mostMl}%" class="litres"></i><b
						class="measure">{formatVolume(f.volumeMl)}</b
					></span
				>
				<span class="measure wide">{formatLength(f.tallestMm, home.units)}</span>
			</button>
		</li>
	{/each}
</ul>

<style>
	.head,
	.row {
		display: grid;
		grid-template-columns: minmax(9rem, 15rem) minmax(0, 1fr) minmax(0, 0.7fr) 6.5rem;
		gap: 0.75rem;
		align-items: center;
		width: 100%;
		padding: 0.3rem 0.5rem;
		text-align: left;
	}
	.row {
		min-height: 44px;
		border-top: 1px solid var(--color-base-300);
		cursor: pointer;
	}
	.row:hover,
	.row.now {
		background: var(--color-base-200);
	}
	.bar {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		padding-right: 2.8rem;
		min-width: 0;
	}
	.bar i {
		display: block;
		height: 14px;
		min-width: 2px;
	}
	.bar .litres {
		background: none;
		border: 1.5px solid var(--color-base-content);
	}
	.bar b {
		margin-right: -2.8rem;
		font-weight: 500;
	}
	@media (max-width: 640px) {
		.head,
		.row {
			grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) minmax(0, 1fr);
			gap: 0.4rem;
			padding-inline: 0;
		}
		.bar {
			flex-wrap: wrap;
			gap: 0 0.4rem;
			padding-right: 0;
		}
		.bar b {
			margin-right: 0;
			overflow-wrap: anywhere;
		}
		.bar i {
			max-width: 100%;
		}
		.wide {
			display: none;
		}
	}
</style>
