<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head
	><title>{page.status === 404 ? 'Nothing here' : 'Something broke'} · Keep Nook</title
	></svelte:head
>
<main class="mx-auto max-w-2xl p-8">
	{#if page.status === 404}
		<h1>There is nothing at this address</h1>
		<p class="my-4">Check the address, or choose a home. Your homes are as you left them.</p>
	{:else}
		<h1>Something broke</h1>
		<p class="my-4">
			What you entered is kept. Reload the page; if it happens again, go back to all homes and
			export the one you were in.
		</p>
		<p class="soft mb-4 text-sm">The program said: {page.error?.message}</p>
		<button class="btn btn-primary" onclick={() => location.reload()}>Reload</button>
	{/if}
	<a class="btn" href="/">Back to all homes</a>
</main>
