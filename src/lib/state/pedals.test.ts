// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import { Pedals, SimulatedPedal, type Signal } from './pedals';

/** A scripted foot: which of three pedals are down, frame by frame. */
const pad = (down: readonly number[]) => [
	null,
	{ index: 1, buttons: [0, 1, 2].map((i) => ({ pressed: down.includes(i), touched: false, value: 0 })) }
];

test('a pedal asks once, however long it is held, and again when it comes down anew', () => {
	const heard: Signal[] = [];
	let down: readonly number[] = [];
	const pedals = new Pedals({ onsignal: (s) => heard.push(s), pads: () => pad(down) });
	for (const frame of [[], [0], [0], [0], [], [2], [2, 1], [], [0]]) {
		down = frame;
		pedals.look();
	}
	expect(heard).toEqual(['toggle', 'skip', 'back', 'toggle']);
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
	await vi.waitFor(() => expect(heard).toEqual(['toggle', 'back', 'skip', 'toggle']));
	const gone = Object.assign(new Event('gamepaddisconnected'), { gamepad: { id: 'Foot 3' } });
	dispatchEvent(gone);
	expect(plugged).toEqual([[false, 'Foot 3']]);
	stop();
	foot.press(0);
	await new Promise((done) => setTimeout(done, 20));
	expect(heard).toHaveLength(4);
	foot.close();
});
