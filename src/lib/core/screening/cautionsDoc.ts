import { newAnswer } from '../client/answers';
import { MARK_KINDS, markRow } from '../client/marks';
import { AREAS } from './areas';
import { effectWords } from './allowed';
import { CHAPTERS, SURENESS, type ChapterId, type Effect } from './flag';
import { FLAGS, type ChapterFlag } from './flags';
import { LICENCE_IDS, licenceRow } from './licence';
import { limitsOfAnswer } from './limits';
import { HOW_QUICKLY, RED_FLAGS } from './redFlags';
import { whichWords } from './which';

const DAY = '2026-01-01';

/** Where an effect holds, as it stands before anybody has answered. */
function whereWords(effect: Effect): string {
	if (!('where' in effect) || !effect.where || effect.where === 'everywhere') return '';
	if ('area' in effect.where) return AREAS[effect.where.area].label;
	return `where she says${effect.where.around ? ', and around' : ''}; untold: ${AREAS[effect.where.else].label}`;
}
const days = ({ days: n }: Effect): string => (n === undefined ? '' : ` for ${n} days`);

function does(flag: ChapterFlag): string[] {
	const answer = newAnswer({ flag: flag.id, says: 'yes', since: DAY, day: DAY, at: `${DAY}T08:00:00Z` });
	const limits = limitsOfAnswer(flag, answer, [], DAY);
	return flag.effects.map((effect, i) => {
		const limit = limits[i]!;
		const where = whereWords(effect);
		const what = effectWords(limit).replace(/: .*$/, '');
		const said = limit.does === 'mind' ? `Say: “${limit.say}”` : what;
		const of = limit.does === 'mind' && limit.which ? `, with ${whichWords(limit.which)}` : '';
		return `${said}${of}${where ? ` (${where})` : ''}${days(effect)} · ${limit.severity}`;
	});
}

const section = (flag: ChapterFlag): string =>
	[
		`**${flag.name}.** “${flag.question}”${flag.help ? ` ${flag.help}` : ''} ${flag.reason}`,
		'',
		...does(flag).map((line) => `- ${line}`),
		...(flag.ask ? [`- To ask her doctor, or whoever did it: ${flag.ask}`] : []),
		`- ${SURENESS[flag.sure]}.`
	].join('\n');

const chapter = (id: ChapterId): string[] => [
	`## ${CHAPTERS[id]}`,
	...FLAGS.filter((f) => f.chapter === id).map(section)
];

/** The page of the cautions, for practitioners; a test holds docs/cautions.md to it. */
export function cautionsDoc(): string {
	const head = [
		'# Cautions',
		'',
		'Made from `src/lib/core/screening/`; do not edit by hand. `npm run docs` writes it anew, and a test compares.',
		'',
		`What Soft Tide asks before a massage, ${FLAGS.length} questions, and what an answer does to a plan. It is not medical care and knows less than a doctor: whatever your licence, your training and your local code say goes first, and so does the date that a surgeon or an injector gave. Days are calendar days of the practice; a waiting period clears itself on the day it ends. “Not sure” counts as yes until it is known. A place that was not told holds for the whole area where it may be.`,
		'',
		'`stop` may hurt: a start wants a reason, which is kept. “Refer” ends the day and cannot be passed over. `caution` limits; `advice` is said. Several limits at one place: the strictest counts, and all are named.',
		'',
		'**Where the figures come from.** All numbers of days, levels and minutes here are working values: usual teaching, not measured by us. We cite nothing here that we are not certain of. For the anatomy behind the ways of the fluid: Pan, Le Roux, Briggs, Plast Reconstr Surg 2011;127(2):611.'
	].join('\n');
	const marks = [
		'## Marks on the map',
		MARK_KINDS.map((kind) => {
			const row = markRow(kind);
			const parts = [
				row.asks,
				row.level === null ? '' : `level ${row.level} at most in its zone`,
				row.restDays === null ? '' : `its zone left alone for ${row.restDays} days (working value)`
			];
			return `- **${row.label}**: ${parts.filter(Boolean).join('; ')}.`;
		}).join('\n')
	];
	const red = [
		'## What makes one stop and refer',
		RED_FLAGS.map((f) => `- **${f.sign}.** ${f.what} ${f.first} ${HOW_QUICKLY[f.how]}.`).join('\n')
	];
	const codes = [
		'## Local codes',
		'What the practice can note about its licence; what is not covered is said at every step.',
		LICENCE_IDS.map((id) => `- **${licenceRow(id).label}**: ${licenceRow(id).what}`).join('\n')
	];
	return `${[head, ...(Object.keys(CHAPTERS) as ChapterId[]).flatMap(chapter), ...marks, ...red, ...codes].join('\n\n')}\n`;
}
