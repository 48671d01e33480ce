<script lang="ts">
	import { STAGES } from '$lib/core/model';
	import type { StageProgress } from '$lib/core/upkeep';
	import { STAGE_WORDS } from '$lib/messages/steps';
	import { STAGE_ICONS } from './stages';

	interface Props {
		homeId: string;
		current: string;
		/** null: not known yet. */
		progress: StageProgress | null;
	}
	let { homeId, current, progress }: Props = $props();
	const percent = (value: number | null) => (value === null ? null : Math.floor(value * 100));
</script>

<nav class="strip no-print" aria-label="Stages">
	{#each STAGES as stage (stage)}
		{@const Icon = STAGE_ICONS[stage]}
		{@const done = percent(progress?.[stage] ?? null)}
		<a
			href="/home/{homeId}/{stage}"
			aria-current={current === stage ? 'page' : undefined}
			class:current={current === stage}
		>
			<Icon size={20} />
			<span>{STAGE_WORDS[stage].name}</span>
			<i class="bar" aria-hidden="true"><i style:width="{done ?? 0}%"></i></i>
			<span class="sr-only">{done === null ? 'nothing yet' : `${done} % done`}</span>
		</a>
	{/each}
</nav>

<style>
	.strip {
		display: flex;
		flex-direction: column;
		border-right: 1px solid var(--color-base-300);
		background: var(--color-base-200);
		padding-top: 0.25rem;
		position: sticky;
		top: 0;
		height: 100dvh;
	}
	a {
		position: relative;
		display: flex;
		flex-direction: column;
		align-items: center;
		justify-content: center;
		gap: 2px;
		min-height: 60px;
		font-size: 0.9rem;
		line-height: 1.1;
		border-left: 4px solid transparent;
	}
	a:hover {
		background: var(--color-base-100);
	}
	a.current {
		background: var(--color-base-100);
		border-left-color: var(--color-primary);
		font-weight: 700;
	}
	.bar {
		width: 44px;
		height: 3px;
		background: var(--color-base-300);
	}
	.bar i {
		display: block;
		height: 3px;
		background: var(--color-success);
	}
	@media (max-width: 767px) {
		.strip {
			position: fixed;
			inset: auto 0 0 0;
			height: auto;
			z-index: 30;
			flex-direction: row;
			border-right: 0;
			border-top: 1px solid var(--color-base-300);
			padding: 0 0 env(safe-area-inset-bottom);
		}
		a {
			flex: 1 1 0;
			min-width: 0;
			min-height: 54px;
			overflow: hidden;
			font-size: min(0.8rem, 3.5vw);
			border-left: 0;
			border-top: 3px solid transparent;
		}
		a.current {
			border-top-color: var(--color-primary);
		}
		.bar {
			width: 28px;
		}
	}
</style>
