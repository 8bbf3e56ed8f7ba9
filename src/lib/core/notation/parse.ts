import { MAX_TEXT, MAX_TITLE } from '../step/sizes';
import type { Block } from '../sequence/sequence.schema';
import { MAX_STEPS } from '../sequence/format';
import type { Step } from '../step/step.schema';
import type { CheekRoute } from '../atlas/route';
import type { Technique } from '../technique/technique.schema';
import { HEAD_LINES, readTitle, type Head } from './headLines';
import { tooMuch } from './price';
import { Misread, Reader, readerOf, tokensOf, type Trouble } from './reader';
import { readStep } from './stepLine';

/** Version of the notation; any change that older readers do not understand bumps it. */
export const NOTATION_VERSION = 2;
/** The first line of a whole text. */
export const NOTATION_LINE = `soft-tide notation ${NOTATION_VERSION}`;
/** More troubles than this are not listed: the text is something else. */
const MAX_TROUBLES = 100;

export interface ParsedStep {
	readonly step: Omit<Step, 'id'>;
	/** Its line, from 1. */
	readonly line: number;
}
export interface ParsedBlock {
	readonly title: string;
	readonly sides: Block['sides'];
	readonly passes?: number;
	readonly steps: ParsedStep[];
}
export interface ParsedPhase {
	readonly title: string;
	readonly exitAfter: boolean;
	readonly exitTitle?: string;
	readonly passes?: number;
	readonly comment?: string;
	readonly blocks: ParsedBlock[];
}
export interface Parsed {
	readonly head: Partial<Head>;
	readonly phases: readonly ParsedPhase[];
	/** Empty where all of it was understood. */
	readonly troubles: readonly Trouble[];
}

export interface ParseOptions {
	readonly techniqueOf?: (name: string) => Technique | undefined;
	/** The cheek route of the school, until a head line names a school. */
	readonly cheekRoute?: CheekRoute;
	/** Media of one's own that are known besides those that ship and those of the text. */
	readonly media?: readonly string[];
	/** How much a drop and a pump are; without it, the working values as they ship. */
	readonly amounts?: { readonly dropMl: number; readonly pumpMl: number };
}

/** What head lines add to, one by one. */
type Lists = { [K in 'choices' | 'changed' | 'techniques' | 'media']: NonNullable<Partial<Head>[K]> };

/** What may follow the title of a phase: how often, and whether a short version may end there, by its name. */
const PHASE_TAIL = /(?:,\s*(?<times>\d+)\s*times?\s*)?(?:,\s*(?<exit>may end here)(?:\s+as\s+(?<named>.+?))?\s*)?$/i;

/** Steps that stand before the first phase belong to one of this title. */
const FIRST_PHASE = 'Steps';

class Parser {
	head: Partial<Head> = {};
	phases: ParsedPhase[] = [];
	troubles: Trouble[] = [];
	#count = 0;
	/** The step line whose texts may still follow. */
	#open: { line: number; text: string; from: number; below: Reader[]; comment?: string } | null = null;
	/** Comment lines: they go with the step or the phase that follows. */
	#comment: string[] = [];
	#commentLength = 0;
	/** What head lines list, in one list each, however many lines there are. */
	readonly #lists = { choices: [], changed: [], techniques: [], media: [] } as unknown as Lists;

	constructor(private readonly options: ParseOptions) {
		this.#media.push(...(options.media ?? []));
	}

	line(number: number, text: string): void {
		try {
			// A mail program puts signs of quotation before what it hands on.
			const from = /^[\s>\u200b\ufeff]*/.exec(text)![0].length;
			const body = text.slice(from).trimEnd();
			if (!body) return;
			if (body.startsWith('#')) return this.#note(body, from);
			if (body.startsWith('..')) return this.#below(number, text, from + 2);
			this.finish();
			if (/^soft-tide\b/i.test(body)) return this.#version(body, from);
			if (body.startsWith('~~')) return this.#block(body.slice(2), from + 2);
			if (body.startsWith('~')) return this.#phase(body.slice(1), from + 1);
			const key = HEAD_LINES.find((h) => new RegExp(`^${h.key}(?=[\\s"{])`, 'i').test(body));
			if (key) return this.#headLine(key, body.slice(key.key.length), from + key.key.length);
			this.#open = { line: number, text: text.trimEnd(), from, below: [], ...this.#noted() };
		} catch (error) {
			this.#trouble(number, error);
		}
	}

	/** @throws {Misread} where the comment grows too long */
	#note(body: string, from: number): void {
		const said = body.slice(1).replace(/^ /, '');
		if (this.#commentLength + said.length > MAX_TEXT)
			throw new Misread(`At most ${MAX_TEXT} characters are allowed in a comment.`, from + 1, from + body.length + 1);
		this.#comment.push(said);
		this.#commentLength += said.length + 1;
	}

	/** The comment that goes with what stands here, if there is one. */
	#noted(): { comment?: string } {
		const comment = this.#comment.join('\n');
		[this.#comment, this.#commentLength] = [[], 0];
		return comment ? { comment } : {};
	}

	/**
	 * The step whose lines are over is read.
	 * @throws {Misread} caught by whoever reads the text: it becomes a trouble of its line
	 */
	finish(): void {
		const open = this.#open;
		this.#open = null;
		if (!open) return;
		try {
			const block = this.#lastBlock();
			const step = readStep(tokensOf(open.text, open.from), open.below, {
				cheekRoute: this.head.school?.cheekRoute ?? this.options.cheekRoute ?? 'either',
				techniqueOf: this.options.techniqueOf,
				media: this.#media,
				amounts: this.options.amounts,
				version: this.#version_,
				inBlock: block.sides !== 'asSteps'
			});
			if (++this.#count > MAX_STEPS)
				throw new Misread(`At most ${MAX_STEPS} steps are allowed in a sequence.`, 1, open.text.length + 1);
			const { comment } = open;
			block.steps.push({ step: comment === undefined ? step : { ...step, comment }, line: open.line });
		} catch (error) {
			this.#trouble(open.line, error);
		}
	}
	/** @throws {Misread} caught by whoever reads the text: it becomes a trouble of its line */
	#below(number: number, text: string, from: number): void {
		if (!this.#open)
			throw new Misread('A line that begins with two dots belongs under a step.', 1, text.length + 1, [
				'a step before it'
			]);
		const tokens = tokensOf(text, from);
		this.#open.below.push(new Reader(tokens, text.trimEnd().length + 1, number));
	}
	/** @throws {Misread} caught by whoever reads the text: it becomes a trouble of its line */
	#version(body: string, from: number): void {
		const version = Number(/notation\s+(\d+)/i.exec(body)?.[1]);
		if (!Number.isInteger(version))
			throw new Misread('The first line names the notation and its version.', from + 1, from + body.length + 1, [
				NOTATION_LINE
			]);
		if (version > NOTATION_VERSION)
			throw new Misread(
				`This text was written by a newer version of Soft Tide (notation ${version}; this one reads ${NOTATION_VERSION}). Update Soft Tide, or have it exported as a file of an older version.`,
				from + 1,
				from + body.length + 1,
				[NOTATION_LINE]
			);
		this.#version_ = version;
	}

	#version_: number | undefined;
	/** Media that are known by now: grown as they are named. */
	readonly #media: string[] = [];

	/** Kinds of head lines that were read. */
	readonly #given = new Set<string>();
	#headLine(line: (typeof HEAD_LINES)[number], rest: string, from: number): void {
		if (line.once && this.#given.has(line.key))
			throw new Misread(`“${line.key}” was said above already: it stands once.`, from - line.key.length + 1, from + 1, [
				`one line for ${line.key}, with “then” for what follows`
			]);
		this.#given.add(line.key);
		const found = line.read(rest, from, this.#media);
		const listed = Object.entries(this.#lists).flatMap(([name, list]) => {
			const more: readonly unknown[] = found[name as keyof Lists] ?? [];
			if (more.length) (list as unknown[]).push(...more);
			if (name === 'media') this.#media.push(...(found.media ?? []).map((m) => m.id));
			return list.length ? [[name, list]] : [];
		});
		this.head = { ...this.head, ...found, ...Object.fromEntries(listed) };
	}
	/** @throws {Misread} caught by whoever reads the text: it becomes a trouble of its line */
	#phase(rest: string, from: number): void {
		const tail = PHASE_TAIL.exec(rest)!;
		const { times, exit, named } = tail.groups as { times?: string; exit?: string; named?: string };
		const title = readTitle(rest.slice(0, tail.index), from);
		if (!title || title.length > MAX_TITLE)
			throw new Misread(`A title has 1 to ${MAX_TITLE} characters.`, from + 1, from + rest.length + 1, ['a title']);
		const passes = times === undefined ? {} : { passes: this.#times(Number(times), from, rest) };
		const exitTitle = named === undefined ? {} : { exitTitle: readTitle(named, from + rest.length - named.length) };
		this.phases.push({ title, exitAfter: exit !== undefined, ...passes, ...exitTitle, ...this.#noted(), blocks: [] });
	}

	/** @throws {Misread} where it is not done at least once, or more often than is allowed */
	#times(passes: number, from: number, rest: string): number {
		if (Number.isInteger(passes) && passes >= 1 && passes <= 9) return passes;
		throw new Misread('It is done 1 to 9 times.', from + 1, from + rest.length + 1, ['a number from 1 to 9']);
	}

	#block(rest: string, from: number): void {
		const reader = readerOf(rest, from);
		const phase = this.#lastPhase();
		if (reader.eat('nothing')) {
			reader.end();
			this.#emptyPhases.add(phase);
			return;
		}
		const each = reader.eat('side', 'by', 'side');
		if (!each && !reader.eat('one', 'by', 'one')) reader.fail(['side by side', 'one by one']);
		const right = each && reader.eat('from', 'right');
		if (each && !right) reader.eat('from', 'left');
		const passes =
			reader.next?.kind === 'number' ? { passes: this.#times(reader.number('how often'), from, rest) } : {};
		if ('passes' in passes && !reader.eat('times')) reader.need('time');
		const title = reader.done ? '' : reader.text('a title');
		reader.end();
		phase.blocks.push({
			title,
			sides: each ? { each: true, first: right ? 'right' : 'left' } : 'asSteps',
			...passes,
			steps: []
		});
	}

	readonly #emptyPhases = new Set<ParsedPhase>();

	#lastPhase(): ParsedPhase {
		if (!this.phases.length) this.phases.push({ title: FIRST_PHASE, exitAfter: false, blocks: [] });
		return this.phases.at(-1)!;
	}

	#lastBlock(): ParsedBlock {
		const phase = this.#lastPhase();
		if (!phase.blocks.length) phase.blocks.push({ title: '', sides: 'asSteps', steps: [] });
		return phase.blocks.at(-1)!;
	}
	/** @throws whatever is no misreading: a mistake of ours */
	#trouble(number: number, error: unknown): void {
		if (!(error instanceof Misread)) throw error;
		const { column, endColumn, message, expected, line = number } = error;
		this.troubles.push({ line, column, endColumn: Math.max(column + 1, endColumn), message, expected });
	}

	end(): Parsed {
		this.finish();
		for (const phase of this.phases)
			if (!phase.blocks.length && !this.#emptyPhases.has(phase))
				phase.blocks.push({ title: '', sides: 'asSteps', steps: [] });
		return { head: { ...this.head, ...this.#noted() }, phases: this.phases, troubles: this.troubles };
	}
}

/**
 * Reads a text of the notation: a whole sequence, or some lines of one. It reads on after a trouble and names all of them.
 * @param text what is more than `TEXT_LIMITS` is refused before it is read; lines end with a line feed, with or without a carriage return
 */
export function parse(text: string, options: ParseOptions = {}): Parsed {
	const refused = tooMuch(text);
	if (refused) return { head: {}, phases: [], troubles: [refused] };
	const parser = new Parser(options);
	const lines = text.split('\n');
	for (let i = 0; i < lines.length && parser.troubles.length < MAX_TROUBLES; i++)
		parser.line(i + 1, lines[i]!.replace(/\r$/, ''));
	return parser.end();
}

/** Where and what, in one sentence: what a screen reader says and an answer of the server holds. */
export const troubleText = ({ line, column, message, expected }: Trouble): string =>
	`Line ${line}, column ${column}: ${message}${expected.length ? ` Expected: ${expected.slice(0, 6).join(', or ')}.` : ''}`;
