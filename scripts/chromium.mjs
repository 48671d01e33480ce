import { existsSync } from 'node:fs';

/** How the browser is started everywhere: as root in a container, and without asking anybody for anything. */
export const CHROMIUM_ARGS = [
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];

/** The browser that tests, benches and screenshots drive: Debian's Chromium, or the one named in CHROMIUM_PATH. */
export const chromiumPath = () =>
	[process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
		(path) => path && existsSync(path)
	);
