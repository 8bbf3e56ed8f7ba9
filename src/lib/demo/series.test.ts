import { expect, test } from 'vitest';
import { makeDemo } from './demo';
import { jsonSchemaOf } from '../formats/jsonSchema';
import { SeriesFileSchema, seriesFile } from '../formats/seriesFile';

test('the series of a client is what its schema says, all visits in their order', () => {
	const sessions = makeDemo(new Date('2026-11-29T10:00:00.000Z')).session.filter((s) => s.clientId === 'demo-svea');
	const read = SeriesFileSchema.parse(JSON.parse(seriesFile('Svea L.', sessions)));
	expect(read.visits.map((v) => v.startedAt)).toEqual(sessions.map((s) => s.startedAt));
	expect(read.visits[0]!.before.entries).toEqual(sessions[0]!.before.entries);
	expect(jsonSchemaOf('series')).toMatchObject({
		title: 'soft-tide/series',
		required: expect.arrayContaining(['visits']) as string[]
	});
});
