import { expect, test } from 'vitest';
import { RunLog } from './runLog';

test('what could not be written is written with the next line, in order, and nothing twice', async () => {
	const written: string[] = [];
	let full = false;
	const log = new RunLog(async (work) => {
		if (full) return false;
		await work();
		return true;
	});
	const line = (words: string) => log.add(() => Promise.resolve(written.push(words)));
	line('begin');
	await log.flush();
	full = true;
	line('go');
	line('still');
	await log.flush();
	expect(written).toEqual(['begin']);
	full = false;
	line('pause');
	await log.flush();
	expect(written).toEqual(['begin', 'go', 'still', 'pause']);
});
