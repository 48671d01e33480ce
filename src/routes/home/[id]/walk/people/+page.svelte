<script lang="ts">
	import Bench from '$lib/ui/frame/Bench.svelte';
	import HouseholdPanel from '$lib/ui/panels/HouseholdPanel.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';
	import ReachFigures from '$lib/ui/walk/ReachFigures.svelte';
</script>

<Bench panel={reach} panelLabel="What each can reach">
	<WalkHead />
	<HouseholdPanel />
</Bench>
{#snippet reach()}<ReachFigures />{/snippet}
