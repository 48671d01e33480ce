<script lang="ts">
	import { command } from '$lib/core/commands';
	import type { PlanItem } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';

	interface Props {
		item: PlanItem;
		collection: 'rooms' | 'runs' | 'stations';
		value: string;
	}
	let { item, collection, value }: Props = $props();
	const getStore = getHomeStore();
	function rename(typed: string) {
		const words = typed.trim();
		if (!words) return;
		const change =
			collection === 'rooms'
				? command('changeRoom', item.id, { name: words })
				: command(collection === 'runs' ? 'nameRun' : 'nameStation', item.id, words);
		getStore().runAll(`name ${words}`, [change]);
	}
</script>

<label class="block text-sm font-semibold"
	>Name<input
		class="input font-normal"
		maxlength="200"
		{value}
		onchange={(event) => rename(event.currentTarget.value)}
	/></label
>
