import type { Person } from '../client/person.schema';
import { latestAnswers } from '../client/answers';
import { MEDIA } from '../medium/media';
import type { Medium } from '../medium/medium.schema';
import type { Answer } from '../client/answer.schema';
import type { MarkKind } from '../client/marks';
import { flagById } from './flags';

/** Two things in a record that cannot both hold. */
export interface Contradiction {
	readonly key: string;
	readonly one: string;
	readonly other: string;
	/** What to do. */
	readonly ask: string;
	/** The question that is asked again. */
	readonly flag: string;
}

/** Answers of which one says yes and the other no, where a yes to the first means a yes to the second. */
const FOLLOWS: readonly (readonly [yes: string, no: string, ask: string])[] = [
	['stroke', 'blood-thinner', 'After a stroke a blood thinner is usual. Does she take one?'],
	['past-clot', 'blood-thinner', 'After a clot a blood thinner is usual. Does she take one?'],
	['blood-clot', 'blood-thinner', 'With a clot a blood thinner is usual. Does she take one?']
];
/** Answers that cannot both be yes. */
const EXCLUDE: readonly (readonly [string, string, string])[] = [
	['pregnancy', 'isotretinoin', 'Isotretinoin is not taken in pregnancy. Which one holds?']
];
/** A mark that says what an answer denies. */
const MARKED: Partial<Record<MarkKind, string>> = {
	'filler-site': 'filler',
	'permanent-makeup': 'permanent-makeup',
	implant: 'implants'
};

const said = (answer: Answer): string => `${flagById(answer.flag)!.name}: ${answer.says}`;

/** Everything in a record that does not go together, each with the question which of the two holds. */
export function contradictionsOf(
	person: Pick<Person, 'answers' | 'marks' | 'preferences'>,
	media: readonly Medium[] = MEDIA
): Contradiction[] {
	const latest = latestAnswers(person.answers);
	const says = (flag: string, what: Answer['says']) => {
		const answer = latest.get(flag);
		return answer?.says === what ? answer : null;
	};
	const pairs = FOLLOWS.flatMap(([a, b, ask]): Contradiction[] => {
		const [yes, no] = [says(a, 'yes'), says(b, 'no')];
		return yes && no ? [{ key: `${a}/${b}`, one: said(yes), other: said(no), ask, flag: b }] : [];
	});
	const both = EXCLUDE.flatMap(([a, b, ask]): Contradiction[] => {
		const [one, other] = [says(a, 'yes'), says(b, 'yes')];
		return one && other ? [{ key: `${a}/${b}`, one: said(one), other: said(other), ask, flag: a }] : [];
	});
	const marked = person.marks.flatMap((mark): Contradiction[] => {
		const flag = MARKED[mark.kind];
		const no = flag && says(flag, 'no');
		if (!flag || !no || (mark.since && mark.since <= no.day && mark.kind !== 'implant')) return [];
		const ask = 'A mark on the map says otherwise. Which one holds?';
		return [{ key: `${flag}/${mark.id}`, one: said(no), other: `Mark: ${mark.kind.replaceAll('-', ' ')}`, ask, flag }];
	});
	const liked = person.preferences.likes.flatMap((id) => {
		const medium = media.find((m) => m.id === id);
		return [...latest.values()].flatMap((answer): Contradiction[] => {
			const flag = answer.says === 'yes' ? flagById(answer.flag) : undefined;
			const hit = flag?.effects.some((e) => e.does === 'media' && medium?.allergens.some((a) => e.without.includes(a)));
			if (!hit) return [];
			const ask = 'She is said to like it, and not to bear it. Which one holds?';
			return [
				{
					key: `${answer.flag}/${id}`,
					one: said(answer),
					other: `Likes ${medium!.title.toLowerCase()}`,
					ask,
					flag: answer.flag
				}
			];
		});
	});
	return [...pairs, ...both, ...marked, ...liked];
}
