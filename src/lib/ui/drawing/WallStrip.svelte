<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { tick } from 'svelte';
	import type { Home, Run } from '$lib/core/model';
	import { wallsInUse } from '$lib/core/survey';
	import { afterPaint } from '$lib/state/later.svelte';
	import FoldEdge from '$lib/ui/frame/FoldEdge.svelte';
	import FrontView from './FrontView.svelte';

	interface Props {
		home: Home;
		selected: string | null;
		onselect: (nookId: string) => void;
		/** Places with something wrong. */
		flagged?: Pick<ReadonlySet<string>, 'has'>;
	}
	let { home, selected, onselect, flagged }: Props = $props();
	const walls = $derived(wallsInUse(home));
	/** The walls in sight come first; the others are drawn once those show. */
	const FIRST = 4;
	let isWhole = $state(false);
	$effect(() => afterPaint(() => (isWhole = true)));
	const runs = $derived(isWhole ? walls : walls.slice(0, FIRST));
	const selectedRun = $derived(
		selected ? home.cabinets[home.nooks[selected]?.cabinetId ?? '']?.runId : undefined
	);
	let strip = $state<HTMLElement>();
	/** The wall that is shown large, for a thumb. */
	let large = $state.raw<Run | null>(null);
	let dialog = $state<HTMLDialogElement>();

	$effect(() => {
		void runs;
		const run = selectedRun;
		const frame = requestAnimationFrame(() => {
			const wall = run && strip?.querySelector<HTMLElement>(`[data-wall="${CSS.escape(run)}"]`);
			if (strip && wall) {
				const { offsetLeft, offsetWidth } = wall;
				const isOff =
					offsetLeft < strip.scrollLeft ||
					offsetLeft + offsetWidth > strip.scrollLeft + strip.clientWidth;
				if (isOff) strip.scrollLeft = offsetLeft - 16;
			}
		});
		return () => cancelAnimationFrame(frame);
	});
	/** A finger does not hit a place on a wall this small: a tap opens the wall large first. */
	function tap(event: MouseEvent, run: Run) {
		const isTouch = (event as PointerEvent).pointerType === 'touch';
		if (!isTouch) return;
		event.stopPropagation();
		event.preventDefault();
		large = run;
		void tick().then(() => dialog?.showModal());
	}
</script>

<!-- All walls small and side by side: choose a place where it stands. -->
<FoldEdge scroller={strip} watch={runs}>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div
		class="strip"
		role="group"
		aria-label="All walls: choose a place"
		tabindex="0"
		bind:this={strip}
	>
		{#each runs as run (run.id)}
			<div data-wall={run.id} onclickcapture={(event) => tap(event, run)}>
				<FrontView {home} {run} {selected} {onselect} {flagged} compactPx={128} />
			</div>
		{/each}
	</div>
</FoldEdge>
{#if large}
	<dialog
		class="modal modal-bottom"
		aria-label="Choose a place on {large.name}"
		bind:this={dialog}
		onclose={() => (large = null)}
		onclick={(event) => event.target === dialog && dialog?.close()}
	>
		<div class="modal-box">
			<div class="flex items-center justify-between">
				<h2>{large.name}</h2>
				<button class="btn btn-ghost" onclick={() => dialog?.close()}><X size={18} />Close</button>
			</div>
			<FrontView
				{home}
				run={large}
				{selected}
				{flagged}
				onselect={(id) => {
					dialog?.close();
					onselect(id);
				}}
			/>
		</div>
	</dialog>
{/if}

<style>
	.strip {
		position: relative;
		display: flex;
		align-items: flex-end;
		gap: 0.25rem;
		overflow-x: auto;
		padding-bottom: 0.5rem;
		scrollbar-width: thin;
	}
</style>
