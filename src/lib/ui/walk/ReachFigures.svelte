<script lang="ts">
	import { formatVolume, type Person } from '$lib/core/model';
	import { reachHeights, reachShares, TODDLER_CLIMB_MM, TODDLER_REACH_MM } from '$lib/core/survey';
	import { BAND_WORDS } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const people = $derived(Object.values(home.people));
	let chosen = $state('');
	const person = $derived(home.people[chosen] ?? people[0]);
	const shares = $derived(
		person ? reachShares(home, person).filter(({ usableMl }) => usableMl > 0) : []
	);
	const whole = $derived(shares.reduce((sum, { usableMl }) => sum + usableMl, 0));
	const TOP = 2500;
	const SCALE = 0.13;
	const font = (px: number) => px / SCALE;
	const y = (mm: number) => TOP - mm;
	const PITCH = 400;
	const isSmall = (each: Person) => each.ageBand === 'toddler';
	const bands = (each: Person) => {
		const body = reachHeights(each.statureMm);
		return [
			{ from: 0, to: body.knee, tone: 'hard' },
			{ from: body.knee, to: body.hip, tone: 'fair' },
			{ from: body.hip, to: body.shoulder, tone: 'easy' },
			{ from: body.shoulder, to: body.eye, tone: 'fair' },
			{ from: body.eye, to: body.grip, tone: 'hard' }
		];
	};
	const wordOf = (band: string) =>
		band === 'never' ? 'out of reach' : BAND_WORDS[band as keyof typeof BAND_WORDS];
</script>

{#if person}
	<h2 class="mb-2">What each can reach</h2>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="overflow-x-auto" role="region" aria-label="Reach of everybody" tabindex="0">
		<svg
			width={(people.length * PITCH + 300) * SCALE}
			height={(TOP + 320) * SCALE}
			viewBox="-260 -40 {people.length * PITCH + 300} {TOP + 320}"
			role="img"
			aria-label="Reach of {people.map(({ name }) => name).join(', ')}, drawn to scale"
		>
			{#each [0, 500, 1000, 1500, 2000] as mark (mark)}
				<line x1={-30} x2={people.length * PITCH} y1={y(mark)} y2={y(mark)} class="d-light" />
				<text class="d-measure" x={-45} y={y(mark) + font(4)} font-size={font(11)} text-anchor="end"
					>{mark / 10}</text
				>
			{/each}
			<line x1={-30} x2={people.length * PITCH} y1={y(0)} y2={y(0)} class="d-floor" />
			{#each people as each, i (each.id)}
				{@const body = reachHeights(each.statureMm)}
				{@const x = 30 + i * PITCH}
				<g class:faded={each.id !== person.id}>
					{#if isSmall(each)}
						<rect
							x={x + 170}
							y={y(TODDLER_CLIMB_MM)}
							width={150}
							height={TODDLER_CLIMB_MM}
							class="band climb"
						/>
						<rect
							x={x + 170}
							y={y(TODDLER_REACH_MM)}
							width={150}
							height={TODDLER_REACH_MM}
							class="band reach"
						/>
					{:else}
						{#each bands(each) as band (band.from)}
							<rect
								x={x + 170}
								y={y(band.to)}
								width={150}
								height={band.to - band.from}
								class="band {band.tone}"
							/>
						{/each}
					{/if}
					<!-- A lay figure: head, trunk, legs, an arm held up. -->
					<g class="figure">
						<circle cx={x + 60} cy={y(each.statureMm * 0.945)} r={each.statureMm * 0.05} />
						<path
							d="M{x + 5} {y(body.elbow)}L{x + 18} {y(body.shoulder)}H{x + 108}L{x + 132} {y(
								isSmall(each) ? TODDLER_REACH_MM : body.grip
							)}M{x + 60} {y(body.shoulder)}V{y(body.hip)}L{x + 25} {y(0)}M{x + 60} {y(
								body.hip
							)}L{x + 95} {y(0)}"
						/>
					</g>
					<text
						class="d-text"
						x={x + 150}
						y={y(0) + font(18)}
						font-size={font(13)}
						font-weight={each.id === person.id ? 700 : 400}
						text-anchor="middle">{each.name}</text
					>
				</g>
			{/each}
		</svg>
	</div>
	<label class="mt-3 block text-sm font-semibold"
		>Space by reach of<select
			class="select font-normal"
			value={person.id}
			onchange={(event) => (chosen = event.currentTarget.value)}
			>{#each people as each (each.id)}<option value={each.id}>{each.name}</option>{/each}</select
		></label
	>
	{#if isSmall(person)}
		<p class="mt-2">
			Within reach up to 1.0 m, and up to 1.5 m by climbing. A lock counts; height alone helps but
			is no safeguard.
		</p>
	{:else}
		<ul class="mt-2">
			{#each shares as share (share.band)}
				<li class="rule-top py-1">
					<span class="flex justify-between gap-2"
						><span>{wordOf(share.band)}</span><span class="measure whitespace-nowrap"
							>{formatVolume(share.usableMl)}</span
						></span
					>
					<span class="bar" aria-hidden="true"
						><i class={share.band} style:width="{(100 * share.usableMl) / whole}%"></i></span
					>
				</li>
			{:else}
				<li class="rule-top py-2 soft">No place is measured yet.</li>
			{/each}
		</ul>
	{/if}
{:else}
	<h2 class="mb-1">What each can reach</h2>
	<p class="soft">
		Add the people who live or help here, with their height: a place is judged by whoever finds it
		hardest to reach.
	</p>
{/if}

<style>
	.faded {
		opacity: 0.55;
	}
	.band {
		stroke: var(--ink-soft);
		stroke-width: 0.8px;
		vector-effect: non-scaling-stroke;
	}
	.band.easy {
		fill: color-mix(in oklab, var(--color-success) 45%, transparent);
	}
	.band.fair {
		fill: color-mix(in oklab, var(--color-success) 18%, transparent);
	}
	.band.hard {
		fill: color-mix(in oklab, var(--color-warning) 25%, transparent);
	}
	.band.reach {
		fill: color-mix(in oklab, var(--color-error) 40%, transparent);
	}
	.band.climb {
		fill: color-mix(in oklab, var(--color-error) 16%, transparent);
	}
	.figure {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 2.4px;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.figure :global(*) {
		vector-effect: non-scaling-stroke;
	}
	.bar {
		display: block;
		height: 8px;
		border: 1px solid var(--ink-soft);
	}
	.bar i {
		display: block;
		height: 100%;
		background: color-mix(in oklab, var(--color-warning) 60%, transparent);
	}
	.bar i.easy {
		background: color-mix(in oklab, var(--color-success) 75%, transparent);
	}
	.bar i.good {
		background: color-mix(in oklab, var(--color-success) 40%, transparent);
	}
	.bar i.never {
		background: var(--color-error);
	}
</style>
