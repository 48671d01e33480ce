<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { formatLength } from '$lib/core/model';
	import type { FirstStepsDesk } from '$lib/state/first-steps-desk.svelte';

	let { desk }: { desk: FirstStepsDesk } = $props();
	const PETS = ['cat', 'dog'];
</script>

<div class="first">
	<section aria-labelledby="first-who">
		<h2 id="first-who">Who lives there?</h2>
		<p class="soft mb-2">
			Nothing they use will stand out of their reach, and nothing that harms them within it.
		</p>
		<div class="flex flex-wrap gap-2">
			{#each desk.usualPeople as { key, name } (key)}
				<button class="btn" onclick={() => desk.addPerson(key)}
					><Plus size={16} aria-hidden="true" />{name}</button
				>
			{/each}
			{#each PETS as kind (kind)}
				<button class="btn" onclick={() => desk.addPet(kind)}
					><Plus size={16} aria-hidden="true" />{kind === 'cat' ? 'Cat' : 'Dog'}</button
				>
			{/each}
		</div>
		{#if desk.people.length + desk.pets.length}
			<ul class="mt-2" aria-label="Who lives there">
				{#each desk.people as person (person.id)}
					<li
						class="rule-top grid grid-cols-[1fr_auto] items-center gap-x-3 sm:grid-cols-[1fr_auto_auto]"
					>
						<input
							class="input min-w-0"
							aria-label="Name of {person.name}"
							value={person.name}
							maxlength="80"
							onchange={(event) => {
								desk.rename(person.id, event.currentTarget.value);
								event.currentTarget.value = desk.home.people[person.id]?.name ?? '';
							}}
						/>
						<span class="soft order-last col-span-2 pl-3 text-sm sm:order-none sm:col-span-1"
							>{person.limits.seated
								? 'sits'
								: `about ${formatLength(person.statureMm, desk.home.units)}`}{person.limits.noClimb
								? ', climbs on nothing'
								: ''}</span
						>
						<button
							class="btn btn-ghost btn-square"
							aria-label="Take {person.name} away"
							onclick={() => desk.remove(person.id)}><X size={18} /></button
						>
					</li>
				{/each}
				{#each desk.pets as pet (pet.id)}
					<li class="rule-top flex items-center gap-3">
						<span class="flex-1 pl-3">{pet.name}</span>
						<button
							class="btn btn-ghost btn-square"
							aria-label="Take {pet.name} away"
							onclick={() => desk.remove(pet.id)}><X size={18} /></button
						>
					</li>
				{/each}
			</ul>
			<p class="soft text-sm">
				Heights, strength, diets and allergies go on
				<a class="link" href="/home/{desk.home.id}/walk/people">their own page</a>.
			</p>
		{/if}
	</section>
	<section aria-labelledby="first-where">
		<h2 id="first-where">Where is it?</h2>
		<p class="soft mb-2">Sets units, money, paper and how dates are written; all can be changed.</p>
		<select
			class="select"
			aria-labelledby="first-where"
			value={desk.region}
			onchange={(event) => desk.settle(event.currentTarget.value)}
		>
			<option value="">Not said</option>
			{#each desk.regions as { code, name } (code)}<option value={code}>{name}</option>{/each}
		</select>
	</section>
	<section aria-labelledby="first-room">
		<h2 id="first-room">Which room first?</h2>
		<p class="soft mb-2">
			Usual cabinets at usual sizes, to be measured and put right in Walk. Or
			<a class="link" href="/home/{desk.home.id}/walk">draw your own</a>.
		</p>
		<ul>
			{#each desk.templates as { key, name, what } (key)}
				{@const title = key === 'cabinet' ? 'One cabinet' : name}
				<li class="rule-top flex items-center gap-3 py-2">
					<span class="min-w-0 grow"
						><b>{title}</b>
						<span class="soft block text-sm">{what}</span></span
					>
					<button
						class="btn"
						aria-label="Begin with: {title.toLowerCase()}"
						onclick={() => desk.addRoom(key)}>Add it</button
					>
				</li>
			{/each}
		</ul>
	</section>
</div>

<style>
	.first {
		display: grid;
		gap: 1.5rem;
		max-width: 44rem;
	}
</style>
