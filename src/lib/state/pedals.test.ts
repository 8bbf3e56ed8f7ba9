// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import { Pedals, SimulatedPedal, type Signal } from './pedals';

/** A scripted foot: which of three pedals are down, frame by frame. */
const pad = (down: readonly number[]) => [
	null,
	{ index: 1, buttons: [0, 1, 2].map((i) => ({ pressed: down.includes(i), touched: false, value: 0 })) }
];

/** What is asked by a foot that holds down pedals for so many ms each. */
const asked = (frames: readonly (readonly [down: readonly number[], ms: number])[]): Signal[] => {
	const heard: Signal[] = [];
	let [down, now] = [[] as readonly number[], 0];
	const pedals = new Pedals({ onsignal: (s) => heard.push(s), pads: () => pad(down), clock: () => now });
	for (const [pressed, ms] of frames) {
		down = pressed;
		for (let t = 0; t < ms; t += 20) {
			now += 20;
			pedals.look();
		}
	}
	return heard;
};
test('a pedal asks once when it is let go, and again when it comes down anew', () => {
	expect(
		asked([
			[[0], 300],
			[[], 100],
			[[1], 100],
			[[], 100],
			[[0], 100],
			[[], 20]
		])
	).toEqual(['toggle', 'skip', 'toggle']);
	// What has no second meaning asks as it goes down, and once.
	expect(asked([[[2], 3000]])).toEqual(['back']);
});
test('held, the first two ask for something else, once, and not for what they ask when pressed', () => {
	expect(
		asked([
			[[0], 3000],
			[[], 100],
			[[1], 900],
			[[], 100]
		])
	).toEqual(['where', 'menu']);
	expect(
		asked([
			[[0], 780],
			[[], 20]
		])
	).toEqual(['toggle']);
});

test('the simulated pedal is heard, and no more once nobody listens; what was plugged out is told', async () => {
	const heard: Signal[] = [];
	const plugged: [boolean, string][] = [];
	const pedals = new Pedals({
		onsignal: (s) => heard.push(s),
		onplugged: (there, name) => plugged.push([there, name]),
		pads: () => []
	});
	const stop = pedals.follow();
	const foot = new SimulatedPedal();
	for (const pedal of [0, 1, 2, 7]) foot.press(pedal);
	foot.hold(1);
	await vi.waitFor(() => expect(heard).toEqual(['toggle', 'skip', 'back', 'toggle', 'menu']));
	const gone = Object.assign(new Event('gamepaddisconnected'), { gamepad: { id: 'Foot 3' } });
	dispatchEvent(gone);
	expect(plugged).toEqual([[false, 'Foot 3']]);
	stop();
	foot.press(0);
	await new Promise((done) => setTimeout(done, 20));
	expect(heard).toHaveLength(5);
	foot.close();
});
