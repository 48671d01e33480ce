<script lang="ts">
	import type { Command } from '$lib/core/commands';
	import type { Point } from '$lib/core/model';
	import type { PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	interface Props {
		item: PlanItem;
		roomId: string;
		at: Point;
		/** The change that moves it there. */
		to: (at: Point) => Command;
	}
	let { item, roomId, at, to }: Props = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const outline = $derived(home.rooms[roomId]?.outline ?? [{ x: 0, y: 0 }]);
	const left = $derived(Math.min(...outline.map((p) => p.x)));
	const far = $derived(Math.min(...outline.map((p) => p.y)));
	const move = (point: Point) => getStore().runAll(`move ${planItemText(home, item)}`, [to(point)]);
</script>

<div class="grid grid-cols-2 gap-2">
	<LengthField
		label="From the left wall"
		units={home.units}
		valueMm={Math.max(0, at.x - left)}
		onchange={(mm) => move({ ...at, x: left + mm })}
	/>
	<LengthField
		label="From the far wall"
		units={home.units}
		valueMm={Math.max(0, at.y - far)}
		onchange={(mm) => move({ ...at, y: far + mm })}
	/>
</div>
