<script lang="ts">
	import type { Group } from '$lib/core/model';
	import { inkOf } from './tag-style';

	interface Props {
		group: Pick<Group, 'name' | 'tag'>;
		/** Show the code alone. */
		short?: boolean;
	}
	let { group, short = false }: Props = $props();
</script>

<span class="tag" style:--ink={inkOf(group.tag.hue)}>
	<svg viewBox="0 0 12 24" aria-hidden="true"
		><rect width="12" height="24" fill="url(#tag-{group.tag.hue})" /></svg
	>
	<b class="measure">{group.tag.code}</b>
	{#if !short}<span class="name">{group.name}</span>{/if}
</span>

<style>
	.tag {
		display: inline-flex;
		align-items: center;
		gap: 0.4rem;
		max-width: 100%;
		padding: 0 0.6rem 0 0;
		background: #fffdf7;
		color: var(--tag-ink);
		border: 1.5px solid var(--ink);
		border-radius: 2px 9px 9px 2px;
		line-height: 1.5rem;
		overflow: hidden;
	}
	.tag svg {
		width: 12px;
		align-self: stretch;
		min-height: 24px;
		border-right: 1.5px solid var(--ink);
	}
	.name {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
</style>
