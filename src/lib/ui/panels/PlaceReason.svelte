<script lang="ts">
	import { countText, wholeText } from '$lib/messages/numbers';
	import Ban from '@lucide/svelte/icons/ban';
	import Hand from '@lucide/svelte/icons/hand';
	import Pin from '@lucide/svelte/icons/pin';
	import type { Home } from '$lib/core/model';
	import {
		brokenAt,
		explainParts,
		partsAt,
		placesOfLots,
		whyAstray,
		type BrokenRule,
		type ZoneModel
	} from '$lib/core/zoning';
	import { type Layout } from '$lib/core/solvers/assignment';
	import { BAND_WORDS } from '$lib/messages/survey';
	import { notesText } from '$lib/messages/notes';
	import { brokenText, ruledOutText, softText, tellingRules } from '$lib/messages/rules';
	import TagChip from '../drawing/TagChip.svelte';

	interface Props {
		home: Home;
		model: ZoneModel;
		layout: Layout;
		groupId: string;
		nookId: string;
		/** The hard rules that the plan breaks, here or elsewhere. */
		broken: readonly BrokenRule[];
		onhold: () => void;
		onpin: () => void;
		onban: () => void;
	}
	let { home, model, layout, groupId, nookId, broken, onhold, onpin, onban }: Props = $props();
	const reason = $derived(explainParts(model, layout, partsAt(model, layout, groupId, nookId)));
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const group = $derived(home.groups[groupId]!);
	const has = (kind: 'pin' | 'ban') =>
		home.pins.some((pin) => pin.kind === kind && pin.groupId === groupId && pin.nookId === nookId);
	const nookName = (id: string) => home.nooks[id]?.name ?? '';
	/** Why its kinds would stand better elsewhere; empty: they stand well here. */
	const stray = $derived.by(() => {
		const [g = -1] = partsAt(model, layout, groupId, nookId);
		const figures = model.parts[g]?.figures;
		const place = model.places.find(({ nook }) => nook.id === nookId);
		return figures && place ? whyAstray(home, figures, place) : '';
	});
	/** What is wrong with it standing here: on its own account, or with what else is here. */
	const wrong = $derived(brokenAt(broken, groupId, nookId));
	const ruledOut = $derived(reason ? tellingRules(reason.ruledOut) : []);
</script>

<div class="mb-2 flex min-h-11 items-center"><TagChip {group} /></div>
{#if wrong.length}
	<p><b>{nookName(nookId)}</b></p>
	<ul class="mb-2 text-error">
		{#each wrong as rule (`${rule.code}/${rule.groupId}`)}<li>
				{brokenText(rule, home.units)}
			</li>{/each}
	</ul>
{/if}
{#if reason}
	<p class="mb-2">
		<b>{nookName(nookId)}</b>: {countText(Math.round(reason.tripsPerWeek), 'walk')} a week, {wholeText(
			reason.metresPerWeek
		)} m, reach {BAND_WORDS[reason.band]}.
	</p>
	{#if reason.share < 0.999}
		<p class="mb-2">
			{Math.round(reason.share * 100)} % of the group: {notesText(
				placesOfLots(home, groupId, plan?.assignments ?? []),
				nookId,
				6
			)}.
		</p>
	{/if}
	<dl class="cost">
		<dt>walking</dt>
		<dd>{wholeText(reason.parts.walk)}</dd>
		<dt>reaching</dt>
		<dd>{wholeText(reason.parts.reach)}</dd>
		{#each reason.parts.soft as { code, effort } (code)}<dt>
				{code === 'out-of-place' && stray ? stray : softText(code)}
			</dt>
			<dd>{wholeText(effort)}</dd>{/each}
		{#if reason.parts.habit}<dt>moved from where it is now</dt>
			<dd>{wholeText(reason.parts.habit)}</dd>{/if}
		{#if Math.abs(reason.parts.partners) > 0.5}<dt>way to what it is used with</dt>
			<dd>{wholeText(reason.parts.partners)}</dd>{/if}
		{#if reason.parts.mixing > 0.5}<dt>other kinds of things stand here too</dt>
			<dd>{wholeText(reason.parts.mixing)}</dd>{/if}
		<dt class="sum">effort a week, in metres</dt>
		<dd class="sum">{wholeText(reason.cost)}</dd>
	</dl>
	{#if reason.pushedOutOf}
		<p class="mb-2">
			<b>{nookName(reason.pushedOutOf.nookId)}</b> would save {wholeText(
				-reason.pushedOutOf.extra
			)}, but {reason.pushedOutOf.heldBy.length
				? `${reason.pushedOutOf.heldBy.map((id) => home.groups[id]?.name).join(', ')} ${reason.pushedOutOf.heldBy.length > 1 ? 'hold' : 'holds'} that place.`
				: 'it is too small.'}
		</p>
	{:else}
		<p class="mb-2">There is no better place for it, taken or free.</p>
	{/if}
	{#if reason.next.length}
		<p class="soft">
			Next best with room: {reason.next
				.map(
					(next) =>
						`${nookName(next.nookId)} (${next.extra >= 0 ? '+' : '−'}${wholeText(Math.abs(next.extra))})`
				)
				.join(', ')}.
		</p>
	{/if}
	{#if ruledOut.length}
		<ul class="soft">
			{#each ruledOut as rule (rule.code)}
				<li>{ruledOutText(rule, model.places.length, home)}</li>
			{/each}
		</ul>
	{/if}
{:else}
	<p class="mb-2">
		{wrong.length
			? 'It was put here by hand. What breaks a rule has no effort to compare: move it, or solve again.'
			: `You put it in ${nookName(nookId)} by hand, or the plan is out of date. Solve again to see the reasons.`}
	</p>
{/if}
<div class="mt-3 flex flex-wrap gap-2">
	<button class="btn" onclick={onhold}><Hand size={18} />Move it</button>
	<button class="btn" aria-pressed={has('pin')} class:btn-primary={has('pin')} onclick={onpin}
		><Pin size={18} />{has('pin') ? 'Unpin' : 'Pin here'}</button
	>
	<button class="btn" aria-pressed={has('ban')} class:btn-primary={has('ban')} onclick={onban}
		><Ban size={18} />{has('ban') ? 'Allow here' : 'Never here'}</button
	>
</div>

<style>
	.cost {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0 0.75rem;
		margin-bottom: 0.6rem;
	}
	.cost dd {
		font-family: var(--font-mono);
		text-align: right;
	}
	.cost .sum {
		border-top: 1px solid var(--color-base-content);
		font-weight: 700;
	}
</style>
