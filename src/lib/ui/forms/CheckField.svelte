<script lang="ts">
	interface Props {
		label: string;
		checked: boolean;
		onchange: (on: boolean) => void;
	}
	let { label, checked, onchange }: Props = $props();
</script>

<label class="flex min-h-11 items-center gap-2"
	><input
		type="checkbox"
		class="checkbox"
		{checked}
		onchange={(event) => onchange(event.currentTarget.checked)}
	/>{label}</label
>
