import { expect, test } from 'vitest';
import { SPOKEN, spokenIn, type SpokenId } from './spoken';

test.each(Object.entries(SPOKEN).flatMap(([id, all]) => all.map((words) => [words, id as SpokenId] as const)))(
	'“%s” asks for %s, however it is written, and with a please',
	(words, id) => {
		expect(spokenIn(words)).toBe(id);
		expect(spokenIn(` ${words.toUpperCase()}, please. `)).toBe(id);
	}
);

test('talk with the client leads nothing', () => {
	for (const talk of [
		'is it tender when I stop here',
		'a little more oil today',
		'and the other side was fine',
		'',
		'…'
	])
		expect(spokenIn(talk), talk).toBeNull();
});
