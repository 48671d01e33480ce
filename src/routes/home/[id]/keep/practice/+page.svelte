<script lang="ts">
	import { countText } from '$lib/messages/numbers';
	import { replyText } from '$lib/messages/keeping';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { PracticeDesk } from '$lib/state/practice-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import WhoKnows from '$lib/ui/keep/WhoKnows.svelte';
	import KeepHead from '$lib/ui/keep/KeepHead.svelte';

	const getStore = getHomeStore();
	const desk = new PracticeDesk({ store: getStore, newId, now });
	const home = $derived(desk.home);
	const question = $derived(desk.question);
	const place = $derived(question ? (home.nooks[question.know.nookId]?.name ?? '') : '');
	const none = new Set<string>();
	/** The right place shows once it was answered; for the other question it is what is asked. */
	const shown = $derived(
		question && (question.kind === 'what' || desk.reply) ? question.know.nookId : null
	);
</script>

<Bench panel={desk.people.length ? who : undefined} panelLabel="Who knows what">
	<KeepHead />
	{#if !desk.people.length || !desk.knowing.of}
		<EmptyNote title="Nobody to practise yet">
			<p>
				“Where does this live?” Everybody who lives here is asked now and then, until they know.
				{desk.people.length
					? 'Group your things in Sort and give the groups places first.'
					: 'Say who lives here first.'}
			</p>
			<a
				class="btn btn-primary"
				href={desk.people.length ? `/home/${home.id}/place` : `/home/${home.id}/walk/people`}
				>{desk.people.length ? 'Go to Place' : 'Add people in Walk'}</a
			>
		</EmptyNote>
	{:else}
		<div class="my-2 flex flex-wrap gap-2" role="group" aria-label="Who practises">
			{#each desk.people as { id, name } (id)}
				<button
					class="btn"
					class:btn-primary={desk.person?.id === id}
					aria-pressed={desk.person?.id === id}
					onclick={() => desk.choosePerson(id)}>{name}</button
				>
			{/each}
		</div>
		{#if !desk.isOn}
			<p class="max-w-2xl">
				{#if desk.dueCount}{countText(desk.dueCount, 'question')} for {desk.person?.name} now. What is
					known is asked less and less often.
				{:else}Nothing to ask {desk.person?.name} today. Come back in a few days.{/if}
			</p>
			{#if desk.dueCount}<button class="btn btn-primary mt-2" onclick={() => desk.start()}
					>Start</button
				>{/if}
		{:else if desk.isOver}
			<p class="big" role="status">{desk.right} of {desk.asked} right.</p>
			<button class="btn btn-primary" onclick={() => desk.stop()}>Done for today</button>
		{:else if question}
			<h2 class="ask">
				{question.kind === 'where'
					? `Where do I find ${question.thing}?`
					: `What lives in ${place}?`}
			</h2>
			{#if question.kind === 'where'}<p class="soft">Tap its place on the drawing.</p>{/if}
			<WallStrip {home} flagged={none} selected={shown} onselect={(id) => desk.answerPlace(id)} />
			{#if question.kind === 'what'}
				<ul class="choices" class:child={desk.isChild}>
					{#each question.choices as group (group.id)}
						<li>
							<button
								class="btn choice"
								class:right={desk.reply && group.id === question.group.id}
								class:wrong={desk.reply?.chosen === group.id && desk.reply.is === 'wrong'}
								disabled={!!desk.reply}
								onclick={() => desk.answerGroup(group.id)}><TagChip {group} /></button
							>
						</li>
					{/each}
				</ul>
			{/if}
			{#if desk.reply}
				<p class="big" role="status" class:bad={desk.reply.is === 'wrong'}>
					{replyText(desk.reply.is, question.group.name, place)}
				</p>
				<button class="btn btn-primary" onclick={() => desk.next()}>Next</button>
			{/if}
			<button class="btn btn-ghost mt-4" onclick={() => desk.stop()}>Stop here</button>
		{/if}
	{/if}
</Bench>

{#snippet who()}<WhoKnows {desk} />{/snippet}

<style>
	.ask {
		margin-top: 0.6rem;
		font-size: 1.5rem;
	}
	.big {
		margin: 0.8rem 0;
		font-size: 1.3rem;
		font-weight: 700;
	}
	.big.bad {
		color: var(--color-error);
	}
	.choices {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(15rem, 100%), 1fr));
		gap: 0.6rem;
		margin-top: 0.8rem;
	}
	.choice {
		width: 100%;
		min-height: 64px;
		height: auto;
		justify-content: flex-start;
	}
	.child .choice {
		min-height: 110px;
		font-size: 1.5rem;
	}
	.choice.right {
		outline: 4px solid var(--color-success);
	}
	.choice.wrong {
		outline: 4px dashed var(--color-error);
	}
	.choice:disabled {
		opacity: 1;
	}
</style>
