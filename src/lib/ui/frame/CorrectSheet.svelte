<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { DATE_KINDS } from '$lib/core/clearing';
	import { categoryOf, formatMass, LOT_STATES, type Lot, type LotState } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { DATE_KIND_WORDS, STATE_NAMES } from '$lib/messages/intake';
	import { getCorrecting } from '$lib/state/context';
	import Sheet from './Sheet.svelte';
	import KindSelect from '../entry/KindSelect.svelte';
	import CheckField from '../forms/CheckField.svelte';
	import MassField from '../forms/MassField.svelte';
	import ThingFields from '../sort/ThingFields.svelte';

	const getDesk = getCorrecting();
	const desk = $derived(getDesk());
	/** States that most things can be in stand first; the rest are behind a fold. */
	const COMMON: readonly LotState[] = [
		'open',
		'frozen',
		'part-used',
		'dented',
		'rusty',
		'bulging',
		'leaking',
		'pest',
		'mouldy',
		'freezer-burn',
		'chipped',
		'worn',
		'no-lid',
		'no-part',
		'broken'
	];
	const RARE = LOT_STATES.filter((state) => !COMMON.includes(state));
	const unit = $derived(desk.home.units);
</script>

{#snippet boxes(states: readonly LotState[], lot: Lot)}
	{#each states as state (state)}
		<CheckField
			label={STATE_NAMES[state]}
			checked={lot.states.includes(state)}
			onchange={(on) => desk.setState(state, on)}
		/>
	{/each}
{/snippet}

{#if desk.thing}
	{@const { thing, lot } = desk}
	<Sheet label="Put {thing.name} right" title={thing.name} onclose={() => desk.close()}>
		{#if desk.wrong}<p class="wrong" role="alert">{desk.wrong}</p>{/if}
		<div class="pair">
			<label
				><span class="soft">Name</span>
				<input
					class="input"
					value={desk.naming ?? thing.name}
					maxlength="200"
					onchange={(event) => desk.rename(event.currentTarget.value)}
				/></label
			>
			<label
				><span class="soft">Kind</span>
				<KindSelect
					value={desk.isUnknown ? null : thing.category}
					label="Kind"
					likely={desk.isUnknown ? desk.likely : []}
					onchange={(code) => desk.setKind(code)}
				/></label
			>
		</div>
		{#if desk.naming}
			{@const name = desk.naming}
			<p class="note" role="status">
				<span>There are {desk.lots.length} lots of {thing.name}.</span>
				<button class="btn btn-primary" onclick={() => desk.renameAll(name)}>Rename all</button>
				<button class="btn" onclick={() => desk.renameThis(name)}>Only this one</button>
			</p>
		{/if}
		{#if desk.isUnknown}
			<p class="note">
				Until you say what it is, it is kept from food and out of a child’s reach.
				{#each desk.likely as code (code)}
					<button class="btn" onclick={() => desk.setKind(code)}>{categoryOf(code).name}</button>
				{/each}
			</p>
		{/if}
		{#if lot}
			<div class="pair">
				<label
					><span class="soft">How many</span>
					<input
						class="input measure"
						type="number"
						step="any"
						min="0"
						value={lot.count}
						onchange={(event) => desk.setCount(Number(event.currentTarget.value))}
					/></label
				>
				<label
					><span class="soft">Place</span>
					<select
						class="select"
						value={lot.nookId ?? ''}
						onchange={(event) => desk.setPlace(event.currentTarget.value)}
					>
						<option value="">On the table</option>
						{#each desk.places as { nook } (nook.id)}<option value={nook.id}>{nook.name}</option
							>{/each}
					</select></label
				>
			</div>
			<fieldset>
				<legend class="soft">Dates: 31/03/27, mar 27, yesterday, 4 weeks ago</legend>
				<div class="dates">
					{#each DATE_KINDS as kind (kind)}
						{@const on = desk.dateOf(kind)}
						<label
							><span class="text-sm">{DATE_KIND_WORDS[kind]}</span>
							<input
								class="input measure"
								placeholder="none"
								aria-label="Date: {DATE_KIND_WORDS[kind]}"
								value={on ? dateText(on) : ''}
								onchange={(event) => desk.setDate(kind, event.currentTarget.value)}
							/></label
						>
					{/each}
				</div>
			</fieldset>
			<fieldset>
				<legend class="soft">State</legend>
				<div class="states">
					{@render boxes(COMMON, lot)}
				</div>
				<details>
					<summary>Other states</summary>
					<div class="states">
						{@render boxes(RARE, lot)}
					</div>
				</details>
			</fieldset>
		{/if}
		<div class="pair">
			<label
				><span class="soft">Size of one, {unit}: width x depth x height</span>
				<input
					class="input measure"
					value={desk.sizeText}
					onchange={(event) => desk.setSize(event.currentTarget.value)}
				/></label
			>
			<MassField
				label="Mass of one"
				valueG={thing.massG}
				placeholder={formatMass(thing.massG)}
				onchange={(g) => g !== null && desk.setMass(g)}
			/>
		</div>
		{#if lot}
			<label
				><span class="soft">Whose it is, if not the household’s</span>
				<input
					class="input"
					value={lot.owner}
					maxlength="200"
					placeholder="the household’s"
					onchange={(event) => desk.setOwner(event.currentTarget.value)}
				/></label
			>
		{/if}
		<ThingFields {thing} isOnSheet />
		{#if lot}
			<button class="btn self-start" onclick={() => desk.remove()}
				><Trash2 size={18} />It was never here</button
			>
		{/if}
	</Sheet>
{/if}

<style>
	.pair {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(14rem, 100%), 1fr));
		align-items: end;
		gap: 0.6rem;
	}
	.dates {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8.5rem, 1fr));
		gap: 0.4rem 0.6rem;
	}
	.states {
		display: flex;
		flex-wrap: wrap;
		gap: 0 0.9rem;
	}
	summary {
		min-height: 44px;
		align-content: center;
		cursor: pointer;
	}
	.note {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.4rem 0.7rem;
		background: var(--color-base-200);
	}
	.wrong {
		color: var(--color-error);
	}
</style>
