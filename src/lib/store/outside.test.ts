// @vitest-environment happy-dom
import { afterEach, expect, test, vi } from 'vitest';
import { clearOutside, recallOutside, rememberOutside } from './outside';
import { isStoreless, storageTrouble } from './plainWords';

afterEach(() => {
	vi.unstubAllGlobals();
	localStorage.clear();
});

test('what lies beside the database is remembered, and goes when all goes, but for what is kept', () => {
	expect(rememberOutside('theme', 'evening')).toBe(true);
	rememberOutside('demoMade', 'today');
	localStorage.setItem('soft-tide-stage-x', 'of an earlier version');
	localStorage.setItem('somebody-elses', 'stays');
	clearOutside(['demoMade']);
	expect([recallOutside('theme'), recallOutside('demoMade')]).toEqual([null, 'today']);
	expect(Object.keys(localStorage).sort()).toEqual(['soft-tide-demo-made', 'somebody-elses']);
});

test('a browser whose small store is full or shut is done without', () => {
	const full = () => {
		throw new DOMException('', 'QuotaExceededError');
	};
	vi.stubGlobal('localStorage', { setItem: full, getItem: full });
	expect(rememberOutside('theme', 'day')).toBe(false);
	expect(recallOutside('theme')).toBeNull();
	expect(() => clearOutside([])).not.toThrow();
});

test('the cause is named by what lies deepest, and told from a piece of work that failed', () => {
	const named = (name: string, inner?: string) =>
		Object.assign(new Error('x'), {
			name,
			...(inner ? { inner: Object.assign(new Error('y'), { name: inner }) } : {})
		});
	expect(storageTrouble(named('OpenFailedError', 'SecurityError'))).toMatch(/settings of this browser forbid/);
	expect(storageTrouble(named('MissingAPIError'))).toMatch(/no place for records/);
	expect(storageTrouble(named('VersionError'))).toMatch(/of an older one. Reload/);
	expect(storageTrouble(named('BlockedError'))).toMatch(/goes on by itself/);
	expect([isStoreless(named('OpenFailedError')), isStoreless(named('QuotaExceededError')), isStoreless('x')]).toEqual([
		true,
		false,
		false
	]);
});
