<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { formatMoney } from '$lib/core/model';
	import { dayOfYearText, minutesText } from '$lib/messages/clearing';
	import { WORK_STAGE_WORDS } from '$lib/messages/keeping';
	import { tenthsText } from '$lib/messages/numbers';
	import type { HoursDesk } from '$lib/state/hours-desk.svelte';

	let { desk }: { desk: HoursDesk } = $props();
	let stage = $state<HoursDesk['stages'][number]>('walk');
	let time = $state('');
	let note = $state('');
	let name = $state('');
	let count = $state('1');
	let price = $state('');
	const money = (minor: number) => formatMoney(minor, desk.home.currency);
	function addTime(event: Event) {
		event.preventDefault();
		if (desk.addTime(stage, time, note)) [time, note] = ['', ''];
	}
	function addMaterial(event: Event) {
		event.preventDefault();
		if (desk.addMaterial(name, count, price)) [name, count, price] = ['', '1', ''];
	}
</script>

{#if desk.wrong}<p role="alert" class="text-error mb-2">{desk.wrong}</p>{/if}
<div class="grid gap-6 md:grid-cols-2">
	<section aria-label="Hours by stage">
		<h2>Hours by stage</h2>
		<p class="soft text-sm">
			Clear-outs and resets are timed as they are done. Write down the rest.
		</p>
		<table class="w-full">
			<tbody>
				{#each desk.byStage as line (line.stage)}
					<tr class="rule-top"
						><th class="py-1.5 text-left font-medium">{WORK_STAGE_WORDS[line.stage]}</th><td
							class="measure text-right">{minutesText(line.minutes)}</td
						></tr
					>
				{/each}
				{#if desk.byStage.length > 1}
					<tr class="rule-top"
						><th class="py-1.5 text-left">In all</th><td class="measure text-right"
							>{minutesText(desk.minutes)}</td
						></tr
					>
				{/if}
			</tbody>
		</table>
		<form class="line" onsubmit={addTime}>
			<label
				><span class="soft text-sm">Stage</span><select class="select" bind:value={stage}
					>{#each desk.stages as each (each)}<option value={each}>{WORK_STAGE_WORDS[each]}</option
						>{/each}</select
				></label
			>
			<label
				><span class="soft text-sm">Time</span><input
					class="input measure"
					bind:value={time}
					placeholder="90 or 1:30"
					required
				/></label
			>
			<label class="wide"
				><span class="soft text-sm">Note</span><input
					class="input"
					bind:value={note}
					maxlength="200"
				/></label
			>
			<button class="btn" aria-label="Add the time"><Plus size={18} />Add</button>
		</form>
		<ul class="text-sm">
			{#each desk.times as each (each.id)}
				<li class="rule-top flex items-center gap-2">
					<span class="min-w-0 flex-1"
						>{dayOfYearText(each.on)}, {WORK_STAGE_WORDS[each.stage]}: {minutesText(
							each.minutes
						)}{each.note ? `, ${each.note}` : ''}</span
					>
					<button
						class="btn btn-ghost btn-square"
						aria-label="Take away {minutesText(each.minutes)} of {dayOfYearText(each.on)}"
						onclick={() => desk.removeTime(each.id)}><X size={16} /></button
					>
				</li>
			{/each}
		</ul>
	</section>
	<section aria-label="Materials used">
		<h2>Materials used</h2>
		<p class="soft text-sm">
			{desk.materials.length
				? `${money(desk.cost.minor)} in all${desk.cost.unpriced ? `, ${desk.cost.unpriced} without a price` : ''}.`
				: 'Liners, labels, hooks, boxes: what was bought for this home.'}
		</p>
		<form class="line" onsubmit={addMaterial}>
			<label class="wide"
				><span class="soft text-sm">Material</span><input
					class="input"
					bind:value={name}
					maxlength="200"
					required
				/></label
			>
			<label
				><span class="soft text-sm">How many</span><input
					class="input measure"
					bind:value={count}
				/></label
			>
			<label
				><span class="soft text-sm">Price of one</span><input
					class="input measure"
					bind:value={price}
					inputmode="decimal"
				/></label
			>
			<button class="btn" aria-label="Add the material"><Plus size={18} />Add</button>
		</form>
		<ul>
			{#each desk.materials as each (each.id)}
				<li class="rule-top flex items-center gap-2">
					<span class="measure w-12">{tenthsText(each.count)}</span>
					<span class="min-w-0 flex-1">{each.name}</span>
					<span class="measure"
						>{each.priceMinor === null ? '' : money(Math.round(each.count * each.priceMinor))}</span
					>
					<button
						class="btn btn-ghost btn-square"
						aria-label="Take {each.name} away"
						onclick={() => desk.removeMaterial(each.id)}><X size={16} /></button
					>
				</li>
			{/each}
		</ul>
	</section>
</div>

<style>
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: end;
		margin: 0.5rem 0;
	}
	.line label {
		flex: 1 1 6rem;
	}
	.line .wide {
		flex: 2 1 9rem;
	}
	.line :global(.input),
	.line :global(.select) {
		width: 100%;
	}
</style>
