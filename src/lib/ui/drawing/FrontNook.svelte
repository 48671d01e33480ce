<script lang="ts" module>
	import type { Group } from '$lib/core/model';
	import type { PriceNote } from '$lib/messages/notes';
	import type { Heat } from '$lib/state/place-desk.svelte';

	export interface NookNote {
		readonly group: Group;
		/** Dashed: only part of the group, or not yet carried out. */
		readonly part?: boolean;
		readonly pinned?: boolean;
	}
	/** What of a nook shows beside its box. */
	export interface NookMarks {
		readonly notes: readonly NookNote[];
		readonly price: PriceNote | undefined;
		readonly heat: Heat | undefined;
		readonly caption: string;
		readonly isFlagged: boolean;
		readonly isSelected: boolean;
		/** The group of this nook that is in hand; null: none. */
		readonly heldGroupId: string | null;
		/** Shapes alone, without words. */
		readonly isBare: boolean;
	}
</script>

<script lang="ts">
	import { fits, LINE, nookWords, wrapWords, type NookBox } from './front-geometry';
	import NoteTag from './NoteTag.svelte';
	import { layTags } from './tag-layout';

	interface Props extends NookMarks {
		box: NookBox;
		/** Turns px on the screen into mm on the drawing. */
		font: (px: number) => number;
		onselect: (() => void) | undefined;
		onkey: (event: KeyboardEvent) => void;
		onnote: ((groupId: string) => void) | undefined;
	}
	let {
		box,
		notes,
		price,
		heat,
		caption,
		isFlagged,
		isSelected,
		heldGroupId,
		isBare,
		font,
		onselect,
		onkey,
		onnote
	}: Props = $props();
	const nook = $derived(box.nook);
	const short = $derived(box.h < font(34));
	const lay = $derived(layTags(box, notes.length, font(1)));
	const label = $derived.by(() => {
		if (price) return `${nook.name}: ${price.text}`;
		if (heat) return `${nook.name}: ${heat.why}`;
		const inIt = notes.map(({ group }) => group.name);
		return `${nook.name}, in ${box.cabinet.name}${inIt.length ? `: ${inIt.join(', ')}` : ''}`;
	});
	/** Figures run wider than words: measured as words of this size, px. */
	const MONO_PX = 16;
	const OPEN_KINDS = new Set(['door', 'top', 'worktop']);
	const tone = {
		good: 'var(--color-success)',
		fair: 'var(--color-warning)',
		bad: 'var(--color-error)'
	};
</script>

<g
	class="nook"
	class:selected={isSelected}
	role="button"
	tabindex="0"
	data-nook={nook.id}
	aria-label={label}
	aria-pressed={isSelected}
	onclick={onselect}
	onkeydown={onkey}
>
	<title>{price?.why ?? heat?.why ?? nook.name}</title>
	<rect
		x={box.x}
		y={box.y}
		width={box.w}
		height={box.h}
		class="d-shelf hit"
		class:d-dash={box.guessed || OPEN_KINDS.has(nook.kind)}
		style:fill={nook.kind === 'door' ? 'var(--color-base-200)' : undefined}
	/>
	{#if price}
		<rect
			x={box.x + 3}
			y={box.y + 3}
			width={box.w - 6}
			height={box.h - 6}
			fill={tone[price.tone]}
			opacity="0.16"
		/>
	{/if}
	{#if heat && !price}
		<rect
			x={box.x + 3}
			y={box.y + 3}
			width={Math.max(0, box.w - 6)}
			height={Math.max(0, box.h - 6)}
			fill="var(--color-primary)"
			opacity={0.08 + 0.4 * heat.share}
		/>
	{/if}
	{#each nook.obstructions as o (o.id)}
		<rect
			x={box.x + o.xMm}
			y={box.y + box.h - o.zMm - o.heightMm}
			width={o.widthMm}
			height={o.heightMm}
			fill="url(#hatch)"
			class="d-light"
			style="fill:url(#hatch)"
		/>
	{/each}
	{#if price}
		{@const px = price.tone === 'bad' ? 12 : 13}
		{@const lines = wrapWords(price.text, box.textW - font(6), box.h, font(px))}
		<!-- Where not even the words have room, a cross says no; the reason comes with a look nearer. -->
		{#each lines.length || price.tone !== 'bad' ? lines : ['✕'] as line, i (i)}
			<text
				class={price.tone === 'bad' ? 'd-text' : 'd-measure'}
				style:fill={tone[price.tone]}
				x={box.x + box.textW / 2}
				y={box.y +
					box.h / 2 +
					font(4.5) +
					font(px) * LINE * (i - (Math.max(1, lines.length) - 1) / 2)}
				font-size={font(px)}
				font-weight="700"
				text-anchor="middle">{line}</text
			>
		{/each}
	{:else if !isBare}
		{#if (!notes.length || lay.named) && !(heat && short)}
			<text
				class="d-text"
				x={box.x + font(5)}
				y={short && !notes.length ? box.y + box.h / 2 + font(4) : box.y + font(15)}
				font-size={font(12.5)}
				>{box.h > font(13) ? nookWords(box, box.textW - font(8), font(12.5)) : ''}</text
			>
		{/if}
		{#if caption && box.h > font(34) && fits(caption, box.textW - font(6), font(13.5))}
			<text class="d-measure" x={box.x + font(5)} y={box.y + font(30)} font-size={font(11.5)}
				>{caption}</text
			>
		{/if}
	{/if}
	{#if isFlagged}
		<g
			transform="translate({box.x + box.w - font(isBare ? 6 : 14)} {box.y + font(isBare ? 6 : 14)})"
			aria-hidden="true"
		>
			<circle r={font(isBare ? 4 : 9)} fill="var(--color-error)" />
			{#if !isBare}<text
					y={font(5)}
					font-size={font(14)}
					font-weight="700"
					text-anchor="middle"
					fill="var(--color-error-content)">!</text
				>{/if}
		</g>
	{/if}
</g>
{#if heat && !price && fits(heat.text, box.textW - font(10), font(MONO_PX))}
	<text
		class="d-measure heat"
		x={box.x + box.textW - font(5)}
		y={box.y + box.h - font(6)}
		font-size={font(12.5)}
		font-weight="700"
		text-anchor="end">{heat.text}</text
	>
{/if}
{#if notes.length && !price}
	{#each notes.slice(0, lay.shown) as { group, part, pinned }, i (group.id)}
		<NoteTag
			{group}
			{part}
			{pinned}
			nookId={nook.id}
			nookName={nook.name}
			held={heldGroupId === group.id}
			box={lay.at(i)}
			px={font(1)}
			onpick={() => onnote?.(group.id)}
		/>
	{/each}
	{#if lay.shown < notes.length}
		{@const last = lay.at(lay.shown)}
		<g aria-hidden="true" pointer-events="none">
			<title
				>{notes
					.slice(lay.shown)
					.map(({ group }) => group.name)
					.join(', ')}</title
			>
			<text
				class="d-text"
				x={last.x + last.w / 2}
				y={last.y + last.h / 2 + font(4.5)}
				font-size={font(13)}
				font-weight="700"
				text-anchor="middle">+{notes.length - lay.shown}</text
			>
		</g>
	{/if}
{/if}

<style>
	.nook {
		cursor: pointer;
	}
	.nook:hover .hit {
		fill: var(--ink-ghost);
	}
	.nook.selected .hit {
		fill: color-mix(in oklab, var(--color-primary) 14%, transparent);
		stroke: var(--color-primary);
		stroke-width: 3px;
	}
	.nook:focus-visible .hit {
		stroke: var(--color-primary);
		stroke-width: 4px;
	}
</style>
