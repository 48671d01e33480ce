<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Stage } from '$lib/core/model';
	import { STAGE_WORDS } from '$lib/messages/steps';

	let { stage, children }: { stage: Stage; children?: Snippet } = $props();
</script>

<div class="head">
	<div>
		<h1>{STAGE_WORDS[stage].name}</h1>
		<p class="soft question">{STAGE_WORDS[stage].question}</p>
	</div>
	<div class="no-print actions">{@render children?.()}</div>
</div>

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: flex-end;
		gap: 0.5rem 1rem;
		margin-bottom: 0.75rem;
	}
	.actions {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		margin-left: auto;
		min-width: 0;
	}
	.actions :global(label) {
		min-width: 0;
		max-width: 100%;
	}
	.actions :global(select) {
		width: auto;
		flex: 1 1 6rem;
		min-width: 0;
		max-width: 100%;
	}
	@media (max-width: 640px) {
		.actions :global(label) {
			flex-wrap: wrap;
		}
	}
	/* The content comes first: the bar below says the stage, so its name is enough. */
	@media (max-width: 640px) {
		.head {
			align-items: center;
			gap: 0.25rem 0.5rem;
			margin-bottom: 0.25rem;
			min-height: 44px;
		}
		h1 {
			font-size: 1.3rem;
		}
		.question {
			position: absolute;
			clip-path: inset(50%);
		}
		.actions {
			flex: 1 1 0;
			justify-content: flex-end;
		}
	}
</style>
