<script lang="ts">
	import { formatMoney, formatVolume } from '$lib/core/model';
	import type { HiddenPlace } from '$lib/core/survey';
	import { HIDDEN_WORDS } from '$lib/messages/survey';
	import type { HiddenDesk } from '$lib/state/hidden-desk.svelte';

	let { desk, place }: { desk: HiddenDesk; place: HiddenPlace } = $props();
	const home = $derived(desk.home);
</script>

<li class="rule-top">
	<button class="row" aria-pressed={place === desk.chosen} onclick={() => desk.choose(place)}>
		<span class="litres measure">+ {formatVolume(place.gainMl)}</span>
		<span class="min-w-0 flex-1"
			><b>{HIDDEN_WORDS[place.kind]}</b><br /><span class="soft">{place.where}</span></span
		>
		<span class="measure soft whitespace-nowrap"
			>{place.costMinor ? `about ${formatMoney(place.costMinor, home.currency)}` : 'no cost'}</span
		>
		<span class="hole" class:bad={!place.allowed}
			>{place.needsHole ? 'needs a hole' : 'no hole'}</span
		>
	</button>
</li>

<style>
	.row {
		display: flex;
		align-items: center;
		gap: 1rem;
		width: 100%;
		min-height: 56px;
		padding: 0.3rem 0.4rem;
		text-align: left;
		cursor: pointer;
	}
	.row:hover,
	.row[aria-pressed='true'] {
		background: var(--color-base-200);
	}
	.litres {
		flex: 0 0 6.8rem;
		font-weight: 700;
		color: var(--color-primary);
	}
	.hole {
		flex: 0 0 6.5rem;
		color: var(--ink-soft);
	}
	.hole.bad {
		color: var(--color-error);
	}
	@media (max-width: 640px) {
		.row {
			display: grid;
			grid-template-columns: minmax(0, 8rem) minmax(0, 1fr);
			overflow-wrap: anywhere;
			gap: 0.1rem 0.6rem;
		}
	}
</style>
