<script lang="ts">
	import type { Group } from '$lib/core/model';
	import { fitWords } from './front-geometry';
	import type { TagBox } from './tag-layout';
	import { inkOf } from './tag-style';

	interface Props {
		group: Group;
		nookId: string;
		nookName: string;
		/** Dashed: only part of the group stands here. */
		part: boolean | undefined;
		pinned: boolean | undefined;
		held: boolean;
		/** Place on the drawing, mm. */
		box: TagBox;
		/** mm a pixel of the screen. */
		px: number;
		onpick: () => void;
	}
	let { group, nookId, nookName, part, pinned, held, box, px, onpick }: Props = $props();
	const base = $derived(box.y + box.h / 2 + 4.5 * px);
	const nameAt = $derived((pinned ? 42 : 34) * px);
</script>

<g
	class="note"
	data-note="{group.id}/{nookId}"
	role="button"
	tabindex="0"
	aria-label="Tag {group.name} in {nookName}{pinned ? ', pinned' : ''}"
	aria-pressed={held}
	onclick={(event) => {
		event.stopPropagation();
		onpick();
	}}
	onkeydown={(event) => {
		if (event.key !== 'Enter' && event.key !== ' ') return;
		event.preventDefault();
		event.stopPropagation();
		onpick();
	}}
>
	<title>{group.name}</title>
	<rect
		x={box.x}
		y={box.y}
		width={box.w}
		height={box.h}
		rx={2 * px}
		fill="#fffdf7"
		stroke={inkOf(group.tag.hue)}
		stroke-width={held ? 3.5 : 1.5}
		vector-effect="non-scaling-stroke"
		stroke-dasharray={part ? '5 3' : undefined}
	/>
	<rect
		x={box.x + 1}
		y={box.y + 1}
		width={9 * px}
		height={Math.max(0, box.h - 2)}
		fill="url(#tag-mm-{group.tag.hue})"
	/>
	<text
		x={box.x + 13 * px}
		y={base}
		font-size={12.5 * px}
		fill="var(--tag-ink)"
		font-weight="700"
		font-family="var(--font-mono)">{group.tag.code}{pinned ? '•' : ''}</text
	>
	{#if box.w > 74 * px}
		<text x={box.x + nameAt} y={base} font-size={12.5 * px} fill="var(--tag-ink)"
			>{fitWords(group.name, box.w - nameAt - 4 * px, 12.5 * px)}</text
		>
	{/if}
</g>

<style>
	.note {
		cursor: pointer;
	}
	.note:focus-visible rect:first-of-type {
		stroke: var(--color-primary);
		stroke-width: 4px;
	}
</style>
