import { expect, test } from 'vitest';
import { contraOf } from './contra';
import { techniqueById, TECHNIQUES } from './library';

test('every move that touches someone says what to mind, its own notes first', () => {
	for (const t of TECHNIQUES) {
		const notes = contraOf(t);
		if (t.aim !== 'cleanse') expect(notes.length, t.id).toBeGreaterThan(0);
		expect(notes.slice(0, t.contra.length), t.id).toEqual(t.contra);
		expect(new Set(notes).size).toBe(notes.length);
	}
});

test('by place and kind: eye, neck, chewing muscle, firm, cold', () => {
	const says = (id: string) => contraOf(techniqueById(id)!).join(' ');
	expect(says('under-eye-out')).toMatch(/glaucoma/);
	expect(says('throat-outward')).toMatch(/carotid.*thyroid|thyroid.*carotid/);
	expect(says('masseter-circles')).toMatch(/jaw that locks/);
	expect(says('knuckle-knead')).toMatch(/blood thinners/);
	expect(says('globes-hold')).toMatch(/cold hives/);
	for (const id of ['point-st7', 'point-st6', 'thumb-inside']) expect(says(id), id).toMatch(/see a dentist/);
	for (const id of ['thumb-inside', 'inside-mouth-corner'])
		expect(says(id), id).toMatch(/cold sores.*[Ll]atex.*licence/);
	for (const id of ['lay-tape', 'tape-frown']) expect(says(id), id).toMatch(/adhesives and latex.*never dry/);
	expect(says('apple-out')).not.toMatch(/glaucoma|carotid|jaw that locks|licence|adhesive/);
});
