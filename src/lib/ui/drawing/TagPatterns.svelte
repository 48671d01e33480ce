<script lang="ts">
	import { FILLED_PATTERNS, TAG_INKS, TAG_PATTERNS } from './tag-style';
</script>

<svg width="0" height="0" class="absolute" aria-hidden="true">
	<defs>
		{#each TAG_INKS as ink, hue (hue)}
			<pattern id="tag-{hue}" width="8" height="8" patternUnits="userSpaceOnUse">
				<rect width="8" height="8" fill="#fffdf7" />
				<path
					d={TAG_PATTERNS[hue]}
					fill={FILLED_PATTERNS.has(hue) ? ink : 'none'}
					stroke={ink}
					stroke-width="2"
				/>
			</pattern>
			<!-- The same for drawings measured in mm, where a cell of 8 would be too fine to see. -->
			<pattern
				id="tag-mm-{hue}"
				width="8"
				height="8"
				patternUnits="userSpaceOnUse"
				patternTransform="scale(4)"
			>
				<rect width="8" height="8" fill="#fffdf7" />
				<path
					d={TAG_PATTERNS[hue]}
					fill={FILLED_PATTERNS.has(hue) ? ink : 'none'}
					stroke={ink}
					stroke-width="2"
				/>
			</pattern>
		{/each}
		<pattern id="hatch" width="40" height="40" patternUnits="userSpaceOnUse">
			<path d="M-10 10L10 -10M0 40L40 0M30 50L50 30" stroke="var(--ink-soft)" stroke-width="3" />
		</pattern>
	</defs>
</svg>
