<script lang="ts">
	import ShieldCheck from '@lucide/svelte/icons/shield-check';
	import Square from '@lucide/svelte/icons/square';
	import { toast } from 'svelte-sonner';
	import type { ZonePlan } from '$lib/core/model';

	import { gapText, isProven, proofText } from '$lib/messages/zoning';
	import { getHomeStore } from '$lib/state/context';
	import { ProveJob } from '$lib/state/prove-job.svelte';
	import { createProveClient } from '$lib/workers/prove.client';

	interface Props {
		plan: ZonePlan;
		/** Weekly effort of the plan as it stands, moves by hand included. */
		effort: number;
		/** It was computed from something else, or breaks a rule: nothing can be said of how good it is. */
		stale: boolean;
		broken: boolean;
	}
	let { plan, effort, stale, broken }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const job = new ProveJob(createProveClient());
	$effect(() => () => job.stop());
	const SECONDS = 60;
	const whole = (value: number) => Math.round(value).toLocaleString('en');

	async function prove() {
		const { id, assignments } = plan;
		const proof = await job.start(store.home, SECONDS);
		if (!proof) return;
		const now = store.home.zonePlans[id];
		// Whoever went on meanwhile has another plan by now; the proof is of the one before.
		if (now?.assignments !== assignments || store.home.activePlanId !== id)
			return void toast.info('The plan was changed meanwhile, so the proof was not kept.');
		store.run('proof of the plan', 'noteProof', id, proof);
		toast.info(proofText(proof, SECONDS));
	}
</script>

<p class="soft mt-2 text-sm">
	{#if Number.isFinite(effort)}
		Effort {whole(effort)}: metres walked there and back, reaches and broken wishes counted in
		metres too. {#if !stale && !broken}{gapText(effort, plan.bound)}{/if}
	{:else}
		A plan that breaks a rule has no effort to compare: mend what is named below, or solve again.
	{/if}
</p>
{#if job.state.kind === 'running'}
	<p role="status" class="measure mt-2 text-sm">
		Proving{#if job.state.bound !== null}: no plan can go below {whole(job.state.bound)}{/if} …
	</p>
	<button class="tool mt-1" onclick={() => job.stop()}><Square size={18} />Stop proving</button>
{:else if !stale && !broken && !isProven(effort, plan.bound)}
	<button class="tool mt-2" onclick={prove}
		><ShieldCheck size={18} />Prove it, or find better</button
	>
{/if}
{#if job.state.kind === 'failed'}
	<p role="alert" class="mt-2 text-sm" style="color:var(--color-error)">
		The proof broke down: {job.state.reason} The plan is as it was.
	</p>
{/if}
