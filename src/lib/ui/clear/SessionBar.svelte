<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import {
		estimatePlace,
		halfDone,
		openSession,
		straysFor,
		workedMinutes
	} from '$lib/core/clearing';
	import { NookId } from '$lib/core/model';
	import { estimateText, minutesText } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import { PicturesDesk } from '$lib/state/pictures-desk.svelte';
	import { shrinkPhoto } from '$lib/state/shrink-photo';
	import PicturePair from './PicturePair.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { keysEverywhere } from '$lib/state/page-keys.svelte';
	import { ticking } from '$lib/state/tick.svelte';

	interface Props {
		nookId: string;
		/** How many of its things have been looked at. */
		looked: number;
		onplace: (nookId: string) => void;
	}
	let { nookId, looked, onplace }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const name = $derived(home.nooks[nookId]?.name ?? '');
	const pictures = new PicturesDesk({
		store: getStore,
		db: getDb,
		newId,
		now,
		today,
		shrink: shrinkPhoto
	});
	const clock = ticking();
	const estimate = $derived(estimatePlace(home, nookId));
	const session = $derived(openSession(home, nookId));
	const minutes = $derived(session ? workedMinutes(session, clock.now) : 0);
	const over = $derived(!!session && minutes > session.plannedMin);
	const others = $derived(halfDone(home).filter((other) => other.nookId !== nookId));
	const strays = $derived(straysFor(home, nookId));

	function toggle() {
		if (!session)
			store.run(`start on ${name}`, 'startSession', {
				id: newId(),
				nookId: NookId.parse(nookId),
				plannedMin: estimate.minutes,
				now: now()
			});
		else if (session.runningSince) store.run(`stop at ${name}`, 'stopSession', session.id, now());
		else store.run(`go on with ${name}`, 'resumeSession', session.id, now());
	}
	function finish() {
		if (session) store.run(`finish ${name}`, 'endSession', session.id, looked, now());
	}
	keysEverywhere('The clock', [
		{ keys: 'S', does: 'Start or stop the clock', run: toggle },
		{ keys: 'E', does: 'This place is done', run: finish }
	]);
</script>

<section class="session" aria-label="Clock">
	<div class="line">
		{#if session}
			<p>
				<b class="measure" role="timer">{minutesText(minutes)}</b>
				<span class="soft">of about {minutesText(session.plannedMin)}</span>
				{#if over}<span class="over">Over the plan: close this place before opening another.</span
					>{/if}
			</p>
			<span class="bar" aria-hidden="true"
				><i class:over style:width="{Math.min(100, (100 * minutes) / (session.plannedMin || 1))}%"
				></i></span
			>
			<span class="buttons">
				<button class="btn" onclick={toggle} aria-keyshortcuts="s"
					>{#if session.runningSince}<Pause size={18} />Stop for now{:else}<Play size={18} />Go on{/if}</button
				>
				<button class="btn" class:btn-primary={looked > 0} onclick={finish} aria-keyshortcuts="e"
					><Check size={18} />This place is done</button
				>
			</span>
		{:else}
			<details class="how">
				<summary
					>About <b class="measure">{minutesText(estimate.minutes)}</b> for this place</summary
				>
				<p class="soft">{estimateText(estimate)}</p>
			</details>
			<span class="buttons">
				<button class="btn" onclick={toggle} aria-keyshortcuts="s"
					><Play size={18} />Start the clock</button
				>
			</span>
		{/if}
	</div>
	{#if session}
		<details class="strays" open={session.strays.length < strays.length && looked === 0}>
			<summary
				>Bring in the strays first
				<span class="soft measure">{session.strays.length} of {strays.length}</span></summary
			>
			<ul>
				{#each strays as stray (stray.key)}
					<li>
						<label
							><input
								type="checkbox"
								class="checkbox"
								checked={session.strays.includes(stray.key)}
								onchange={() => store.run(`look for strays`, 'tickStray', session.id, stray.key)}
							/>{stray.words}</label
						>
					</li>
				{/each}
			</ul>
		</details>
	{/if}
	{#if session}<PicturePair desk={pictures} {nookId} small />{/if}
	{#if pictures.wrong}<p role="alert" class="text-error">{pictures.wrong}</p>{/if}
	{#if others.length}
		<p class="others">
			<span class="soft">Half done:</span>
			{#each others as other (other.id)}
				<button class="btn btn-ghost" onclick={() => onplace(other.nookId)}
					>{home.nooks[other.nookId]?.name ?? 'a place that is gone'},
					{minutesText(workedMinutes(other, clock.now))}</button
				>
			{/each}
		</p>
	{/if}
</section>

<style>
	.session {
		border-block: 1px solid var(--color-base-300);
		margin: 0.4rem 0 0.8rem;
		padding: 0.35rem 0;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 1rem;
	}
	.buttons {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin-left: auto;
	}
	.bar {
		flex: 1 1 6rem;
		max-width: 16rem;
		height: 6px;
		background: var(--color-base-300);
	}
	.bar i {
		display: block;
		height: 6px;
		background: var(--color-success);
	}
	.bar i.over {
		background: var(--color-primary);
	}
	span.over {
		color: var(--color-primary);
		margin-left: 0.5rem;
	}
	summary {
		min-height: 44px;
		display: flex;
		align-items: center;
		gap: 0.5rem;
		cursor: pointer;
	}
	.how {
		flex: 1 1 14rem;
	}
	.strays li label {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		min-height: 44px;
	}
	@media (min-width: 900px) {
		.strays ul {
			columns: 2;
		}
		.strays li {
			break-inside: avoid;
		}
	}
</style>
