import { expect, test } from 'vitest';
import { makeDemo } from './demo';
import { reportOf } from '../core/records/report';

const demo = makeDemo(new Date('2026-11-29T10:00:00.000Z'));
const of = (id: string) =>
	reportOf(
		demo.session.filter((s) => s.clientId === id),
		'mm'
	);

test('what is real is told with its interval; what may be chance is only named', () => {
	const odile = of('demo-odile');
	expect(odile.real.find((s) => s.includes('on your left side is together'))).toMatch(
		/^Right after a session what the tape measures on your left side is together \d\.\d mm less \(\d\.\d to \d\.\d\), on average over \d+ sessions/
	);
	expect(odile.sessions).toBe(demo.session.filter((s) => s.clientId === 'demo-odile').length);
	for (const sentence of odile.unsure) expect(sentence).not.toMatch(/\d/);
});
test('who hardly changed is not told that she did', () => {
	const lamp = of('demo-l14');
	expect(lamp.real.filter((s) => s.startsWith('From visit to visit'))).toEqual([]);
	expect(lamp.unsure.length).toBeGreaterThan(0);
});
test('without sessions there is nothing to tell', () => {
	expect(reportOf([], 'inch')).toMatchObject({ sessions: 0, real: [], unsure: [], reactions: 0 });
});
