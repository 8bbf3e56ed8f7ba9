// @vitest-environment happy-dom
import { afterEach, expect, test, vi } from 'vitest';
import { takeUpdate, watchUpdates } from './updates';

/** A service worker container as far as it is used here. */
function container(waiting: boolean, known = true) {
	const worker = Object.assign(new EventTarget(), { state: 'installing', postMessage: vi.fn() });
	const registration = Object.assign(new EventTarget(), {
		waiting: waiting ? worker : null,
		installing: waiting ? null : worker,
		update: vi.fn(() => Promise.resolve())
	});
	const controller = { postMessage: vi.fn() };
	const fake = Object.assign(new EventTarget(), {
		controller,
		startMessages: vi.fn(),
		getRegistration: () => Promise.resolve(known ? registration : undefined),
		register: vi.fn(() => Promise.resolve(registration))
	});
	vi.stubGlobal('navigator', { serviceWorker: fake });
	return { worker, registration, controller, fake };
}
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});
const heard = () => ({ onready: vi.fn(), onneeded: vi.fn() });

test('a version that waits is offered; one that comes later when it is whole', async () => {
	container(true);
	const first = heard();
	const stop = watchUpdates(first, 'v1');
	await vi.waitFor(() => expect(first.onready).toHaveBeenCalledOnce());
	stop();
	const { worker } = container(false);
	const second = heard();
	watchUpdates(second, 'v1');
	await new Promise((done) => setTimeout(done));
	expect(second.onready).not.toHaveBeenCalled();
	worker.state = 'installed';
	worker.dispatchEvent(new Event('statechange'));
	expect(second.onready).toHaveBeenCalledOnce();
});

test('at a first visit the application is kept only once the page is at rest, and then watched', async () => {
	vi.useFakeTimers();
	const { worker, fake } = container(false, false);
	const { onready, onneeded } = heard();
	watchUpdates({ onready, onneeded }, 'v1');
	await vi.advanceTimersByTimeAsync(1000);
	expect(fake.register).not.toHaveBeenCalled();
	await vi.advanceTimersByTimeAsync(10_000);
	expect(fake.register).toHaveBeenCalledExactlyOnceWith('/service-worker.js');
	worker.state = 'installed';
	worker.dispatchEvent(new Event('statechange'));
	expect(onready).toHaveBeenCalledOnce();
	watchUpdates(heard(), 'v1')();
	await vi.advanceTimersByTimeAsync(10_000);
	expect(fake.register).toHaveBeenCalledOnce();
});

test('a part that is gone needs the new version', () => {
	container(true);
	const { onready, onneeded } = heard();
	const stop = watchUpdates({ onready, onneeded }, 'v1');
	window.dispatchEvent(new Event('vite:preloadError'));
	stop();
	window.dispatchEvent(new Event('vite:preloadError'));
	expect(onneeded).toHaveBeenCalledOnce();
});

test('a page tells which version it is, so that its files are not thrown away', () => {
	const { fake, controller } = container(false);
	watchUpdates(heard(), 'v1');
	expect(controller.postMessage).toHaveBeenCalledWith({ kind: 'sweep' });
	const port = { postMessage: vi.fn() };
	fake.dispatchEvent(Object.assign(new Event('message'), { data: { kind: 'which-version' }, ports: [port] }));
	fake.dispatchEvent(Object.assign(new Event('message'), { data: null, ports: [] }));
	expect(port.postMessage).toHaveBeenCalledWith('v1');
});

test('the one that waits takes over when it is asked to; a browser without all that has no trouble', async () => {
	const { worker } = container(true);
	await takeUpdate();
	expect(worker.postMessage).toHaveBeenCalledWith({ kind: 'take-over' });
	vi.stubGlobal('navigator', {});
	watchUpdates(heard(), 'v1')();
});
