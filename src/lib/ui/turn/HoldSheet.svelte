<script lang="ts">
	import { HOLD_RULES } from '$lib/core/model';
	import { packUsesOf } from '$lib/core/rotation';
	import { HOLD_NAMES, HOLD_UNITS } from '$lib/messages/turning';
	import { countText, tenthsText } from '$lib/messages/numbers';
	import type { HeldThing, StockDesk } from '$lib/state/stock-desk.svelte';
	import CorrectButton from '$lib/ui/frame/CorrectButton.svelte';

	interface Props {
		desk: StockDesk;
		held: HeldThing;
		/** How fast it goes, in words. */
		rate: string;
	}
	let { desk, held, rate }: Props = $props();
	const { thing, target } = $derived(held);
	const cold = $derived(desk.litres);
</script>

<h2>{thing.name}</h2>
<p class="mb-2">{rate}</p>
<label class="block"
	><span class="soft">How much to hold</span>
	<select
		class="select"
		value={thing.hold?.rule ?? ''}
		onchange={(event) =>
			desk.setRule((event.currentTarget.value || null) as (typeof HOLD_RULES)[number] | null)}
	>
		<option value="">Nothing in particular</option>
		{#each HOLD_RULES as rule (rule)}<option value={rule}>{HOLD_NAMES[rule]}</option>{/each}
	</select></label
>
{#if thing.hold}
	<label class="mt-2 block"
		><span class="soft">{HOLD_UNITS[thing.hold.rule]}</span>
		<input
			class="input measure"
			type="number"
			min="0"
			step={thing.hold.rule === 'par' || thing.hold.rule === 'weeks' ? '0.5' : '1'}
			value={thing.hold.amount}
			onchange={(event) => desk.setAmount(Number(event.currentTarget.value))}
		/></label
	>
{/if}
{#if target}
	<p class="mt-2">
		Hold <b class="measure">{target.packs}</b>, you have
		<span class="measure">{tenthsText(held.packs)}</span>.
		{#if target.ceiling !== null}The rule asks for {target.asked}, but only {target.ceiling}
			{target.ceiling === 1 ? 'is' : 'are'} used before a fresh pack spoils.{/if}
		{#if cold}Takes {tenthsText(cold.asked)} l{#if desk.room}, and {desk.room.place} has {tenthsText(
					desk.room.litres
				)} l for it{desk.room.litres < cold.asked ? ': too little' : ''}{/if}.{/if}
	</p>
{/if}
{#if desk.alike}
	<button class="btn mt-2" onclick={() => desk.ruleForGroup()}
		>The same rule for {countText(desk.alike, 'other thing')} of its group</button
	>
{/if}
<label class="mt-2 block"
	><span class="soft">Portions or uses in one pack</span>
	<input
		class="input measure"
		type="number"
		min="0"
		step="any"
		placeholder={String(packUsesOf({ ...thing, packUses: null }))}
		value={thing.packUses ?? ''}
		onchange={(event) =>
			desk.setPackUses(event.currentTarget.value ? Number(event.currentTarget.value) : null)}
	/></label
>
<div class="mt-3"><CorrectButton id={thing.id} name={thing.name} /></div>
