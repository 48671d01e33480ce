<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { untrack, type Snippet } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';

	interface Props {
		children: Snippet;
		/** The reason panel: at the right, on a phone below. */
		panel?: Snippet | undefined;
		panelLabel?: string;
		/** What the panel says is of something that was chosen: the focus moves into it, and on a small screen it stands over the bench. */
		raised?: boolean;
		/** What is chosen: when it changes the focus moves in again. */
		chosen?: string | null;
		/** On a small screen: work goes on in the panel, below the drawing that it is about. */
		docked?: boolean;
		/** The panel goes along with a list beside it: on a wide screen the focus stays in the list. */
		follows?: boolean;
		/** Puts the panel away: by its button, by Escape, by a tap beside it. */
		onclose?: () => void;
	}
	let {
		children,
		panel,
		panelLabel = 'Details',
		raised = false,
		chosen = null,
		docked = false,
		follows = false,
		onclose
	}: Props = $props();
	const small = new MediaQuery('(max-width: 1023px)');
	/** The docked panel covers 56 % of a small screen: the middle of what is left lies so much above the screen's. */
	const LIFT = 0.28;
	$effect(() => {
		void chosen;
		if (!docked || !small.current) return;
		const frame = requestAnimationFrame(() => {
			const spot = middle?.querySelector('svg [aria-pressed="true"]');
			if (!spot) return;
			spot.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
			window.scrollBy({ top: innerHeight * LIFT, behavior: 'instant' });
		});
		return () => cancelAnimationFrame(frame);
	});
	const isModal = $derived(!!panel && raised && small.current);
	let middle = $state<HTMLElement>();
	let aside = $state<HTMLElement>();
	let dialog = $state<HTMLDialogElement>();
	/** What had the focus before the panel took it. */
	let opener: HTMLElement | null = null;

	$effect(() => {
		void chosen;
		if (!raised || !panel || isModal || follows) return;
		const active = document.activeElement as HTMLElement | null;
		if (!aside || aside.contains(active)) return;
		opener = active;
		aside.focus({ preventScroll: true });
	});
	$effect(() => {
		if (!dialog) return;
		const shown = dialog;
		opener = untrack(() => document.activeElement as HTMLElement | null);
		shown.showModal();
		return () => {
			shown.close();
			giveBack();
		};
	});
	$effect(() => {
		if (!raised && !isModal) untrack(giveBack);
	});
	/** Puts the focus back to where the panel was opened from, unless it has gone elsewhere since. */
	function giveBack() {
		const active = document.activeElement;
		const isOurs =
			!active || active === document.body || aside?.contains(active) || dialog?.contains(active);
		const back = opener?.isConnected
			? opener
			: middle?.querySelector<HTMLElement>('[aria-pressed="true"]');
		if (opener && isOurs) back?.focus({ preventScroll: true });
		opener = null;
	}
</script>

<div class="bench" class:with-panel={!!panel && !isModal} class:has-docked={docked}>
	<div class="middle" bind:this={middle}>{@render children()}</div>
	{#if panel && isModal}
		<dialog
			class="modal modal-bottom"
			aria-label={panelLabel}
			bind:this={dialog}
			oncancel={(event) => {
				event.preventDefault();
				onclose?.();
			}}
			onclick={(event) => event.target === dialog && onclose?.()}
		>
			<div class="modal-box">
				<div class="head">
					<button class="btn btn-ghost" onclick={onclose}><X size={18} />Close</button>
				</div>
				{@render panel()}
			</div>
		</dialog>
	{:else if panel}
		<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
		<aside
			aria-label={panelLabel}
			class:docked
			tabindex="-1"
			bind:this={aside}
			onkeydown={(event) => {
				if (event.key !== 'Escape' || !raised || follows || event.defaultPrevented) return;
				event.preventDefault();
				onclose?.();
			}}
		>
			{#if raised && onclose && !follows}
				<div class="head">
					<button class="btn btn-ghost" onclick={onclose}><X size={18} />Close</button>
				</div>
			{/if}
			{@render panel()}
		</aside>
	{/if}
</div>

<style>
	.bench {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
	}
	.middle {
		padding: 1rem;
		min-width: 0;
	}
	aside {
		padding: 1rem;
		border-top: 1px solid var(--color-base-300);
		background: var(--color-base-200);
	}
	aside:focus-visible {
		outline-offset: -3px;
	}
	/* Beside the first line of what the panel says; it stays in sight. */
	.head {
		float: right;
		position: sticky;
		top: 0;
		z-index: 2;
		margin: -0.4rem -0.5rem 0 0.5rem;
		background: var(--color-base-200);
	}
	@media print {
		.bench.with-panel {
			display: block;
		}
		aside {
			display: none;
		}
	}
	@media screen and (max-width: 1023px) {
		.has-docked .middle {
			padding-bottom: 56dvh;
		}
		aside.docked {
			position: fixed;
			inset: auto 0 0 84px;
			z-index: 25;
			max-height: 56dvh;
			overflow-y: auto;
			border-top: 3px solid var(--color-primary);
		}
	}
	@media (max-width: 767px) {
		aside.docked {
			inset: auto 0 calc(56px + env(safe-area-inset-bottom)) 0;
		}
		.middle {
			padding: 0.6rem 0.75rem 1rem;
		}
	}
	@media screen and (min-width: 1024px) {
		.bench.with-panel {
			grid-template-columns: minmax(0, 1fr) 340px;
			min-height: calc(100dvh - 57px);
		}
		aside {
			border-top: 0;
			border-left: 1px solid var(--color-base-300);
			position: sticky;
			top: 0;
			max-height: 100dvh;
			overflow-y: auto;
		}
	}
</style>
