// npm run demo: installs what is missing, builds, and serves the demo home.
import { ensureBuild, ensurePackages, run } from './lib.mjs';

ensurePackages();
ensureBuild();
const port = process.env.PORT ?? '4173';
console.log(
	`\nKeep Nook with the demo home: http://localhost:${port}/demo\nStop it with Ctrl+C.\n`
);
run('node', ['build'], {
	env: {
		...process.env,
		PORT: port,
		HOST: process.env.HOST ?? '127.0.0.1',
		ORIGIN: `http://localhost:${port}`,
		BODY_SIZE_LIMIT: '21M'
	}
});
