import { mediumById, MEDIA } from '../../medium/media';
import { capAt } from '../../pressure/caps';
import type { Level } from '../../step/levels';
import { makeEdit, setHead } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import { replaceMedia } from '../../sequence/replaceMedia';
import type { Step } from '../../step/step.schema';
import { levelAt, wrongMedium } from '../../screening/meets';
import { touchesOf } from '../../screening/touch';
import { aimRow } from '../../vocabulary/vocabulary';
import type { JudgeContext, Rule } from '../rule';
import { limitsOf } from './clientRule';

const WISH = { kind: 'wish', severity: 'advice', floor: 'advice', ceiling: 'advice' } as const;
const wishesOf = ({ client }: JudgeContext) => client?.wishes ?? null;

/** Work whose pressure is a matter of taste: openings and the close stay as light as they are. */
const isOfTaste = (step: Step): boolean =>
	step.by === 'practitioner' && aimRow(step.aim).stage === 'work' && step.pressure !== undefined && step.pressure > 0;

/** The deepest that caps and her limits allow a step. */
const mostFor = (step: Step, context: JudgeContext): Level =>
	Math.min(
		4,
		...step.places.flatMap((ref) => capAt(step, ref, context.school)?.level ?? []),
		...touchesOf(step).flatMap(({ place }) => levelAt(limitsOf(context), place) ?? [])
	) as Level;

/** From here on work is firm for who likes it lighter, and up to here light for who likes it firmer (working values). */
const FIRM: Level = 3;
const LIGHT: Level = 1;

/** The level that she likes for a step, within every cap; its own where it is so already. */
function likedLevel(step: Step, wish: 'lighter' | 'firmer', context: JudgeContext): Level {
	const given = step.pressure!;
	if (wish === 'lighter') return (given >= FIRM ? FIRM - 1 : given) as Level;
	// Fluid stays light whoever is in the chair.
	if (aimRow(step.aim).cap !== 'muscle' || given > LIGHT) return given as Level;
	return Math.max(given, Math.min(LIGHT + 1, mostFor(step, context))) as Level;
}
const otherwise = (context: JudgeContext): { step: Step; number: number; level: Level }[] => {
	const wish = wishesOf(context)?.pressure ?? 'usual';
	if (wish === 'usual') return [];
	return context.steps.flatMap(({ step, number }) => {
		const level = isOfTaste(step) ? likedLevel(step, wish, context) : step.pressure;
		return level === undefined || level === step.pressure ? [] : [{ step, number, level }];
	});
};

/** She likes it a little lighter, or firmer, than this is planned. */
export const wishPressure: Rule = {
	...WISH,
	id: 'wish-pressure',
	check(context) {
		const found = otherwise(context);
		if (!found.length) return [];
		const params = { number: found[0]!.number, wish: wishesOf(context)!.pressure };
		return [{ stepIds: found.map((f) => f.step.id), params }];
	},
	fix(context): Edit | null {
		const wanted = new Map(otherwise(context).map(({ step, level }) => [step.id, level]));
		return makeEdit(context.sequence, 'Press as this client likes it', (draft) => {
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const step of block.steps) if (wanted.has(step.id)) step.pressure = wanted.get(step.id);
		});
	}
};

/** A medium that she does not like. */
export const wishMedium: Rule = {
	...WISH,
	id: 'wish-medium',
	check(context) {
		const dislikes = wishesOf(context)?.dislikes ?? [];
		const { medium, media } = context.sequence;
		const used = [medium?.id, ...context.steps.map((s) => s.step.medium?.id)].find((id) => id && dislikes.includes(id));
		return used ? [{ stepIds: [], params: { what: mediumById(used, media).title.toLowerCase() } }] : [];
	},
	fix(context) {
		const { likes, dislikes } = wishesOf(context)!;
		const { media } = context.sequence;
		const good = (id: string) => !dislikes.includes(id) && !wrongMedium(id, media, limitsOf(context)).limits.length;
		const instead = [...likes, ...MEDIA.map((m) => m.id)].find(good);
		if (!instead) return null;
		const label = 'Take a medium that this client likes';
		return replaceMedia(context.sequence, label, (id) => (dislikes.includes(id) ? instead : id));
	}
};

/** The other way over the cheeks than she likes. */
export const wishRoute: Rule = {
	...WISH,
	id: 'wish-route',
	check(context) {
		const wish = wishesOf(context)?.cheekRoute ?? 'either';
		const { cheekRoute } = context.school;
		return wish === 'either' || cheekRoute === 'either' || cheekRoute === wish
			? []
			: [{ stepIds: [], params: { wish } }];
	},
	fix: (context) =>
		setHead(
			context.sequence,
			{ school: { ...context.sequence.school, cheekRoute: wishesOf(context)!.cheekRoute } },
			'Lead the cheeks as this client likes it'
		)
};
