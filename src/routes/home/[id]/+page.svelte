<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import Pencil from '@lucide/svelte/icons/pencil';
	import { listPhotos } from '$lib/data';
	import { nextSteps, type Stage } from '$lib/core/upkeep';
	import { TEMPLATES } from '$lib/core/survey';
	import { STAGE_WORDS, stepText } from '$lib/messages/steps';
	import { now, today } from '$lib/state/clock.svelte';
	import { newId } from '$lib/state/ids';
	import { getHomeStore } from '$lib/state/context';
	import { getDb } from '$lib/state/database';
	import { exportHome, fileName, saveFile } from '$lib/ui/forms/save-file';
	import HomeChoices from '$lib/ui/frame/HomeChoices.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import { STAGE_ICONS } from '$lib/ui/frame/stages';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const steps = $derived(nextSteps(home, today()));
	const first = $derived(steps[0]);
	const count = (record: object) => Object.keys(record).length;
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
	const link = (stage: Stage) => `/home/${home.id}/${stage}`;
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
					<a href={link(step.stage)} class="step" class:now={step === first}>
						<span class="verb"><Icon size={18} />{STAGE_WORDS[step.stage].name}</span>
						<span>
							<b>{words.title}</b>
							<span class="soft block">{words.why}</span>
						</span>
					</a>
				</li>
			{:else}
				<li class="rule-top py-4">
					All done for now. Come back when something is used up or moved.
				</li>
			{/each}
		</ol>
	</section>
	<section aria-labelledby="plan" class="min-w-0">
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
			<p class="soft measure text-sm">
				{count(home.cabinets)} cabinets · {count(home.nooks)} places · {count(home.things)} things · {count(
					home.groups
				)} groups
			</p>
			<button class="btn ml-auto" onclick={exportCopy}><Download size={18} />Export the home</button
			>
			<span class="flex items-center gap-1 sm:hidden"><HomeChoices {store} /></span>
			{#if pictures}
				<button class="btn" onclick={exportZip}
					><Download size={18} />With its {pictures === 1
						? 'picture'
						: `${pictures} pictures`}</button
				>
			{/if}
		</div>
		{#if count(home.rooms)}
			<PlanView {home} maxPx={540} />
		{:else}
			<div class="py-6">
				<h2 class="mb-1">Begin with a room</h2>
				<p class="soft mb-3">
					Usual cabinets at usual sizes, to be measured and put right in Walk. Or
					<a class="link" href={link('walk')}>draw your own</a>.
				</p>
				<ul>
					{#each TEMPLATES as { key, name, what } (key)}
						<li class="rule-top flex items-center gap-3 py-2">
							<span class="min-w-0 grow"
								><b>{key === 'cabinet' ? 'One cabinet' : name}</b>
								<span class="soft block text-sm">{what}</span></span
							>
							<button
								class="btn"
								aria-label="Begin with: {key === 'cabinet' ? 'one cabinet' : name.toLowerCase()}"
								onclick={() => store.run(`${name} added`, 'addTemplate', key, newId())}
								>Add it</button
							>
						</li>
					{/each}
				</ul>
				<p class="mt-3">
					<a class="link" href="{link('walk')}/people">Say who lives there</a>, so that nothing
					stands out of their reach.
				</p>
			</div>
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
