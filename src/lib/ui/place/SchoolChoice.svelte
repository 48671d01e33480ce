<script lang="ts">
	import { getHomeStore } from '$lib/state/context';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	function school<K extends keyof typeof home.schools>(key: K, value: (typeof home.schools)[K]) {
		store.run(`school: ${String(value)}`, 'chooseSchools', { [key]: value });
	}
</script>

<h3 class="mt-4 mb-1">What you prefer</h3>
<div class="flex flex-col gap-2">
	<label
		>Everyday dishes near <select
			class="select"
			value={home.schools.near}
			onchange={(e) => school('near', e.currentTarget.value as 'use')}
			><option value="use">where they are used</option><option value="dishwasher"
				>the dishwasher</option
			></select
		></label
	>
	<label
		>Change <select
			class="select"
			value={home.schools.change}
			onchange={(e) => school('change', e.currentTarget.value as 'little')}
			><option value="little">as little as possible: a quarter at most</option><option value="some"
				>what pays back within a month</option
			><option value="scratch">everything, if it is better</option></select
		></label
	>
	<label
		>Room to grow <select
			class="select"
			value={home.schools.room}
			onchange={(e) => school('room', e.currentTarget.value as 'slack')}
			><option value="slack"
				>{Math.round(home.settings.slackShare * 100)} % of each place, one kept empty</option
			><option value="every-inch">none, every inch used</option></select
		></label
	>
	<label
		>Cabinet tops <select
			class="select"
			value={home.schools.tops ? 'yes' : 'no'}
			onchange={(e) => school('tops', e.currentTarget.value === 'yes')}
			><option value="no">not used</option><option value="yes">used</option></select
		></label
	>
</div>
