<script lang="ts">
	import Moon from '@lucide/svelte/icons/moon';
	import Plus from '@lucide/svelte/icons/plus';
	import Sun from '@lucide/svelte/icons/sun';
	import { goto } from '$app/navigation';
	import { DEMO_ID } from '$lib/data';
	import { troubleText } from '$lib/messages/store';
	import { now } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import { HomesDesk } from '$lib/state/homes-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { theme } from '$lib/state/theme.svelte';
	import AllHomes from '$lib/ui/homes/AllHomes.svelte';
	import HomeList from '$lib/ui/homes/HomeList.svelte';
	import ImportHome from '$lib/ui/homes/ImportHome.svelte';

	const desk = new HomesDesk({
		db: getDb,
		now,
		newId,
		open: (id, part = '') => goto(`/home/${id}/${part}`.replace(/\/$/, ''))
	});
	const homes = $derived(desk.homes);
	let name = $state('');
	$effect(() => void desk.refresh());
</script>

<svelte:head><title>Keep Nook</title></svelte:head>

<main class="mx-auto max-w-4xl px-5 py-8">
	<header class="mb-8 flex items-start gap-4">
		<svg viewBox="0 0 64 64" class="w-14 shrink-0" aria-hidden="true">
			<path d="M6 6H58V58H6Z" class="d-carcass" />
			<path d="M6 30H58M34 30V58" class="d-shelf" />
			<path d="M14 12h16v10H14z" fill="var(--color-primary)" />
			<path d="M40 38h10v14H40z" class="d-light" />
		</svg>
		<div>
			<h1 class="text-4xl">Keep Nook</h1>
			<p class="soft mt-1 max-w-xl">
				Measure every shelf, decide on every thing, and get a plan of what lives where, what it is
				kept in and what is used first. All of it stays in this browser.
			</p>
		</div>
		<button
			class="btn btn-ghost ml-auto"
			onclick={() => theme.toggle()}
			aria-label={theme.current === 'linen' ? 'Dark: cellar' : 'Light: linen'}
			>{#if theme.current === 'linen'}<Moon size={20} />{:else}<Sun size={20} />{/if}</button
		>
	</header>

	{#if desk.trouble}
		<div role="alert" class="mb-4 border-l-4 pl-3" style="border-color:var(--color-error)">
			<p>{troubleText(desk.trouble)} Nothing here has changed.</p>
			<button class="btn mt-2" onclick={() => desk.refresh()}>Try again</button>
		</div>
	{/if}

	<HomeList {desk} />
	<AllHomes {desk} />
	<div class="grid gap-8 md:grid-cols-3">
		<section aria-labelledby="demo">
			<h2 id="demo" class="mb-2">See a full one</h2>
			<p class="soft mb-3">
				A made-up railway halt: 20 cabinets, 77 places, over 460 things, and the usual problems.
			</p>
			<a class="btn btn-primary" href="/demo"
				>{homes?.some((row) => row.id === DEMO_ID)
					? 'Go on in the demo home'
					: 'Open the demo home'}</a
			>
		</section>
		<section aria-labelledby="new">
			<h2 id="new" class="mb-2">Begin your own</h2>
			<form
				onsubmit={(event) => {
					event.preventDefault();
					void desk.make(name);
				}}
				class="flex flex-col gap-3"
			>
				<label class="flex flex-col gap-1"
					>What do you call it?
					<input class="input" bind:value={name} required maxlength="200" placeholder="Our flat" />
				</label>
				<button class="btn self-start" disabled={desk.isMaking}
					><Plus size={18} />{desk.isMaking ? 'Making it …' : 'Make this home'}</button
				>
			</form>
		</section>
		<ImportHome {desk} />
	</div>
</main>
