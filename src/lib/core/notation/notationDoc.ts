import { LEVEL_NAMES } from '../step/levels';
import { AIMS, CONTACTS, type Aim, type Contact } from '../vocabulary/vocabulary';
import { CLAUSES } from './clauses';
import { aimRow } from '../vocabulary/vocabulary';
import { HEAD_LINES } from './headLines';
import { NOTATION_LINE } from './parse';
import { contactWord, MOTION_WORDS, motionWord } from './words';

/** The text that the page shows; the test reads it without a trouble. */
export const SAMPLE = `${NOTATION_LINE}
title Morning ferry
school outlet-first
time 10:00
goals morning-depuff 1, under-eye 0.5

~ Open
settle chest below the collarbone, 3 breaths
open collarbone nodes
open nodes under the jaw + nodes below the ear, 7 (5 to 10)

~ Face, may end here
drain chin > jawline > under the jaw > nodes under the jaw, index hook, 8 each side
drain lower eyelid > nodes before the ear, ring finger, in turn from right, then nodes below the ear > collarbone nodes 3 pumps
.. note "slower near the scar"
~~ side by side
release chewing muscle, knuckles, firm, 40 s
lift jawline > front of the ear, with stone plate long concave 15°, 5

~ Close
close nodes below the ear > side of the neck > collarbone nodes
`;

/** The lines of a sequence as text: how each is written, and what it is. */
export const LINES: readonly (readonly [form: string, says: string])[] = [
	[NOTATION_LINE, 'The first line: the notation and its version. It may be left out; a newer version is refused.'],
	['~ <title>, may end here', 'A phase. “May end here”: a short version may stop after it.'],
	[
		'~~ side by side [from right] ["<title>"]',
		'A block whose steps are all done on one side, then all on the other; they have no side of their own.'
	],
	[
		'~~ one by one ["<title>"]',
		'A block whose steps have their own sides. Where a phase has one such block only, the line is left out.'
	],
	['~~ nothing', 'The phase has no block at all.'],
	[
		'<aim> <path>, <clause>, …',
		'A step. Clauses come in any order, each once. “>” leads on and fills what lies between, “+” adds a place and leaves the gap.'
	],
	[
		'as <move>',
		'Among the clauses: begins from a move of the library, with all that it says; what the line says besides wins. It is written back in full, so that the text means the same with another library.'
	],
	['.. <clause>', 'Goes on with the step above: its texts stand there.'],
	['# <anything>', 'A comment. It goes with the step or the phase below it, and is kept with the sequence.']
];

const code = (text: string): string => `\`${text.replaceAll('|', '\\|')}\``;
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] => [
	`| ${head.join(' | ')} |`,
	`| ${head.map(() => '---').join(' | ')} |`,
	...rows.map((row) => `| ${row.join(' | ')} |`)
];

/** docs/notation.md, made from the grammar itself. */
export function notationDoc(): string {
	return `${[
		'# The notation',
		'',
		'<!-- Made from src/lib/core/notation by `npm run docs`; a test keeps both the same. -->',
		'',
		'A sequence as text: to type it at the speed of speech, to read it, to mail it, to compare it. It says everything of a sequence but',
		'its ids, its undo history and the findings that were set aside. `parse` reads it, `print` writes it, and what is written is read back',
		'the same, whatever the sequence.',
		'',
		'```',
		SAMPLE.trimEnd(),
		'```',
		'',
		'## Lines',
		'',
		...table(
			['line', 'what it is'],
			LINES.map(([form, says]) => [code(form), says])
		),
		'',
		'## Paths',
		'',
		'A place is written by its label, with `:left` or `:right` where the path crosses the midline; its id (`lower-eyelid`, `n:submandibular`) is understood as well.',
		'`>` leads from one place to the next, and fills what lies between by the route of the drainage, on the cheek as the school prefers.',
		'`+` adds a place and leaves the gap as it is: for moves that stay on several places, or a path that is meant to jump.',
		'',
		'## Clauses of a step',
		'',
		...table(
			['form', 'what it says', 'example'],
			CLAUSES.map((c) => [code(c.form), c.says, code(c.below ? `.. ${c.example}` : c.example)])
		),
		'',
		`Hands: ${(Object.keys(CONTACTS) as Contact[])
			.filter((c) => c !== 'tool')
			.map(contactWord)
			.join(', ')}.`,
		'',
		`Motions: ${[...new Set(MOTION_WORDS.values())].map(motionWord).join(', ')}.`,
		'',
		'## What goes without saying',
		'',
		'What a line leaves out follows from its aim (working values). Repeats without a range are three fifths to three halves of their target.',
		'Side: both.',
		'',
		...table(
			['aim', 'hand', 'motion on one place', 'along a path', 'pressure', 'repeats', 'pace'],
			(Object.keys(AIMS) as Aim[]).map((aim) => {
				const d = aimRow(aim).usual;
				return [
					aim,
					contactWord(d.contact),
					motionWord(d.spot),
					motionWord(d.way),
					LEVEL_NAMES[d.pressure],
					`${d.dose[1]} ${d.dose[0]}`,
					`${d.paceSeconds} s`
				];
			})
		),
		'',
		'## The head',
		'',
		'Without a line of its kind, title, school and time stay as they are; everything else is at its plainest.',
		'',
		...table(
			['form', 'what it says', 'example'],
			HEAD_LINES.map((h) => [code(h.form), h.says, h.example ? code(h.example) : ''])
		),
		'',
		'## Troubles',
		'',
		'Each says its line, its column and what was expected. Reading goes on with the next line. The editor keeps the last sequence that could be',
		'read while the text has troubles. Ids stay with their lines: the same line keeps its id wherever it goes, and a line between two that',
		'stayed keeps the id of the one that stood there.'
	].join('\n')}\n`;
}
