<script lang="ts">
	import type { HandOverDesk } from '$lib/state/hand-over-desk.svelte';

	/** What a copy that came back brings; where both changed the same, one side is chosen. */
	let { desk }: { desk: HandOverDesk } = $props();
</script>

<section class="rule-top mt-6 max-w-5xl pt-4" aria-label="What the copy brings">
	<h2>The copy from {desk.from}</h2>
	<p class="mb-2">
		{desk.isNothing ? 'Brings nothing that is not here already.' : desk.words}
	</p>
	{#if desk.conflicts.length}
		<div class="mb-2 flex flex-wrap gap-2">
			<button class="btn btn-sm" onclick={() => desk.chooseAll('ours')}>Ours for all</button>
			<button class="btn btn-sm" onclick={() => desk.chooseAll('theirs')}>Theirs for all</button>
		</div>
		<ul>
			{#each desk.conflicts as { key, what, ours, theirs, choice } (key)}
				<li class="rule-top py-2">
					<fieldset>
						<legend><b>{what}</b></legend>
						<span class="sides">
							<label
								><input
									class="radio radio-sm"
									type="radio"
									name={key}
									checked={choice === 'ours'}
									onchange={() => desk.choose(key, 'ours')}
								/> <span>ours: {ours}</span></label
							>
							<label
								><input
									class="radio radio-sm"
									type="radio"
									name={key}
									checked={choice === 'theirs'}
									onchange={() => desk.choose(key, 'theirs')}
								/> <span>theirs: {theirs}</span></label
							>
						</span>
					</fieldset>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="mt-3 flex flex-wrap gap-2">
		<button class="btn btn-primary" onclick={() => void desk.confirm()}
			>{desk.isNothing ? 'Close' : 'Take it in'}</button
		>
		<button class="btn btn-ghost" onclick={() => desk.drop()}>Cancel</button>
	</div>
</section>

<style>
	.sides {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.3rem 1rem;
	}
	.sides label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 44px;
	}
</style>
