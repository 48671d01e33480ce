<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { AGE_BANDS } from '$lib/core/model';
	import { byAge, SEATED } from '$lib/core/survey';
	import { PET_KINDS } from '$lib/core/zoning';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import CheckField from '$lib/ui/forms/CheckField.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import MassField from '$lib/ui/forms/MassField.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	let name = $state('');
	let pet = $state('');
	const list = (text: string) =>
		text
			.split(',')
			.map((word) => word.trim().slice(0, 200))
			.filter(Boolean);
</script>

<section aria-label="People and pets">
	<h2 class="mb-1">People and pets</h2>
	<p class="soft mb-2">
		Places are judged by whoever finds them hardest to reach; small children and pets decide what
		must be locked or high up.
	</p>
	{#each Object.values(home.people) as person (person.id)}
		<details class="rule-top py-1">
			<summary class="min-h-11 cursor-pointer py-2"
				><b>{person.name}</b>, {person.ageBand}{person.limits.noClimb
					? ', may not climb'
					: ''}</summary
			>
			<label class="block text-sm font-semibold"
				>Name<input
					class="input font-normal"
					maxlength="80"
					value={person.name}
					onchange={(event) => {
						const typed = event.currentTarget.value.trim();
						if (typed && typed !== person.name)
							store.run(`name ${typed}`, 'changePerson', person.id, { name: typed });
						event.currentTarget.value = store.home.people[person.id]?.name ?? '';
					}}
				/></label
			>
			<div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
				<LengthField
					label="Height of {person.name}"
					units={home.units}
					valueMm={person.statureMm}
					onchange={(statureMm) =>
						store.run(`stature of ${person.name}`, 'changePerson', person.id, { statureMm })}
				/>
				<label class="text-sm font-semibold"
					>Age in years<input
						class="input measure font-normal"
						type="number"
						min="0"
						max="120"
						placeholder="gives stature and age group"
						onchange={(event) => {
							const text = event.currentTarget.value;
							if (text)
								store.run(`age of ${person.name}`, 'changePerson', person.id, byAge(Number(text)));
						}}
					/></label
				>
				<label class="text-sm font-semibold"
					>Age group<select
						class="select font-normal"
						value={person.ageBand}
						onchange={(event) =>
							store.run(`age of ${person.name}`, 'changePerson', person.id, {
								ageBand: event.currentTarget.value as (typeof AGE_BANDS)[number]
							})}
						>{#each AGE_BANDS as band (band)}<option>{band}</option>{/each}</select
					></label
				>
			</div>
			<CheckField
				label="May not climb"
				checked={person.limits.noClimb}
				onchange={(on) =>
					store.run(`climbing of ${person.name}`, 'changePerson', person.id, {
						limits: { noClimb: on }
					})}
			/>
			<CheckField
				label="Lifts nothing above the shoulder"
				checked={person.limits.noAboveShoulder}
				onchange={(on) =>
					store.run(`lifting of ${person.name}`, 'changePerson', person.id, {
						limits: { noAboveShoulder: on }
					})}
			/>
			<CheckField
				label="Sits (wheelchair or stool)"
				checked={person.limits.seated !== null}
				onchange={(on) =>
					store.run(`seat of ${person.name}`, 'changePerson', person.id, {
						limits: { seated: on ? { ...SEATED } : null }
					})}
			/>
			{#if person.limits.seated}
				{@const seated = person.limits.seated}
				<div class="grid grid-cols-2 gap-2">
					<LengthField
						label="Lowest reach of {person.name}"
						units={home.units}
						valueMm={seated.lowMm}
						onchange={(lowMm) =>
							store.run(`reach of ${person.name}`, 'changePerson', person.id, {
								limits: { seated: { ...seated, lowMm } }
							})}
					/>
					<LengthField
						label="Highest reach of {person.name}"
						units={home.units}
						valueMm={seated.highMm}
						onchange={(highMm) =>
							store.run(`reach of ${person.name}`, 'changePerson', person.id, {
								limits: { seated: { ...seated, highMm } }
							})}
					/>
				</div>
			{/if}
			<CheckField
				label="Only visits"
				checked={person.visits}
				onchange={(on) =>
					store.run(`visits of ${person.name}`, 'changePerson', person.id, { visits: on })}
			/>
			<div class="grid grid-cols-1 gap-2 sm:grid-cols-3">
				<MassField
					label="{person.name} lifts at most"
					valueG={person.limits.maxLiftG}
					placeholder="no limit"
					onchange={(maxLiftG) =>
						store.run(`lifting of ${person.name}`, 'changePerson', person.id, {
							limits: { maxLiftG }
						})}
				/>
				<label class="text-sm font-semibold"
					>Diets of {person.name}<input
						class="input font-normal"
						placeholder="none"
						maxlength="400"
						value={person.diets.join(', ')}
						onchange={(event) =>
							store.run(`diets of ${person.name}`, 'changePerson', person.id, {
								diets: list(event.currentTarget.value)
							})}
					/></label
				>
				<label class="text-sm font-semibold"
					>Allergies of {person.name}<input
						class="input font-normal"
						placeholder="none"
						maxlength="400"
						value={person.allergies.join(', ')}
						onchange={(event) =>
							store.run(`allergies of ${person.name}`, 'changePerson', person.id, {
								allergies: list(event.currentTarget.value)
							})}
					/></label
				>
			</div>
			{#if person.allergies.length}<p class="soft text-sm">
					Keep what {person.name} may not eat closed and below other food, so that nothing can drop from
					it. Read the pack each time; a doctor says how strict to be.
				</p>{/if}
			<button
				class="btn btn-ghost"
				onclick={() => store.run(`remove ${person.name}`, 'removePerson', person.id)}
				><Trash2 size={18} />Remove {person.name}</button
			>
		</details>
	{/each}
	{#each Object.values(home.pets) as entry (entry.id)}
		<p class="rule-top flex flex-wrap items-center justify-between gap-x-2 py-1">
			<label class="flex min-w-0 flex-wrap items-center gap-2"
				><b>{entry.name}</b><select
					class="select w-auto"
					aria-label="Kind of {entry.name}"
					value={PET_KINDS.find((kind) => entry.kind.toLowerCase().includes(kind)) ?? 'pet'}
					onchange={(event) =>
						store.run(`kind of ${entry.name}`, 'changePet', entry.id, event.currentTarget.value)}
					>{#each PET_KINDS as kind (kind)}<option>{kind}</option>{/each}<option value="pet"
						>another kind</option
					></select
				></label
			><button
				class="btn btn-ghost"
				onclick={() => store.run(`remove ${entry.name}`, 'removePet', entry.id)}
				><Trash2 size={18} />Remove {entry.name}</button
			>
		</p>
	{/each}
	<form
		class="rule-top flex gap-2 pt-2"
		onsubmit={(event) => {
			event.preventDefault();
			if (name.trim()) store.run(`person ${name.trim()}`, 'addPerson', newId(), name.trim());
			name = '';
		}}
	>
		<input
			class="input"
			bind:value={name}
			aria-label="Name of a person"
			placeholder="A person’s name"
			maxlength="200"
		/>
		<button class="btn"><Plus size={18} />Person</button>
	</form>
	<form
		class="flex gap-2 pt-2"
		onsubmit={(event) => {
			event.preventDefault();
			if (pet.trim()) store.run(`pet ${pet.trim()}`, 'addPet', newId(), pet.trim());
			pet = '';
		}}
	>
		<input
			class="input"
			bind:value={pet}
			aria-label="Name of a pet"
			placeholder="A pet’s name"
			maxlength="200"
		/>
		<button class="btn"><Plus size={18} />Pet</button>
	</form>
</section>
