<script lang="ts">
	import '../app.css';
	import { Toaster } from 'svelte-sonner';
	import { IN_SIGHT } from '$lib/state/undo-toast';
	import { guardLeaving, pageGoes } from '$lib/state/leaving';
	import { sayReload, watchForNewVersion } from '$lib/state/new-version';
	import { theme } from '$lib/state/theme.svelte';

	let { children } = $props();
	$effect(() => theme.apply(document.documentElement));
	$effect(() => {
		void watchForNewVersion();
		// Sent by the bundler's loader when a chunk is not there any more.
		window.addEventListener('vite:preloadError', sayReload);
		return () => window.removeEventListener('vite:preloadError', sayReload);
	});
</script>

<svelte:window onbeforeunload={guardLeaving} onpagehide={pageGoes} />
<svelte:document onvisibilitychange={() => document.hidden && pageGoes()} />
{@render children()}
<!-- Spread out: each notice takes back its own act, so each has to be in reach. -->
<Toaster
	position="bottom-center"
	expand
	visibleToasts={IN_SIGHT}
	duration={8000}
	offset={{ bottom: '1.25rem' }}
	mobileOffset={{ bottom: '4.75rem' }}
	theme={theme.current === 'cellar' ? 'dark' : 'light'}
/>
