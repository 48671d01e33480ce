<script lang="ts">
	import { goto } from '$app/navigation';
	import { addHome, DEMO_ID, listHomes, purgeHomes, troubleOf } from '$lib/data';
	import { troubleText } from '$lib/messages/store';
	import { now } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import { leaveStored } from '$lib/state/just-stored';

	let failed = $state('');
	async function open() {
		const db = await getDb();
		const known = (await listHomes(db)).find(({ id }) => id === DEMO_ID);
		if (!known || known.deletedAt) {
			const { demoHome } = await import('$lib/data/demo');
			// A demo that was thrown away begins anew.
			if (known) await purgeHomes(db, [DEMO_ID]);
			const home = demoHome(now());
			const added = await addHome(db, { home, now: now(), ifThere: { do: 'say' } });
			if (added.ok) leaveStored({ home, revision: added.revision });
		}
		await goto(`/home/${DEMO_ID}`, { replaceState: true });
	}
	$effect(() => {
		open().catch((error: unknown) => (failed = troubleText(troubleOf(error))));
	});
</script>

<svelte:head><title>Demo home · Keep Nook</title></svelte:head>
<main class="p-8">
	{#if failed}
		<h1>The demo home could not be opened</h1>
		<p role="alert">{failed}</p>
		<button class="btn btn-primary my-3" onclick={() => location.reload()}>Try again</button>
		<a class="btn" href="/">Back to all homes</a>
	{:else}
		<p role="status">Opening the demo home …</p>
	{/if}
</main>
