<script lang="ts">
	import { goto } from '$app/navigation';
	import { DEMO_ID, loadHome, putHome } from '$lib/data';
	import { now } from '$lib/state/clock';
	import { getDb } from '$lib/state/database';

	let failed = $state('');
	async function open() {
		const db = await getDb();
		const known = await loadHome(db, DEMO_ID);
		if (!known.ok) {
			const { demoHome } = await import('$lib/data/demo');
			await putHome(db, demoHome(now()), now());
		}
		await goto(`/home/${DEMO_ID}`, { replaceState: true });
	}
	$effect(() => {
		open().catch((error: unknown) => {
			failed = error instanceof Error ? error.message : String(error);
		});
	});
</script>

<main class="p-8">
	{#if failed}
		<h1>The demo home could not be opened</h1>
		<p role="alert">{failed}. Free some space in the browser, or leave private mode, and reload.</p>
	{:else}
		<p role="status">Opening the demo home …</p>
	{/if}
</main>
