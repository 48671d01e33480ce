<script lang="ts">
	import '../app.css';
	import { Toaster } from 'svelte-sonner';
	import { guardLeaving } from '$lib/state/leaving';
	import { theme } from '$lib/state/theme.svelte';

	let { children } = $props();
	$effect(() => theme.apply(document.documentElement));
</script>

<svelte:window onbeforeunload={guardLeaving} />
{@render children()}
<Toaster position="top-center" theme={theme.current === 'cellar' ? 'dark' : 'light'} richColors />
