<script lang="ts">
	import { nextSteps } from '$lib/core/upkeep';
	import { STAGE_WORDS, stepPath, stepText } from '$lib/messages/steps';
	import { today } from '$lib/state/clock.svelte';
	import { newId } from '$lib/state/ids';
	import { FirstStepsDesk } from '$lib/state/first-steps-desk.svelte';
	import { getHomeStore } from '$lib/state/context';
	import FirstSteps from '$lib/ui/frame/FirstSteps.svelte';
	import HomeHead from '$lib/ui/frame/HomeHead.svelte';
	import HomeCustoms from '$lib/ui/frame/HomeCustoms.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import { STAGE_ICONS } from '$lib/ui/frame/stages';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const steps = $derived(nextSteps(home, today()));
	const first = $derived(steps[0]);
	const begin = new FirstStepsDesk({
		store: getStore,
		newId,
		here: () => new Intl.Locale(navigator.language).maximize().region ?? null
	});
	const isEmpty = $derived(!Object.keys(home.rooms).length);
</script>

<div class="grid gap-6 p-4 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
	<section aria-labelledby="next">
		<h1 id="next" class="mb-1">Job sheet</h1>
		<p class="soft mb-4">What to do next, in working order.</p>
		<ol class="flex flex-col">
			{#each steps as step (step.code)}
				{@const words = stepText(step)}
				{@const Icon = STAGE_ICONS[step.stage]}
				<li class="rule-top">
					<a href="/home/{home.id}/{stepPath(step)}" class="step" class:now={step === first}>
						<span class="verb"><Icon size={18} />{STAGE_WORDS[step.stage].name}</span>
						<span>
							<b>{words.title}</b>
							<span class="soft block">{words.why}</span>
						</span>
					</a>
				</li>
			{:else}
				<li class="rule-top py-4">
					Nothing waits today. Come back when something is used up or moved.
				</li>
			{/each}
		</ol>
	</section>
	<section aria-labelledby="plan" class={['min-w-0', isEmpty && 'order-first lg:order-none']}>
		<HomeHead {store} {isEmpty} />
		{#if !isEmpty}
			<PlanView {home} maxPx={540} />
			<HomeCustoms {store} />
		{:else}
			<FirstSteps desk={begin} />
		{/if}
	</section>
</div>

<style>
	.step {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.75rem;
		padding: 0.7rem 0.5rem;
		min-height: 44px;
		border-left: 4px solid transparent;
	}
	.step:hover {
		background: var(--color-base-200);
	}
	.step.now {
		border-left-color: var(--color-primary);
		background: var(--color-base-200);
	}
	.step > :last-child {
		flex: 1 1 11rem;
	}
	.verb {
		flex: 0 0 5.5rem;
		display: inline-flex;
		gap: 0.4rem;
		align-items: baseline;
		color: var(--color-primary);
		font-weight: 600;
	}
</style>
