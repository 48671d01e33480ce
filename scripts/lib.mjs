import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { chromiumPath } from './chromium.mjs';

/** Runs a command with its output shown; ends this process when it fails. */
export function run(command, args, options = {}) {
	const { status, error } = spawnSync(command, args, { stdio: 'inherit', ...options });
	if (error || status !== 0) {
		console.error(`\n${[command, ...args].join(' ')} failed${error ? `: ${error.message}` : ''}.`);
		process.exit(status || 1);
	}
}

/** Installs the packages of the lock file when they are missing or older than it. */
export function ensurePackages() {
	const marker = 'node_modules/.package-lock.json';
	const fresh =
		existsSync(marker) && statSync(marker).mtimeMs >= statSync('package-lock.json').mtimeMs;
	if (fresh) return;
	console.log('Installing the packages named in package-lock.json …');
	run('npm', ['ci', '--no-audit', '--no-fund']);
}

/** Installs the browser from Debian's packages when there is none. */
export function ensureBrowser() {
	if (chromiumPath()) return;
	console.log('Installing the browser for the tests (Debian package chromium) …');
	const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
	const apt = (...args) => {
		const [command, ...rest] = [...sudo, 'apt-get', ...args];
		run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
	};
	apt('update', '-qq');
	apt('install', '-y', '-qq', 'chromium');
}

/** Builds the program. */
export function ensureBuild() {
	console.log('Building …');
	run('npx', ['vite', 'build', '--logLevel', 'warn']);
}
