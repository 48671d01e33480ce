<script lang="ts">
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';
	import { countText } from '$lib/messages/numbers';
	import { brokenText, reviewText, ruledOutText } from '$lib/messages/rules';
	import { leftText, liftAct, liftText, smallestChangeText } from '$lib/messages/helping';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import PlaceReason from '$lib/ui/panels/PlaceReason.svelte';
	import AskGuard from './AskGuard.svelte';
	import HelpMost from './HelpMost.svelte';
	import SchoolChoice from './SchoolChoice.svelte';
	import WhereKindsBelong from './WhereKindsBelong.svelte';
	import WholeWeek from './WholeWeek.svelte';
	import WishList from './WishList.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
	const home = $derived(desk.home);
	const looked = $derived(desk.looked);
	/** All of it is shown at once: nothing moves away from under a finger when the figures come. */
	const isKnown = $derived(!desk.plan || (!!desk.week && !!desk.objections));
</script>

{#if looked && desk.model && desk.layout}
	<PlaceReason
		{home}
		model={desk.model}
		layout={desk.layout}
		groupId={looked.groupId}
		nookId={looked.nookId}
		broken={desk.week?.broken ?? []}
		onhold={() => desk.pick(looked.groupId, looked.nookId)}
		onpin={() => desk.wish('pin')}
		onban={() => desk.wish('ban')}
	/>
	{#if desk.alsoHere.length}
		<h3 class="mt-3 mb-1">Also here</h3>
		<div class="flex flex-wrap gap-2">
			{#each desk.alsoHere as group (group.id)}<button
					class="min-h-11 cursor-pointer"
					onclick={() => desk.look(group.id, looked.nookId)}><TagChip {group} /></button
				>{/each}
		</div>
	{/if}
	<hr class="my-4" />
{/if}
{#if isKnown}<AskGuard {desk} />{/if}
{#if desk.plan && desk.week && isKnown}
	<WholeWeek
		{home}
		plan={desk.plan}
		stale={desk.stale}
		before={desk.week.before}
		after={desk.week.after}
		free={desk.week.free}
		effort={desk.week.effort}
		brokenNow={desk.week.brokenNow}
		broken={desk.week.broken.length > 0}
	/>
	{#if desk.objections}<section
			aria-label="Review"
			aria-busy={!desk.isReviewed}
			class="rule-top mt-3 pt-2"
		>
			<h3>
				{desk.objections.length
					? `${countText(desk.objections.length, 'thing')} an organizer would question`
					: 'Nothing an organizer would question'}
			</h3>
			<ul>
				{#each desk.objections as objection, i (i)}
					<li class="rule-top py-1">
						<b class:text-error={objection.grade === 2}>{home.nooks[objection.nookId]?.name}</b>
						<p class="text-sm">{reviewText(objection, home)}</p>
					</li>
				{/each}
			</ul>
		</section>{/if}
	<WishList {home} plan={desk.plan} stale={desk.stale} />
	{#if desk.left.length && desk.model}
		<h3 class="mt-4 text-error">Without a place</h3>
		{#if desk.leftMl > 0}<p class="text-sm">
				{leftText(desk.leftMl)}
				<a class="link" href="/home/{home.id}/clear/capacity">See what is too much</a> or
				<a class="link" href="/home/{home.id}/walk/hidden">look for hidden storage</a>.
			</p>{/if}
		<ul>
			{#each desk.left as { group, why } (group.id)}
				<li class="rule-top py-2">
					<button class="min-h-11 cursor-pointer" onclick={() => desk.pick(group.id, null)}
						><TagChip {group} /></button
					>
					<p class="text-sm">{smallestChangeText(why.change, home)}</p>
					{#if why.lift}
						{@const lift = why.lift}
						<p class="text-sm">{liftText(lift, home)}</p>
						{#if lift.code !== 'unmeasured'}<button
								class="btn btn-sm my-1"
								onclick={() => desk.lift(lift)}>{liftAct(lift)}</button
							>{/if}
					{/if}
					{#if why.rules[0]}<p class="soft text-sm">
							{ruledOutText(why.rules[0], desk.model.places.length, home)}
						</p>{/if}
				</li>
			{/each}
		</ul>
	{/if}
	{#if desk.week.broken.length}
		<h3 class="mt-4 text-error">Broken rules</h3>
		<ul>
			{#each desk.week.broken as rule, i (i)}<li class="py-1">
					<b>{home.groups[rule.groupId]?.name}</b> in {home.nooks[rule.nookId]?.name}: {brokenText(
						rule,
						home.units
					)}
				</li>{/each}
		</ul>
	{/if}
{:else if desk.plan}
	<p class="soft" role="status">Working out the figures …</p>
{/if}
{#if isKnown}
	{#if desk.plan}<HelpMost {desk} />{/if}
	<SchoolChoice />
	<WhereKindsBelong />
{/if}
