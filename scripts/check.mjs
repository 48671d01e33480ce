// npm run check: types, lint, format and the direction of imports.
import { spawnSync } from 'node:child_process';
import { ensurePackages, run } from './lib.mjs';

ensurePackages();
run('npx', ['svelte-kit', 'sync']);
const steps = [
	['types', ['svelte-check', '--fail-on-warnings']],
	['lint', ['eslint', '.']],
	['format', ['prettier', '--check', '--log-level', 'warn', '.']],
	['direction', ['depcruise', '--config', '.dependency-cruiser.cjs', 'src']]
];
const failed = steps.filter(([name, args]) => {
	console.log(`\n— ${name}`);
	return spawnSync('npx', args, { stdio: 'inherit' }).status !== 0;
});
console.log(
	failed.length ? `\nFailed: ${failed.map(([name]) => name).join(', ')}` : '\nAll checks passed.'
);
process.exit(failed.length ? 1 : 0);
