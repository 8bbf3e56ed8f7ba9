/** One word, number, text or sign of a line, with where it stands. Columns count from 1, as an editor shows them. */
export interface Token {
	readonly kind: 'word' | 'number' | 'text' | 'sign';
	/** As written; of a text, what it says. */
	readonly value: string;
	readonly column: number;
	/** Column after its last character. */
	readonly endColumn: number;
}

/** What is wrong at a place of the notation: where, why, and what would be understood there. */
export interface Trouble {
	/** From 1. */
	readonly line: number;
	/** From 1. */
	readonly column: number;
	readonly endColumn: number;
	readonly message: string;
	readonly expected: readonly string[];
}

/** Thrown inside the reader only; `parse` turns it into a trouble with its line. */
export class Misread extends Error {
	constructor(
		message: string,
		readonly column: number,
		readonly endColumn: number,
		readonly expected: readonly string[] = [],
		/** Given where it is another line than the one being read. */
		readonly line?: number
	) {
		super(message);
	}
}

/** Quotation marks that mail programs put in the place of straight ones, each with what may close it. */
const QUOTES: Record<string, string> = { '“': '”“', '„': '“”', '«': '»' };
const WORD = /\p{L}[\p{L}\d_]*(?:[-:’'][\p{L}\d_]+)*/uy;
const NUMBER = /\d+(?:\.\d+)?(?:e[+-]?\d+)?/y;
const SPACE = /[\s\u200b\ufeff]+/y;
const STRAIGHT = /"(?:[^"\\]|\\.)*"/y;
/** What of a pattern stands at a place of a line. It is looked for there only, and the rest of the line is not copied. */
function standsAt(pattern: RegExp, line: string, at: number): string | undefined {
	pattern.lastIndex = at;
	return pattern.exec(line)?.[0];
}

/** Most tokens of a line: a step of 40 places with all its clauses has about 300. */
const MAX_TOKENS = 4000;

/**
 * A quoted text from its opening mark: what it says, and its length in the line.
 * @throws {Misread} where the text does not end or is none
 */
function quoted(line: string, at: number): { value: string; length: number } {
	const open = () => new Misread('This text is opened and never closed.', at + 1, line.length + 1, ['a closing "']);
	const closers = QUOTES[line[at]!];
	if (closers) {
		const ends = [...closers].map((c) => line.indexOf(c, at + 1)).filter((end) => end >= 0);
		if (!ends.length) throw open();
		const end = Math.min(...ends);
		return { value: line.slice(at + 1, end), length: end - at + 1 };
	}
	const found = standsAt(STRAIGHT, line, at);
	if (!found) throw open();
	try {
		return { value: JSON.parse(found) as string, length: found.length };
	} catch {
		throw new Misread('A sign in this text has a backslash that means nothing.', at + 1, at + 1 + found.length, [
			'\\" for a quotation mark, \\n for a new line, \\\\ for a backslash'
		]);
	}
}

/** The tokens of a line. @throws {Misread} at a sign that has no meaning, a text that is never closed, or where there are too many */
export function tokensOf(line: string, from = 0): Token[] {
	const tokens: Token[] = [];
	let at = from;
	const push = (kind: Token['kind'], value: string, length: number) => {
		tokens.push({ kind, value, column: at + 1, endColumn: at + 1 + length });
		at += length;
	};
	while (at < line.length) {
		if (tokens.length >= MAX_TOKENS)
			throw new Misread(`At most ${MAX_TOKENS} words and signs are read in a line.`, at + 1, line.length + 1);
		const sign = line[at]!;
		const space = standsAt(SPACE, line, at);
		const word = space ? undefined : standsAt(WORD, line, at);
		const number = space || word ? undefined : standsAt(NUMBER, line, at);
		if (space) at += space.length;
		else if (word) push('word', word, word.length);
		else if (number) push('number', number, number.length);
		else if (sign === '"' || QUOTES[sign]) {
			const { value, length } = quoted(line, at);
			push('text', value, length);
		} else if ('>+,()×°→–-'.includes(sign)) push('sign', sign === '→' ? '>' : sign === '–' ? '-' : sign, 1);
		else
			throw new Misread(`“${sign}” means nothing here.`, at + 1, at + 2, ['a place', 'a comma', 'a text in "quotes"']);
	}
	return tokens;
}

/** Words compared without capitals, and with a hyphen as a space. */
export const plain = (text: string): string => text.toLowerCase().trim().replaceAll(' ', '-');
/** Several words as one, as the tables of words know them. */
export const plainWords = (tokens: readonly Token[]): string => plain(tokens.map((t) => t.value).join('-'));

/** Reads the tokens of one clause from left to right. */
export class Reader {
	#at = 0;
	constructor(
		readonly tokens: readonly Token[],
		/** Column after the clause: where something is missing. */
		readonly endColumn: number,
		/** Its line, where it is not that of the step. */
		readonly line?: number
	) {}

	get column(): number {
		return this.tokens[0]?.column ?? this.endColumn;
	}
	get next(): Token | undefined {
		return this.tokens[this.#at];
	}
	get done(): boolean {
		return this.#at >= this.tokens.length;
	}
	/** The tokens not yet read. */
	get rest(): readonly Token[] {
		return this.tokens.slice(this.#at);
	}

	/** Passes over some words if they come next. */
	eat(...words: readonly string[]): boolean {
		if (!words.every((w, i) => this.tokens[this.#at + i]?.value.toLowerCase() === w)) return false;
		this.#at += words.length;
		return true;
	}

	/** @throws {Misread} if the words do not come next */
	need(...words: readonly string[]): void {
		if (!this.eat(...words)) this.fail([words.join(' ')]);
	}

	number(what: string): number {
		const token = this.next;
		if (token?.kind !== 'number') return this.fail([what]);
		this.#at += 1;
		return Number(token.value);
	}

	text(what: string): string {
		const token = this.next;
		if (token?.kind !== 'text') return this.fail([`${what} in "quotes"`]);
		this.#at += 1;
		return token.value;
	}

	/** A word, or a text in quotes. */
	name(what: string): string {
		const token = this.next;
		if (token?.kind !== 'word' && token?.kind !== 'text') return this.fail([what]);
		this.#at += 1;
		return token.value;
	}

	/** The longest run of words that a table knows; null where none begins here. */
	phrase<T>(table: ReadonlyMap<string, T>): T | null {
		let end = this.#at;
		while (this.tokens[end] && ['word', 'number'].includes(this.tokens[end]!.kind) && end - this.#at < 7) end += 1;
		for (; end > this.#at; end--) {
			const found = table.get(plainWords(this.tokens.slice(this.#at, end)));
			if (found === undefined) continue;
			this.#at = end;
			return found;
		}
		return null;
	}

	/** What a table knows by all the words that are left; null where it knows none of that name, and nothing is read. */
	whole<T>(table: ReadonlyMap<string, T>): T | null {
		const found = table.get(plainWords(this.rest));
		if (found === undefined) return null;
		this.#at = this.tokens.length;
		return found;
	}

	/** Where the next token stands, or the end of the clause. */
	get span(): [number, number] {
		const token = this.next;
		return token ? [token.column, token.endColumn] : [this.endColumn, this.endColumn];
	}
	/** @throws {Misread} always: what was expected here */
	fail(expected: readonly string[], message?: string): never {
		const [column, endColumn] = this.span;
		const found = this.next ? `“${this.next.value}” was not expected here.` : 'Something is missing here.';
		throw new Misread(message ?? found, column, endColumn, expected, this.line);
	}

	/** @throws {Misread} if something of the clause is left over */
	end(): void {
		if (!this.done) this.fail(['a comma', 'the end of the line']);
	}
}

/** A reader of the rest of a line, which begins at an index of it. */
export const readerOf = (rest: string, from: number): Reader =>
	new Reader(tokensOf(' '.repeat(from) + rest, from), from + rest.length + 1);

/** The clauses of a line: its tokens between commas, each with where it ends. */
export function clausesOf(tokens: readonly Token[]): Reader[] {
	const clauses: Reader[] = [];
	let run: Token[] = [];
	for (const token of tokens) {
		if (token.kind === 'sign' && token.value === ',') {
			clauses.push(new Reader(run, token.column));
			run = [];
		} else run.push(token);
	}
	clauses.push(new Reader(run, tokens.at(-1)?.endColumn ?? 1));
	return clauses;
}
