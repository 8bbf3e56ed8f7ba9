import { capital } from '../capital';
import type { PlaceRef } from '../atlas/places';
import { StepSchema, type Step } from '../step/step.schema';
import { makeStep } from '../technique/makeStep';
import type { Technique } from '../technique/technique.schema';
import { AIMS, isStationary, type Aim } from '../vocabulary/vocabulary';
import { fieldWord } from '../step/stepFields';
import type { Clause, ReadContext } from './clause';
import { CLAUSES } from './clauses';
import { asInVersion1, bareStep, defaultMotion, doneBy } from './defaults';
import { aimRow } from '../vocabulary/vocabulary';
import { readWay, writeWay } from './placeWords';
import { clausesOf, Misread, Reader, tokensOf, type Token } from './reader';
import { wordsOf } from './words';

export const AIM_WORDS = wordsOf(AIMS, true);

export interface StepReadContext extends ReadContext {
	/** Finds a move of the library by its id or its title, for `as`. */
	readonly techniqueOf?: (name: string) => Technique | undefined;
	/** In a block that is done on one side and then the other, a step has no side of its own. */
	readonly inBlock: boolean;
}

/** Reads a clause; of one that nobody knows, says what was expected. */
function readClause(reader: Reader, context: ReadContext): { clause: Clause; change: Partial<Step> } {
	for (const clause of CLAUSES) {
		const change = clause.read(reader, context);
		if (!change) continue;
		reader.end();
		return { clause, change };
	}
	return reader.fail(
		['a hand or tool', 'a motion', 'a pressure', 'a count of repeats', 'a side', 'pace', 'then'],
		reader.next ? `“${reader.next.value}” is no part of a step that we know.` : 'A comma with nothing behind it.'
	);
}

/**
 * The step that a line begins from: its aim's own, or a move of the library where the line says `as`.
 * @throws {Misread} for a move that is not in the library
 */
function baseOf(aim: Aim, places: PlaceRef[], as: Reader | undefined, context: StepReadContext): Omit<Step, 'id'> {
	if (!as) return bareStep(aim, places, context.version);
	as.need('as');
	const [column, endColumn] = as.span;
	const name = as.name('a move of the library');
	as.end();
	const technique = context.techniqueOf?.(name);
	if (!technique)
		throw new Misread(`“${name}” is no move of the library.`, column, endColumn, ['a move of the library, by its id']);
	const { id: _id, side: _side, ...made } = makeStep(technique, { id: 'x', ...(places.length ? { places } : {}) });
	return { ...made, aim };
}

/** Nothing is dropped: of two clauses that speak of the same, the second is named. */
function saidTwice(reader: Reader, same: boolean, field: keyof Step): Misread {
	const message = same
		? 'This is said twice in one step.'
		: `This contradicts what the step says of its ${fieldWord(field)} before.`;
	return new Misread(message, reader.column, reader.endColumn, ['one of the two'], reader.line);
}

/** A problem of the whole step, shown at the clause that set the field. */
function misreadOf(path: PropertyKey | undefined, message: string, spans: ReadonlyMap<string, Reader>, line: Reader) {
	const clause = CLAUSES.find((c) => c.fields.includes(path as keyof Step) && spans.has(c.id));
	const at = (clause && spans.get(clause.id)) ?? (path === 'places' ? spans.get('places') : undefined) ?? line;
	return new Misread(`${capital(message)}.`, at.column, at.endColumn, [], at.line);
}

/**
 * A step from its line and the lines of its texts, without an id.
 * @throws {Misread} with the column of the first thing that cannot be understood
 */
export function readStep(
	tokens: readonly Token[],
	below: readonly Reader[],
	context: StepReadContext
): Omit<Step, 'id'> {
	const [head, ...clauses] = clausesOf(tokens);
	const aim = head!.phrase(AIM_WORDS) ?? head!.fail(Object.keys(AIMS));
	const known = { ...context, aim };
	const way = head!.done ? [] : readWay(head!, known);
	head!.end();
	const spans = new Map<string, Reader>([['places', head!]]);
	const as = clauses.find((c) => c.next?.value.toLowerCase() === 'as');
	const base = baseOf(aim, way, as, context);
	// What the line does not say follows from how many places it has, as the aim would have it.
	let step: Partial<Step> = base;
	const said = new Map<keyof Step, string>();
	const onWay = { ...known, places: way };
	for (const reader of [...clauses.filter((c) => c !== as), ...below]) {
		const { clause, change } = readClause(reader, onWay);
		const fields = Object.keys(change) as (keyof Step)[];
		const again = fields.find((field) => said.has(field));
		const joined = again && clause.joins?.(step, change);
		if (again && !joined) throw saidTwice(reader, clause.id === said.get(again), again);
		spans.set(clause.id, reader);
		for (const field of fields) said.set(field, clause.id);
		step = { ...step, ...(joined || change) };
	}
	// Ways of lanes are counted, unless the line counts them; then the two must agree.
	if (said.has('laneWays') && !said.has('lanes')) step = { ...step, lanes: step.laneWays!.length + 1 };
	if (context.version === 1) step = asInVersion1(step, said);
	if (context.inBlock && step.side !== undefined && step.side !== 'midline')
		throw misreadOf(
			'side',
			'a step of this block has no side of its own but midline: the block is done side by side',
			spans,
			head!
		);
	const sided = context.inBlock ? step : { ...step, side: step.side ?? 'both' };
	const parsed = StepSchema.safeParse({
		...Object.fromEntries(Object.entries(sided).filter(([, v]) => v !== undefined)),
		id: 'x'
	});
	if (!parsed.success) {
		const issue = parsed.error.issues[0]!;
		throw misreadOf(issue.path[0], `${fieldWord(issue.path[0])}: ${issue.message}`, spans, head!);
	}
	const { id: _id, ...made } = parsed.data;
	return made;
}

/** A step line of its own, as it is typed into the command line. @throws {Misread} */
export const readStepLine = (line: string, context: StepReadContext): Omit<Step, 'id'> =>
	readStep(tokensOf(line), [], context);

/** The lines of a step: itself, and one for each of its texts. */
export function writeStep(step: Step): string[] {
	const bare = {
		contact: aimRow(step.aim).usual.contact,
		motion: defaultMotion(step.aim, step.places.length),
		pressure: aimRow(step.aim).usual.pressure,
		paceSeconds: aimRow(step.aim).usual.paceSeconds,
		by: doneBy(step.aim)
	};
	const way = step.places.length ? ` ${writeWay(step.places, isStationary(step.motion))}` : '';
	const said = CLAUSES.map((clause) => ({ clause, text: clause.write({ step, bare }) })).filter((c) => c.text !== null);
	const line = [`${step.aim}${way}`, ...said.filter((c) => !c.clause.below).map((c) => c.text)].join(', ');
	return [line, ...said.filter((c) => c.clause.below).map((c) => `.. ${c.text}`)];
}
