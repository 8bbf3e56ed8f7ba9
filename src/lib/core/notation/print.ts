import type { Phase, Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { inQuotes } from './clause';
import { HEAD_LINES, titleWord } from './headLines';
import { NOTATION_LINE } from './parse';
import { writeStep } from './stepLine';

function blockLine(block: Phase['blocks'][number]): string {
	const how = block.sides === 'asSteps' ? 'one by one' : 'side by side';
	const first = block.sides !== 'asSteps' && block.sides.first === 'right' ? ' from right' : '';
	const times = block.passes === undefined ? '' : ` ${block.passes} ${block.passes === 1 ? 'time' : 'times'}`;
	return `~~ ${how}${first}${times}${block.title ? ` ${inQuotes(block.title)}` : ''}`;
}

const exitWord = ({ exitAfter, exitTitle }: Phase): string =>
	exitAfter ? `, may end here${exitTitle === undefined ? '' : ` as ${titleWord(exitTitle)}`}` : '';

/** Comment lines as they stand in a text, before what they belong to. */
const commentLines = (comment: string | undefined): string[] =>
	comment?.split('\n').map((line) => (line ? `# ${line}` : '#')) ?? [];

const stepLines = (step: Step): string[] => [...commentLines(step.comment), ...writeStep(step)];

/** The lines of a phase: its title, its blocks where there is something to say of them, its steps. */
export function writePhase(phase: Phase): string[] {
	const [only] = phase.blocks;
	const plain =
		phase.blocks.length === 1 && only!.sides === 'asSteps' && only!.title === '' && only!.passes === undefined;
	return [
		...commentLines(phase.comment),
		`~ ${titleWord(phase.title)}${phase.passes === undefined ? '' : `, ${phase.passes} times`}${exitWord(phase)}`,
		...(phase.blocks.length ? [] : ['~~ nothing']),
		...phase.blocks.flatMap((block) => [...(plain ? [] : [blockLine(block)]), ...block.steps.flatMap(stepLines)])
	];
}

/** The head, line by line. */
export const writeHead = (sequence: Sequence): string[] =>
	HEAD_LINES.flatMap((line) => line.write(sequence).map((rest) => `${line.key} ${rest}`));

/** A whole sequence as text: everything but ids, history and mutes. */
export const print = (sequence: Sequence): string =>
	[
		NOTATION_LINE,
		...writeHead(sequence),
		...sequence.phases.flatMap((p) => ['', ...writePhase(p)]),
		'',
		...commentLines(sequence.comment)
	].join('\n');

/** Some steps as text for the clipboard; with the version, so that another Soft Tide knows what it reads. */
export const printSteps = (steps: readonly Step[]): string =>
	[NOTATION_LINE, ...steps.flatMap(stepLines), ''].join('\n');
