import { now } from './clock.svelte';

const EVERY_MS = 10_000;

/** Gives an instant that moves on by itself while a screen shows it; call it while the component is set up. */
export function ticking(): { readonly now: string } {
	let instant = $state(now());
	$effect(() => {
		const timer = setInterval(() => (instant = now()), EVERY_MS);
		return () => clearInterval(timer);
	});
	return {
		get now() {
			// An edit may have happened since the last beat.
			const real = now();
			return real > instant ? real : instant;
		}
	};
}
