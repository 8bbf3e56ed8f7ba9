import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Photo } from '../core/records/photo';
import type { NewPhoto, Photos } from '../store/photos';
import { FaceFinder, type FaceSource, type Look } from './faceFinder.svelte';
import { hintsFor, LiveHints } from './liveHints.svelte';
import { PhotoBook, type PhotoSource, type Taking } from './photoBook.svelte';

const bytes = new Uint8Array([1, 2, 3]);
const picture = { type: 'image/jpeg', bytes, widthPx: 600, heightPx: 800 };
const TAKING: Taking = {
	clientId: 'c',
	sessionId: null,
	when: 'before',
	view: 'front',
	takenAt: '2026-03-01T08:00:00.000Z'
};
const stance = { yaw: 0, pitch: 0, roll: 0, size: 0.15, light: null };
const bitmap = { close: () => {} } as ImageBitmap;
beforeEach(() => void vi.stubGlobal('createImageBitmap', () => Promise.resolve(bitmap)));

function book(look: () => Promise<Look>, wished = () => true) {
	const kept: NewPhoto[] = [];
	const photos = {
		add: (photo: NewPhoto) => Promise.resolve((kept.push(photo), { ...photo, id: 'p' } as unknown as Photo)),
		file: () => Promise.resolve({ type: 'image/jpeg', bytes })
	} as unknown as Photos;
	const source = {
		read: () => Promise.resolve({ ok: true, taken: { picture, thumb: picture, widthPx: 600, heightPx: 800 } }),
		close: () => {}
	} as unknown as PhotoSource;
	const finder = new FaceFinder(wished, { look, close: () => {} } as FaceSource);
	return { kept, finder, book: new PhotoBook(photos, finder, source) };
}

describe('a picture on its way in', () => {
	test('that shows no face from the front waits until it is wanted all the same', async () => {
		const { kept, book: b } = book(() => Promise.resolve({ doubt: 'No face.' }));
		expect(await b.addFile(new Blob([bytes]), TAKING)).toBeNull();
		expect([kept.length, b.doubt?.words, b.doing]).toEqual([0, 'No face.', '']);
		expect((await b.doubt!.accept())?.id).toBe('p');
		expect([kept.length, b.doubt]).toEqual([1, null]);
	});
	test('with one face, from the side, or where no face can be looked for, comes in at once', async () => {
		const seen = book(() => Promise.resolve({ points: {}, stance }));
		expect(await seen.book.addFile(new Blob([bytes]), TAKING)).not.toBeNull();
		const aside = book(() => Promise.resolve({ doubt: 'No face.' }));
		expect(await aside.book.addFile(new Blob([bytes]), { ...TAKING, view: 'left' })).not.toBeNull();
		const blind = book(() => Promise.reject(new Error('does not run')));
		expect(await blind.book.addFile(new Blob([bytes]), TAKING)).not.toBeNull();
		expect(blind.finder.off).toBe(true);
		expect(await blind.book.suggest({ fileId: 'f' } as Photo)).toMatch(/Place them by hand/);
	});
	test('nothing is looked for, or fetched, where it was not turned on', async () => {
		const look = vi.fn(() => Promise.resolve({ doubt: 'No face.' }));
		const { kept, book: b } = book(look, () => false);
		expect(await b.addFile(new Blob([bytes]), TAKING)).not.toBeNull();
		expect(await b.suggest({ fileId: 'f' } as Photo)).toMatch(/Settings, Photographs/);
		expect([kept.length, look.mock.calls.length]).toEqual([1, 0]);
	});
	test('points are suggested, or it is said why not', async () => {
		const seen = book(() => Promise.resolve({ points: { prn: [3, 4] }, stance }));
		expect(await seen.book.suggest({ fileId: 'f' } as Photo)).toEqual({ prn: [3, 4] });
		const none = book(() => Promise.resolve({ doubt: 'No face.' }));
		expect(await none.book.suggest({ fileId: 'f' } as Photo)).toBe('No face.');
	});
});

describe('hints while someone sits', () => {
	test('are a doubt, or what to change against the earlier picture', () => {
		expect(hintsFor({ doubt: 'No face.' }, null)).toEqual(['No face.']);
		expect(hintsFor({ points: {}, stance: { ...stance, pitch: 5 } }, stance)).toEqual(['Chin a little down.']);
	});
	test('follow what is seen until they are stopped, matched to the earlier picture once there is one', async () => {
		vi.useFakeTimers();
		let pitch = 0;
		const hints = new LiveHints(
			new FaceFinder(() => true, {
				look: () => Promise.resolve({ points: {}, stance: { ...stance, pitch } }),
				close: () => {}
			})
		);
		void hints.follow(() => bitmap);
		await vi.advanceTimersByTimeAsync(10);
		expect([hints.hints, hints.matching]).toEqual([[], false]);
		await hints.match(bitmap);
		expect(hints.matching).toBe(true);
		pitch = 3;
		await vi.advanceTimersByTimeAsync(500);
		expect(hints.hints).toEqual(['Chin a little down.']);
		hints.stop();
		pitch = 0;
		await vi.advanceTimersByTimeAsync(2000);
		expect(hints.hints).toEqual(['Chin a little down.']);
		vi.useRealTimers();
	});
});
