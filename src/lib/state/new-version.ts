import { toast } from 'svelte-sonner';

const LOOK_MS = 30 * 60 * 1000;

function offer(waiting: ServiceWorker): void {
	toast.info('A new version of Keep Nook is here.', {
		duration: Infinity,
		action: {
			label: 'Load it now',
			onClick: () => {
				navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), {
					once: true
				});
				waiting.postMessage('take-over');
			}
		}
	});
}

/** Offers a new build once it is all on the device. Until then, and until it is wanted, the open one goes on. */
export async function watchForNewVersion(): Promise<void> {
	const registration = await navigator.serviceWorker?.ready;
	if (!registration) return;
	const look = (arriving: ServiceWorker | null) =>
		arriving?.addEventListener('statechange', () => {
			if (arriving.state === 'installed' && navigator.serviceWorker.controller) offer(arriving);
		});
	if (registration.waiting && navigator.serviceWorker.controller) offer(registration.waiting);
	look(registration.installing);
	registration.addEventListener('updatefound', () => look(registration.installing));
	setInterval(() => void registration.update().catch(() => undefined), LOOK_MS);
}

/** Says what to do when a part of the program cannot be loaded: a newer build has taken its place on the server. */
export function sayReload(): void {
	toast.error(
		'A part of Keep Nook could not be loaded: a newer version is on the server, or it is out of reach. What you entered is kept. Reload the page.',
		{
			id: 'reload',
			duration: Infinity,
			action: { label: 'Reload', onClick: () => location.reload() }
		}
	);
}
