// npm test: installs what is missing (the browser too) and runs every test, units first.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { chromiumPath } from './chromium.mjs';
import { ensureBrowser, ensureBuild, ensurePackages, run } from './lib.mjs';

ensurePackages();
ensureBrowser();
run('npx', ['svelte-kit', 'sync']);
mkdirSync('test-results', { recursive: true });
const env = { ...process.env, CHROMIUM_PATH: chromiumPath() };
const steps = [
	[
		'vitest',
		['run', '--reporter=default', '--reporter=json', '--outputFile=test-results/unit.json']
	],
	['playwright', ['test']]
];
const failed = [];
for (const [tool, args] of steps) {
	if (tool === 'playwright') ensureBuild();
	if (spawnSync('npx', [tool, ...args], { stdio: 'inherit', env }).status !== 0) failed.push(tool);
}

/** Reads the counts that each tool wrote; a tool that wrote none did not run to its end. */
function counts() {
	const unit = JSON.parse(readFileSync('test-results/unit.json', 'utf8'));
	// A file that did not load has no tests of its own to count.
	const unread = unit.testResults.filter(
		({ status, assertionResults }) => status === 'failed' && !assertionResults.length
	);
	const browser = JSON.parse(readFileSync('test-results/browser.json', 'utf8')).stats;
	return {
		passed: unit.numPassedTests + browser.expected + browser.flaky,
		failed: unit.numFailedTests + unread.length + browser.unexpected
	};
}
const total = counts();
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(failed.length || total.failed ? 1 : 0);
