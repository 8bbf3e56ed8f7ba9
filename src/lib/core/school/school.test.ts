import { describe, expect, test } from 'vitest';
import { REGION_IDS } from '../atlas/regions';
import { techniqueById } from '../technique/library';
import { TechniqueSchema } from '../technique/technique.schema';
import { policiesOf } from './policies';
import { regionsOf } from './regionOrder';
import { SchoolSchema, type School } from './school.schema';
import { schoolById, SCHOOLS } from './schools';

const said = (change: Partial<School>) =>
	SchoolSchema.safeParse({ ...schoolById('outlet-first'), ...change }).error?.issues.map(
		(i) => `${i.path.join('.')}: ${i.message}`
	) ?? [];

describe('a school', () => {
	test('the six are valid, each with its reason and what the others say, and no two alike', () => {
		for (const school of SCHOOLS) {
			expect(SchoolSchema.parse(school)).toEqual(school);
			expect(Math.min(school.reason.length, school.others.length)).toBeGreaterThan(60);
			expect(policiesOf(school).every((p) => p.text.length > 1 && p.why.length > 10)).toBe(true);
		}
		expect(new Set(SCHOOLS.map((s) => JSON.stringify(policiesOf(s)))).size).toBe(SCHOOLS.length);
		// The reason belongs to the policy: where two hold the same, they have the same reason.
		const reasons = new Map(SCHOOLS.flatMap(policiesOf).map((p) => [`${p.name}: ${p.text}`, p.why]));
		for (const p of SCHOOLS.flatMap(policiesOf)) expect(reasons.get(`${p.name}: ${p.text}`)).toBe(p.why);
	});
	test('orders every region once', () => {
		for (const school of SCHOOLS) expect([...regionsOf(school)].sort()).toEqual([...REGION_IDS].sort());
		expect(regionsOf(schoolById('crown-down'))[0]).toBe('forehead');
	});
	test('that forbids everything, opens nothing it says it opens, or a group twice, is refused with the field and the remedy', () => {
		expect(said({ caps: { fluid: 0, muscle: 0 } })).toEqual([expect.stringMatching(/^caps: .*raise one of them/)]);
		const opening = { ...schoolById('outlet-first').opening, nodes: [] };
		expect(said({ opening })).toEqual([expect.stringMatching(/^opening\.nodes: name at least one/)]);
		expect(said({ opening: { ...opening, nodes: ['terminus', 'terminus'] } })[0]).toMatch(/terminus stands twice/);
		expect(said({ opening: { ...opening, required: false } })).toEqual([]);
	});
});

describe('a technique of one’s own', () => {
	const whole = techniqueById('apple-out')!;
	test.each([
		[{ dose: { kind: 'reps' as const, min: 9, target: 5, max: 3 } }, 'dose'],
		[{ pressure: { min: 3 as const, default: 1 as const, max: 2 as const } }, 'pressure'],
		[{ contact: 'tool' as const }, 'tool']
	])('broken in %j is refused at %s', (change, field) => {
		const result = TechniqueSchema.safeParse({ ...whole, ...change });
		expect(result.success).toBe(false);
		expect(result.error!.issues.map((i) => String(i.path[0]))).toContain(field);
	});
});
