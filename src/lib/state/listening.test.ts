// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import {
	installWords,
	Listening,
	listensLocally,
	localWords,
	type Recogniser,
	type RecogniserKind
} from './listening.svelte';

const made: Recogniser[] = [];
function kind(available: string | Error): RecogniserKind {
	return class implements Recogniser {
		lang = '';
		continuous = false;
		interimResults = true;
		onresult: Recogniser['onresult'] = null;
		onend: Recogniser['onend'] = null;
		onerror: Recogniser['onerror'] = null;
		start = vi.fn();
		stop = vi.fn();
		constructor() {
			made.push(this);
		}
		static available = () => (available instanceof Error ? Promise.reject(available) : Promise.resolve(available));
	};
}
const say = (recogniser: Recogniser, ...all: string[]) =>
	recogniser.onresult!({ resultIndex: 0, results: all.map((transcript) => [{ transcript }]) });

test('it listens only where words stay on this machine', async () => {
	expect(await listensLocally(kind('available'))).toBe(true);
	for (const none of [undefined, kind('downloadable'), kind(new Error('no'))])
		expect(await listensLocally(none)).toBe(false);
	made.length = 0;
	const listening = new Listening(vi.fn());
	listening.follow(kind('downloadable'));
	await vi.waitFor(() => expect(listening.trouble).toMatch(/does not listen/));
	expect(made).toEqual([]);
});

test('words that can be fetched are offered where the browser can fetch them', async () => {
	const can = Object.assign(kind('downloadable'), { install: vi.fn(async () => true) });
	expect(await localWords(can)).toBe('downloadable');
	expect(await localWords(kind('downloadable'))).toBe('none');
	expect(await localWords(kind('available'))).toBe('available');
	expect(await installWords(can)).toBe(true);
	expect(can.install).toHaveBeenCalledWith({ langs: ['en-GB'], processLocally: true });
	expect(
		await installWords(Object.assign(kind('downloadable'), { install: () => Promise.reject(new Error('no')) }))
	).toBe(false);
	expect(await installWords(undefined)).toBe(false);
});

test('words lead, talk does not; after a silence it begins again, until it is not wanted any more', async () => {
	made.length = 0;
	const spoken: string[] = [];
	const listening = new Listening((id) => spoken.push(id));
	const stop = listening.follow(kind('available'));
	await vi.waitFor(() => expect(made).toHaveLength(1));
	const recogniser = made[0]!;
	expect(recogniser).toMatchObject({ continuous: true, processLocally: true });
	say(recogniser, 'One more', 'does that feel all right?', 'other side');
	expect(spoken).toEqual(['more', 'otherSide']);
	expect(listening.heard).toBe('other side');
	recogniser.onend!();
	expect(recogniser.start).toHaveBeenCalledTimes(2);
	stop();
	expect(recogniser.stop).toHaveBeenCalledOnce();
	recogniser.onend!();
	expect(recogniser.start).toHaveBeenCalledTimes(2);
});

test('a microphone that is refused is said, and not asked for again', async () => {
	made.length = 0;
	const listening = new Listening(vi.fn());
	listening.follow(kind('available'));
	await vi.waitFor(() => expect(made).toHaveLength(1));
	made[0]!.onerror!({ error: 'not-allowed' });
	made[0]!.onend!();
	expect(listening.trouble).toMatch(/microphone is not allowed/);
	expect(made[0]!.start).toHaveBeenCalledOnce();
});
