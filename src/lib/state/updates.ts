import { onceAtRest } from './onceAtRest';

/** What of the browser's registration is used here. */
type Registration = Pick<ServiceWorkerRegistration, 'waiting' | 'installing' | 'update' | 'addEventListener'>;

interface Hears {
	/** A newer version lies ready. */
	onready: () => void;
	/** A part of the application that was asked for is of another version, and gone. */
	onneeded: () => void;
}
/** What keeps the application for when there is no network. It fetches all of it: the page that is opened comes first. */
const KEEPER = '/service-worker.js';
/** ms between two looks for a newer version, while the window is used. */
const LOOK_MS = 60 * 60_000;

/**
 * Has the application kept, watches for newer versions, and tells the service worker which one this page is: what a page uses is not thrown away.
 * @param version of this page
 * @returns the way to stop
 */
export function watchUpdates({ onready, onneeded }: Hears, version: string): () => void {
	window.addEventListener('vite:preloadError', onneeded);
	const answer = ({ data, ports }: MessageEvent<{ kind?: string } | null>) => {
		if (data?.kind === 'which-version') ports[0]?.postMessage(version);
	};
	const container = navigator.serviceWorker as ServiceWorkerContainer | undefined;
	let looked = performance.now();
	let registration: Registration | undefined;
	const look = () => {
		if (document.hidden || performance.now() - looked < LOOK_MS) return;
		looked = performance.now();
		void registration?.update().catch(() => {});
	};
	const follow = (worker: ServiceWorker | null) =>
		worker?.addEventListener('statechange', () => {
			if (worker.state === 'installed' && container?.controller) onready();
		});
	container?.addEventListener('message', answer);
	container?.startMessages();
	container?.controller?.postMessage({ kind: 'sweep' });
	const take = (found: Registration | undefined) => {
		if (!found || found === registration) return;
		registration = found;
		if (found.waiting && container?.controller) onready();
		follow(found.installing);
		found.addEventListener('updatefound', () => follow(found.installing));
	};
	void container?.getRegistration().then(take);
	// A browser that does not let it be kept works all the same, while there is a network.
	const giveUp = onceAtRest(() => void container?.register(KEEPER).then(take, () => {}));
	document.addEventListener('visibilitychange', look);
	return () => {
		giveUp();
		window.removeEventListener('vite:preloadError', onneeded);
		container?.removeEventListener('message', answer);
		document.removeEventListener('visibilitychange', look);
	};
}

/** Lets a version that waits take over, and opens the page anew with it. */
export async function takeUpdate(): Promise<void> {
	const waiting = (await navigator.serviceWorker?.getRegistration())?.waiting;
	if (!waiting) return location.reload();
	navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
	waiting.postMessage({ kind: 'take-over' });
}
