<script lang="ts">
	import { formatVolume } from '$lib/core/model';
	import { signedText, wholeText } from '$lib/messages/numbers';
	import { schoolText } from '$lib/messages/zoning';
	import type { ComparedPlan } from '$lib/state/compare.svelte';
	import type { SchoolsDesk } from '$lib/state/schools-desk.svelte';
	import MiniFront from '$lib/ui/drawing/MiniFront.svelte';

	/** The plan of one school: drawn on its walls, its figures beside those of the first. */
	let { desk, each }: { desk: SchoolsDesk; each: ComparedPlan } = $props();
	const home = $derived(desk.home);
	const first = $derived(desk.compare.plans[0]);
	const groups = $derived(desk.groupsIn(each));
	const FIGURES = [
		['metres walked a week', 'metresPerWeek'],
		['bends, stretches, stools a week', 'hardReaches'],
		['groups to move', 'groupsToMove']
	] as const;
</script>

<section class="plan" aria-label={schoolText(each.variant)}>
	<h2>{schoolText(each.variant)}</h2>
	<div class="walls">
		{#each desk.runs as run (run.id)}
			<MiniFront
				{home}
				{run}
				{groups}
				chosen={desk.groupId}
				heightPx={200}
				ongroup={(id) => desk.look(id)}
			/>
		{/each}
	</div>
	<dl>
		{#each FIGURES as [word, key] (key)}
			<dt>{word}</dt>
			<dd class="measure">{wholeText(each.score[key])}</dd>
			<dd class="measure soft">
				{first && each !== first ? signedText(each.score[key] - first.score[key]) : ''}
			</dd>
		{/each}
		<dt>to carry</dt>
		<dd class="measure">{formatVolume(each.score.litresToCarryMl)}</dd>
		<dd></dd>
		{#if each.score.overflow}<dt style="color:var(--color-error)">without a place</dt>
			<dd class="measure" style="color:var(--color-error)">{each.score.overflow}</dd>
			<dd></dd>{/if}
	</dl>
	<button class="btn mt-2" onclick={() => desk.take(each)}>Take this plan</button>
</section>

<style>
	.plan {
		min-width: 0;
		border-top: 2.6px solid var(--color-base-content);
		padding-top: 0.5rem;
	}
	.walls {
		display: flex;
		align-items: flex-end;
		gap: 0.5rem;
		overflow-x: auto;
	}
	dl {
		display: grid;
		grid-template-columns: 1fr auto 4.5rem;
		gap: 0.1rem 0.8rem;
	}
	dd {
		text-align: right;
	}
</style>
