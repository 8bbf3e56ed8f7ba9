// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import { positionAt } from '../core/perform/position';
import { expand } from '../core/sequence/expand';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { followStage, ScreenSender, type ScreenFrame } from './secondScreen';

const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);
const events = expand(sequence, CONTEXT);
const frame = (seconds: number, moving = true): ScreenFrame => ({
	step: sequence.phases[0]!.blocks[0]!.steps[0]!,
	position: positionAt(events, seconds),
	orientation: 'facing',
	moving,
	breath: null
});

test('another window sees the stage, also when it comes late; it is told once the stage is left', async () => {
	let ms = 0;
	const sender = new ScreenSender(() => ms);
	sender.send(frame(1));
	const seen: (ScreenFrame | null)[] = [];
	const stop = followStage((f) => seen.push(f));
	await vi.waitFor(() => expect(seen).toHaveLength(1));
	expect(seen[0]!.position.rep).toBe(1);
	// Frames come no closer than it can be seen.
	for (const at of [20, 40, 60, 100]) {
		ms = at;
		sender.send(frame(1 + at / 1000));
	}
	await vi.waitFor(() => expect(seen).toHaveLength(2));
	sender.close();
	await vi.waitFor(() => expect(seen.at(-1)).toBeNull());
	stop();
});
