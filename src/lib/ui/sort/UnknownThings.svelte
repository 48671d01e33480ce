<script lang="ts">
	import { kindChoices } from '$lib/core/kinds';
	import { unknownThings } from '$lib/core/grouping';
	import { categoryOf, lotsOf, type Thing } from '$lib/core/model';
	import { getHomeStore } from '$lib/state/context';
	import KindSelect from '$lib/ui/entry/KindSelect.svelte';
	import CorrectButton from '$lib/ui/frame/CorrectButton.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const unknown = $derived(unknownThings(store.home));
	const tell = (thing: Thing, code: string) =>
		store.run(`${thing.name} is ${categoryOf(code).name}`, 'tellKind', thing.id, code);
	const placeOf = (thing: Thing) => {
		const nookId = lotsOf(store.home, thing.id)[0]?.nookId;
		return nookId ? store.home.nooks[nookId]?.name : 'on the table';
	};
</script>

{#if unknown.length}
	<section aria-label="What is this?" id="unknown">
		<h2>What is this?</h2>
		<p class="soft mb-1">
			{unknown.length === 1 ? 'One thing is' : `${unknown.length} things are`} of no known kind. Until
			you say it, they are kept from food and out of children’s reach.
		</p>
		<ul>
			{#each unknown as thing (thing.id)}
				{@const likely = kindChoices(thing.name)}
				<li>
					<span class="min-w-0"
						><b>{thing.name}</b><span class="soft block text-sm">{placeOf(thing)}</span></span
					>
					<span class="picks">
						{#each likely as code (code)}
							<button class="btn" onclick={() => tell(thing, code)}>{categoryOf(code).name}</button>
						{/each}
						<KindSelect
							value={null}
							label="Kind of {thing.name}"
							onchange={(code) => tell(thing, code)}
						/>
						<CorrectButton id={thing.id} name={thing.name} short />
					</span>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<style>
	section {
		margin-bottom: 1rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.4rem 0.8rem;
		background: var(--color-base-200);
	}
	li {
		display: grid;
		grid-template-columns: minmax(8rem, 1fr) minmax(0, 2.4fr);
		align-items: center;
		gap: 0.3rem 0.8rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.35rem 0;
	}
	.picks {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem;
	}
	.picks :global(select) {
		width: auto;
		max-width: 14rem;
	}
	@media (max-width: 640px) {
		li {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
