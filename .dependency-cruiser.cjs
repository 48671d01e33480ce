// The direction of imports: routes -> ui -> state -> data, workers -> core.
// `reachable` rules print the whole chain that breaks them.
const layer = (name) => `^src/lib/${name}/`;
const never = (name, from, to) => ({
	name,
	severity: 'error',
	from: { path: from, pathNot: '\\.(test|prop\\.test)\\.ts$' },
	to: { path: to, reachable: true }
});
module.exports = {
	forbidden: [
		never(
			'core-stands-alone',
			layer('core'),
			`${layer('(data|workers|state|ui|messages|server)')}|^src/routes/`
		),
		never(
			'core-has-no-interface-code',
			layer('core'),
			'^node_modules/(svelte|@sveltejs|idb|bits-ui|@lucide)/|^(\\$app|\\$env)'
		),
		{
			name: 'solvers-know-no-home',
			severity: 'error',
			from: { path: '^src/lib/core/solvers/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/lib/', pathNot: '^src/lib/core/solvers/' }
		},
		never(
			'data-does-not-look-up',
			layer('data'),
			`${layer('(state|ui|workers|server)')}|^src/routes/`
		),
		never(
			'workers-do-not-look-up',
			layer('workers'),
			`${layer('(state|ui|data|server)')}|^src/routes/`
		),
		never('state-does-not-look-up', layer('state'), `${layer('(ui|server)')}|^src/routes/`),
		never('ui-does-not-look-up', layer('ui'), `${layer('server')}|^src/routes/`),
		never(
			'messages-know-core-only',
			layer('messages'),
			`${layer('(data|state|ui|workers|server)')}|^src/routes/`
		),
		{ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } }
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.json' },
		enhancedResolveOptions: { extensions: ['.ts', '.svelte.ts', '.svelte', '.js', '.json'] }
	}
};
