import { expect, test } from 'vitest';
import { fromElsewhere } from './origin';

const HERE = new URL('http://127.0.0.1:3000/api/v1/check');
const sent = (headers: Record<string, string>, method = 'POST') =>
	fromElsewhere(
		new Request(HERE, { method, headers, ...(method === 'POST' ? { body: 'drain chin > jawline' } : {}) }),
		HERE
	);

test('a program that says no origin is served, a page of this server too; a page of another site is not', async () => {
	expect(sent({ 'content-type': 'text/plain' })).toBeNull();
	expect(sent({ 'content-type': 'text/plain; charset=utf-8', origin: HERE.origin })).toBeNull();
	for (const type of [
		'text/plain',
		'Text/Plain; charset=utf-8',
		'application/x-www-form-urlencoded',
		'multipart/form-data'
	]) {
		const refused = sent({ 'content-type': type, origin: 'http://elsewhere.example' })!;
		expect(refused.status).toBe(403);
		expect(await refused.json()).toMatchObject({ title: 'From another site' });
	}
	expect(sent({ 'content-type': 'text/plain', origin: 'null' })!.status).toBe(403);
});

test('what another site may send only once it was asked is left to the browser that asks', () => {
	expect(sent({ 'content-type': 'application/json', origin: 'http://elsewhere.example' })).toBeNull();
	expect(sent({ origin: 'http://elsewhere.example' }, 'GET')).toBeNull();
});
