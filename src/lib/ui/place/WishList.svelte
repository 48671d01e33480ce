<script lang="ts">
	import type { Home, ZonePlan } from '$lib/core/model';
	import { wishText } from '$lib/messages/zoning';
	import TagChip from '../drawing/TagChip.svelte';

	interface Props {
		home: Home;
		plan: ZonePlan;
		/** The plan was computed from something else: its prices are those of then. */
		stale: boolean;
	}
	let { home, plan, stale }: Props = $props();
	const wishes = $derived(
		[...new Set(home.pins.map(({ groupId }) => groupId))].flatMap((id) => {
			const group = home.groups[id];
			if (!group) return [];
			const places = (kind: 'pin' | 'ban') =>
				home.pins
					.filter((pin) => pin.groupId === id && pin.kind === kind)
					.map(({ nookId }) => home.nooks[nookId]?.name ?? 'a place that is gone');
			const price = plan.wishPrices.find(({ groupId }) => groupId === id) ?? null;
			return [{ group, pins: places('pin'), bans: places('ban'), price }];
		})
	);
</script>

{#if wishes.length}
	<h3 class="mt-4 mb-1">Your wishes, and what they cost</h3>
	<ul aria-label="Wishes">
		{#each wishes as { group, pins, bans, price } (group.id)}
			<li class="rule-top py-2">
				<TagChip {group} />
				<p class="text-sm">
					{#if pins.length}Pinned to {pins.join(' or ')}.
					{/if}{#if bans.length}Never in {bans.join(' nor ')}.{/if}
				</p>
				<p class="text-sm">{wishText(stale ? null : price)}</p>
			</li>
		{/each}
	</ul>
{/if}
