import { GOAL_IDS, goalInfo } from '../core/goal/goals';
import { MEDIA } from '../core/medium/media';
import { RULES } from '../core/rules';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import { RULE_TEXTS, whyOf } from '../core/rules/texts';
import { fixLabel } from '../core/rules/wording';
import { SCHOOLS } from '../core/school/schools';
import { contraOf } from '../core/technique/contra';
import { TECHNIQUES } from '../core/technique/library';
import { LIBRARY_KINDS, type LibraryKind } from '../formats/librarySchemas';
import { TEMPLATES } from '../core/template/templates';
import { usefulFor } from '../core/goal/useful';
import { CORE_VERSION } from '../core/version';

/** The built-in library as plain data, so that others can build on it. */
const LISTS = {
	techniques: () => TECHNIQUES.map((t) => ({ ...t, contra: contraOf(t) })),
	rules: () =>
		RULES.map(({ id, kind, severity, floor, ceiling, fix, safe }) => ({
			id,
			kind,
			title: RULE_TEXTS[id]!.title,
			why: whyOf(id, DEFAULT_WORKING),
			severity,
			floor,
			ceiling,
			fix: fix ? fixLabel(id) : null,
			safe: safe === true
		})),
	schools: () => SCHOOLS,
	goals: () => GOAL_IDS.map((id) => ({ id, ...goalInfo(id), techniques: usefulFor(TECHNIQUES, id).map((t) => t.id) })),
	media: () => MEDIA,
	sequences: () => TEMPLATES
} as const satisfies Record<LibraryKind, () => readonly unknown[]>;

export { LIBRARY_KINDS };

/** One list, with the version of the core that it belongs to. */
export function libraryOf(kind: LibraryKind): { core: string; kind: LibraryKind; items: readonly unknown[] } {
	return { core: CORE_VERSION, kind, items: LISTS[kind]() };
}
