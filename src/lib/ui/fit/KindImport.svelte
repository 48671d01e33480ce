<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { KIND_FIELDS, outerOf, type KindField } from '$lib/core/fitting';
	import { formatLength } from '$lib/core/model';
	import { KIND_FIELD_WORDS, kindIssueText, ROLE_WORDS } from '$lib/messages/fitting';
	import { countText } from '$lib/messages/numbers';
	import type { KindsDesk } from '$lib/state/kinds-desk.svelte';

	let { desk }: { desk: KindsDesk } = $props();
	const units = $derived(desk.home.units);
	const wrong = $derived(desk.rows.length - desk.sound.length);
	/** More rows than this are taken in all the same; they need not all be read first. */
	const SHOWN = 60;
	/** Without these no row is a container; the others are looked at by whoever has them. */
	const FIRST: ReadonlySet<KindField> = new Set([
		'name',
		'width',
		'depth',
		'height',
		'price',
		'owned'
	]);
	const isFirst = (name: KindField) => FIRST.has(name);
</script>

{#if desk.coming}
	<section aria-label="What is in which column">
		<h2 class="mb-1">What is in which column?</h2>
		<div class="mb-2 grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-2">
			{#each KIND_FIELDS.filter(({ name }) => isFirst(name)) as { name } (name)}{@render field(
					name
				)}{/each}
		</div>
		<details class="mb-2">
			<summary class="min-h-11 cursor-pointer">Other columns</summary>
			<div class="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-2">
				{#each KIND_FIELDS.filter(({ name }) => !isFirst(name)) as { name } (name)}{@render field(
						name
					)}{/each}
			</div>
		</details>
	</section>
	<div class="mb-3 flex flex-wrap items-center gap-2">
		<button class="btn btn-primary" disabled={!desk.sound.length} onclick={() => desk.take()}
			><Check size={18} />Take in {countText(desk.sound.length, 'container kind')}</button
		>
		<button class="btn" onclick={() => desk.leaveOut()}>Cancel</button>
		<span role="status"
			>{#if wrong}{countText(wrong, 'row')} cannot be taken in and will be left out.{:else}Every row
				can be taken in.{/if} Nothing is written yet.</span
		>
	</div>
	<div class="overflow-x-auto">
		<table class="table">
			<caption class="sr-only">The rows as they would come in</caption>
			<thead><tr><th>Row</th><th>Name</th><th>Form</th><th>Outside</th><th>Have</th></tr></thead>
			<tbody>
				{#each desk.rows.slice(0, SHOWN) as { row, name, isKnown, kind, issues } (row)}
					<tr>
						<td class="measure">{row}</td>
						<td
							>{name}{#if isKnown && kind}<span class="soft block text-sm"
									>changes the one you have</span
								>{/if}</td
						>
						{#if kind}
							{@const outer = outerOf(kind)}
							<td>{ROLE_WORDS[kind.role]}</td>
							<td class="measure"
								>{formatLength(outer.widthMm, units)} × {formatLength(outer.depthMm, units)} × {formatLength(
									kind.heightMm,
									units
								)}</td
							>
							<td class="measure">{kind.owned}</td>
						{:else}
							<td colspan="3" class="text-error"
								>{issues.map((issue) => kindIssueText(issue, units)).join(' ')}</td
							>
						{/if}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if desk.rows.length > SHOWN}<p class="soft mt-1">
			And {desk.rows.length - SHOWN} more rows.
		</p>{/if}
{/if}

{#snippet field(name: KindField)}
	<label class="text-sm"
		>{KIND_FIELD_WORDS[name]}<select
			class="select w-full"
			value={desk.coming?.columns[name]}
			onchange={(event) => desk.match(name, Number(event.currentTarget.value))}
		>
			<option value={-1}>not in the table</option>
			{#each desk.coming?.table.head ?? [] as head, i (i)}<option value={i}
					>{head || `Column ${i + 1}`}</option
				>{/each}
		</select></label
	>
{/snippet}
