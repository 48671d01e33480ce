<script lang="ts">
	import { wholeText } from '$lib/messages/numbers';
	import ShieldCheck from '@lucide/svelte/icons/shield-check';
	import Square from '@lucide/svelte/icons/square';
	import { toast } from 'svelte-sonner';
	import type { ZonePlan } from '$lib/core/model';

	import { gapText, isProven, proofText } from '$lib/messages/zoning';
	import { getHomeStore } from '$lib/state/context';
	import { Job } from '$lib/state/job.svelte';
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
	const job = new Job(createProveClient());
	$effect(() => () => job.leave());
	const SECONDS = 45;

	async function prove() {
		const { id } = plan;
		const answer = await job.start({ home: store.home, options: { seconds: SECONDS } }, () =>
			store.home.activePlanId === id ? store.home.zonePlans[id]?.assignments : null
		);
		if (!answer) return;
		// Whoever went on meanwhile has another plan by now; the proof is of the one before.
		if (answer.isLate)
			return void toast.info('The plan was changed meanwhile, so the proof was not kept.');
		store.run('proof of the plan', 'noteProof', id, answer.result);
		toast.info(proofText(answer.result, SECONDS));
	}
</script>

<p class="soft mt-2 text-sm">
	{#if Number.isFinite(effort)}
		Effort {wholeText(effort)}: metres walked there and back, with reaching and rule-bending counted
		in metres too. {#if !stale && !broken}{gapText(effort, plan.bound)}{/if}
	{:else}
		A plan that breaks a rule has no effort to compare: fix what is listed below, or solve again.
	{/if}
</p>
{#if job.isRunning}
	<p role="status" class="measure mt-2 text-sm">
		Proving{#if job.progress}: no plan can go below {wholeText(job.progress.bound)}{/if} …
	</p>
	<button class="btn mt-1" onclick={() => job.leave()}><Square size={18} />Stop proving</button>
{:else if !stale && !broken && !isProven(effort, plan.bound)}
	<button class="btn mt-2" onclick={prove}><ShieldCheck size={18} />Prove it, or find better</button
	>
{/if}
{#if job.state.kind === 'failed'}
	<p role="alert" class="mt-2 text-sm" style="color:var(--color-error)">
		The proof failed: {job.state.reason} The plan is as it was.
	</p>
{/if}
