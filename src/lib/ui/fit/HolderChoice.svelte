<script lang="ts">
	import { CONTAINER_ROLES, type Group } from '$lib/core/model';
	import { holdersText, missingHolderText, ROLE_REASONS, ROLE_WORDS } from '$lib/messages/fitting';
	import type { HolderDesk } from '$lib/state/holder-desk.svelte';

	/** What holds each group of the place at hand: as usual for its kind of goods, or as the household says. */
	let { desk }: { desk: HolderDesk } = $props();
</script>

{#if desk.held.length}
	<details class="rule-top mt-3 pt-3">
		<summary class="min-h-11 cursor-pointer font-semibold">What holds it</summary>
		{#each desk.held as { group, usual, isMissing, nearest } (group.id)}
			<label class="block py-1">
				<span class="font-medium">{group.name}</span>
				<span class="soft block text-sm"
					>{holdersText(usual)}{group.holder && group.holder !== 'none'
						? ` You chose a ${ROLE_WORDS[group.holder]}: ${ROLE_REASONS[group.holder]}.`
						: ''}</span
				>
				{#if isMissing}<span class="text-error block text-sm"
						>{missingHolderText(desk.home, nearest)}</span
					>{/if}
				<select
					class="select w-full"
					aria-label="What holds {group.name}"
					value={group.holder ?? ''}
					onchange={(event) =>
						desk.setHolder(group, (event.currentTarget.value || null) as Group['holder'])}
				>
					<option value="">as usual</option>
					<option value="none">nothing: it stands free</option>
					{#each CONTAINER_ROLES as role (role)}<option value={role}>{ROLE_WORDS[role]}</option
						>{/each}
				</select>
			</label>
		{/each}
	</details>
{/if}
