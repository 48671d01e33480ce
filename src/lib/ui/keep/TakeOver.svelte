<script lang="ts">
	import { TAKE_OVER_WORDS } from '$lib/messages/keeping';
	import type { TakeOverDesk } from '$lib/state/take-over-desk.svelte';

	let { desk }: { desk: TakeOverDesk } = $props();
	$effect(() => void desk.look());
</script>

{#if desk.homes.length}
	<section class="rule-top mt-6 max-w-5xl pt-4" aria-label="From another home">
		<h2>From another home</h2>
		<p class="soft mb-2">
			What you set up once need not be set up again. Nothing here is taken away, and one undo takes
			it back.
		</p>
		<select
			class="select"
			aria-label="Home to take over from"
			value={desk.fromId}
			onchange={(event) => void desk.choose(event.currentTarget.value)}
		>
			<option value="">choose a home</option>
			{#each desk.homes as { id, head } (id)}<option value={id}
					>{head?.name || 'A home without a name'}</option
				>{/each}
		</select>
		{#if desk.wrong}<p role="alert" class="text-error mt-2">{desk.wrong}</p>{/if}
		{#if desk.parts.length}
			<ul class="my-2">
				{#each desk.parts as { part, count, on } (part)}
					<li>
						<label class="flex min-h-11 items-center gap-2"
							><input
								type="checkbox"
								class="checkbox"
								checked={on}
								onchange={(event) => desk.setPart(part, event.currentTarget.checked)}
							/><span class="flex flex-wrap gap-x-2"
								>{TAKE_OVER_WORDS[part].name}{part === 'ways' ? '' : ` (${count})`}
								<span class="soft text-sm">{TAKE_OVER_WORDS[part].what}</span></span
							></label
						>
					</li>
				{/each}
			</ul>
			<button class="btn btn-primary" disabled={!desk.mayTake} onclick={() => desk.take()}
				>Take over</button
			>
		{/if}
	</section>
{/if}
