<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import Pencil from '@lucide/svelte/icons/pencil';
	import { listPhotos } from '$lib/data';
	import { nextSteps } from '$lib/core/upkeep';
	import { countText } from '$lib/messages/numbers';
	import { STAGE_WORDS, stepPath, stepText } from '$lib/messages/steps';
	import { now, today } from '$lib/state/clock.svelte';
	import { newId } from '$lib/state/ids';
	import { FirstStepsDesk } from '$lib/state/first-steps-desk.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { getDb } from '$lib/state/database';
	import { exportHome, fileName, saveFile } from '$lib/ui/forms/save-file';
	import FirstSteps from '$lib/ui/frame/FirstSteps.svelte';
	import HomeCustoms from '$lib/ui/frame/HomeCustoms.svelte';
	import HomeChoices from '$lib/ui/frame/HomeChoices.svelte';
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
	const count = (record: object) => Object.keys(record).length;
	const isEmpty = $derived(!count(home.rooms));
	const counts = $derived([
		countText(count(home.cabinets), 'cabinet'),
		countText(count(home.nooks), 'place'),
		countText(count(home.things), 'thing'),
		countText(count(home.groups), 'group')
	]);
	const pictures = $derived(Object.values(home.nooks).filter(({ photoId }) => photoId).length);
	async function exportZip() {
		const { writeHomeZip } = await import('$lib/core/interchange/home-zip');
		const photos = await listPhotos(await getDb(), home.id);
		const bytes = writeHomeZip(home, photos);
		saveFile(fileName(home.name, 'keepnook.zip'), Uint8Array.from(bytes).buffer, 'application/zip');
	}
	async function exportCopy() {
		// A file that can come back and be merged; where that cannot be remembered, a file all the same.
		const { writeCopy } = await import('$lib/state/hand-over');
		const text = await writeCopy({ db: getDb, newId, now }, home, '').catch(() => null);
		if (text) saveFile(fileName(home.name, 'keepnook.json'), text, 'application/json');
		else await exportHome(home);
	}
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
		<div class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-2">
			<h2 id="plan" class="sr-only">{home.name}</h2>
			<label class="flex flex-1 items-center gap-1" title="Rename this home">
				<Pencil size={16} aria-hidden="true" />
				<input
					class="name"
					aria-label="Name of this home"
					value={home.name}
					maxlength="200"
					onchange={(event) => {
						const name = event.currentTarget.value.trim();
						if (name) store.run(`name ${name}`, 'changeHome', { name });
						else event.currentTarget.value = home.name;
					}}
				/>
			</label>
			{#if !isEmpty}
				<p class="soft measure text-sm">
					{counts.join(' · ')}
				</p>
				<button class="btn ml-auto" onclick={exportCopy}
					><Download size={18} />Export the home</button
				>
			{/if}
			<span class="flex items-center gap-1 sm:hidden"><HomeChoices {store} /></span>
			{#if pictures}
				<button class="btn" onclick={exportZip}
					><Download size={18} />With its {pictures === 1
						? 'picture'
						: `${pictures} pictures`}</button
				>
			{/if}
		</div>
		{#if !isEmpty}
			<PlanView {home} maxPx={540} />
			<HomeCustoms {store} />
		{:else}
			<FirstSteps desk={begin} />
		{/if}
	</section>
</div>

<style>
	.name {
		width: 100%;
		min-width: 8rem;
		min-height: 44px;
		background: transparent;
		font-family: var(--font-display);
		font-size: 1.25rem;
		font-weight: 650;
		border-bottom: 1.5px solid transparent;
	}
	.name:hover,
	.name:focus {
		border-bottom-color: var(--ink-soft);
	}
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
