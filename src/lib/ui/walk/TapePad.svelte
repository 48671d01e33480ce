<script lang="ts">
	import ArrowLeft from '@lucide/svelte/icons/arrow-left';
	import ArrowRight from '@lucide/svelte/icons/arrow-right';
	import Delete from '@lucide/svelte/icons/delete';
	import Radio from '@lucide/svelte/icons/radio';
	import Ruler from '@lucide/svelte/icons/ruler';
	import { formatLength } from '$lib/core/model';
	import { READINGS } from '$lib/core/survey';
	import { READING_SPOTS } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import type { Tape } from '$lib/state/tape.svelte';

	let { tape }: { tape: Tape } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const step = $derived(tape.step);
	const inches = $derived(home.units === 'in');
	const keys = $derived([...'789456123'.split(''), inches ? '/' : '.', '0', inches ? ' ' : ' x ']);
	const KEY_WORDS: Record<string, string> = {
		' ': 'space',
		'.': 'point',
		'/': 'over',
		' x ': 'by, then the next side'
	};
	let field = $state<HTMLInputElement>();
	$effect(() => {
		// Typing goes on by itself with the next number; on glass the keys below are used.
		if (step && matchMedia('(pointer: fine)').matches) field?.focus();
	});
</script>

{#if step}
	{@const spot = READING_SPOTS[step.side][Math.min(step.taken.length, READINGS - 1)]}
	<div class="mb-2 flex items-baseline justify-between gap-2">
		<h2>Inside {step.word}, {spot}</h2>
		<span class="soft measure whitespace-nowrap">{tape.position.at} of {tape.position.of}</span>
	</div>
	<p class="mb-2">{step.place.nook.name}</p>
	<form
		class="line"
		onsubmit={(event) => {
			event.preventDefault();
			tape.take();
		}}
	>
		<input
			bind:this={field}
			bind:value={tape.typed}
			class="input measure number"
			inputmode="none"
			autocomplete="off"
			aria-label="Inside {step.word} of {step.place.nook.name}, {spot}"
			aria-invalid={tape.wrong ? 'true' : undefined}
			placeholder={home.units}
			onkeydown={(event) => {
				if (event.key === 'PageDown') tape.next();
				if (event.key === 'PageUp') tape.back();
				if (event.key === 'Backspace' && !tape.typed) tape.erase();
			}}
		/>
		<button class="btn btn-primary">{tape.typed || !step.taken.length ? 'Take' : 'Next'}</button>
	</form>
	<p class="taken" aria-live="polite">
		{#each step.taken as mm, i (i)}<span class="measure chip">{formatLength(mm, home.units)}</span
			>{/each}
		<span class="soft"
			>{step.taken.length
				? `${READINGS - step.taken.length} more, or Next`
				: 'three places, or all at once: 564 × 512 × 276'}</span
		>
	</p>
	{#if tape.alike}
		<button class="btn mb-2 w-full" onclick={() => tape.takeForAlike()}
			>All {tape.alike + 1} in that cabinet the same</button
		>
	{/if}
	{#if tape.wrong}<p role="alert" class="mb-2 text-sm" style="color:var(--color-error)">
			{tape.wrong}
		</p>{/if}
	<div class="mb-2 flex justify-between gap-2">
		<button class="btn btn-ghost" onclick={() => tape.back()} disabled={tape.position.at === 1}
			><ArrowLeft size={18} />Before</button
		>
		<button class="btn btn-ghost" onclick={() => tape.end()}>Stop here</button>
		<button class="btn btn-ghost" onclick={() => tape.next()}>Skip<ArrowRight size={18} /></button>
	</div>
	<div class="pad" role="group" aria-label="Number keys">
		{#each keys as key (key)}
			<button class="key measure" aria-label={KEY_WORDS[key] ?? key} onclick={() => tape.press(key)}
				>{key === ' ' ? '␣' : key === ' x ' ? '×' : key}</button
			>
		{/each}
		{#if inches}<button
				class="key measure"
				aria-label="by, then the next side"
				onclick={() => tape.press(' x ')}>×</button
			>{/if}
		<button class="key back" aria-label="Erase" onclick={() => tape.erase()}
			><Delete size={22} /></button
		>
		<button class="key laser" onclick={() => tape.measure()} disabled={tape.isWaiting}
			><Ruler size={20} />{tape.isWaiting ? 'Measuring …' : 'Laser'}</button
		>
		<button
			class="key"
			class:on={tape.isListening}
			aria-pressed={tape.isListening}
			onclick={() => (tape.isListening ? tape.quiet() : tape.listen())}
			><Radio size={20} />{tape.isListening ? 'Stop' : 'Listen'}</button
		>
	</div>
{:else if tape.isDone}
	<h2 class="mb-2">That was the last one</h2>
	<p class="mb-3">Anything skipped stays on the list.</p>
	<button class="btn btn-primary" onclick={() => tape.end()}>Back to the list</button>
{/if}

<style>
	.line {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 0.5rem;
	}
	.number {
		min-height: 56px;
		font-size: 1.7rem;
	}
	.taken {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		min-height: 36px;
	}
	.chip {
		padding: 0 0.5rem;
		border: 1px solid var(--color-success);
		color: var(--color-success);
	}
	.pad {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 0.4rem;
	}
	.key {
		display: inline-flex;
		align-items: center;
		justify-content: center;
		gap: 0.4rem;
		min-height: 52px;
		border: 1px solid var(--ink-soft);
		border-radius: 0.2rem;
		background: var(--color-base-100);
		font-size: 1.35rem;
		cursor: pointer;
	}
	.key.back,
	.key.laser,
	.pad .key:last-child {
		font-size: 1rem;
	}
	.key:active {
		background: var(--color-base-300);
	}
	.key.on {
		border-color: var(--color-primary);
		color: var(--color-primary);
	}
	@media (max-width: 1023px) {
		.key {
			min-height: 46px;
		}
	}
</style>
