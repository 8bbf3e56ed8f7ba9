import { HighlightStyle, StreamLanguage, syntaxHighlighting, type StreamParser } from '@codemirror/language';
import { tags } from '@lezer/highlight';
import { NODES } from '$lib/core/atlas/nodes';
import { HEAD_LINES } from '$lib/core/notation/headLines';
import { AIMS } from '$lib/core/vocabulary/vocabulary';
import { AIM_TONE } from '../../../parts/glyphs/aimGlyphs';

interface State {
	/** What the line is, once its first word is read. */
	line: 'start' | 'step' | 'head' | 'below';
}

const KEYS = new Set(HEAD_LINES.map((h) => h.key));

/** A node group by its label or its id, with its side. */
const NODE = new RegExp(
	`^(${Object.values(NODES)
		.map((node) => node.label)
		.join('|')}|n:[a-z-]+)(:left|:right)?(?![\\p{L}-])`,
	'iu'
);

/** Colours a line as it is typed; what it means is asked of the grammar. */
const parser: StreamParser<State> = {
	startState: () => ({ line: 'start' }),
	token(stream, state) {
		if (stream.sol()) state.line = 'start';
		if (stream.eatSpace()) return null;
		if (state.line === 'start') {
			if (stream.match(/^~~?/)) {
				stream.skipToEnd();
				return 'heading';
			}
			if (stream.match('..')) {
				state.line = 'below';
				return 'comment';
			}
			if (stream.match(/^soft-tide\b.*/i)) return 'comment';
			const word = String((stream.match(/^[a-z-]+/i) as RegExpMatchArray | null)?.[0] ?? '').toLowerCase();
			state.line = KEYS.has(word) ? 'head' : 'step';
			if (state.line === 'head') return 'propertyName';
			return word in AIMS ? `aim-${AIM_TONE[word as keyof typeof AIMS]}` : (stream.next(), null);
		}
		if (stream.match(/^"(?:[^"\\]|\\.)*"?/)) return 'string';
		if (state.line === 'below') {
			stream.next();
			stream.eatWhile(/[^"]/);
			return 'comment';
		}
		if (stream.match(/^\d+(\.\d+)?/)) return 'number';
		if (stream.match(/^[>→+]/)) return 'operator';
		if (stream.match(NODE)) return 'atom';
		if (!stream.match(/^[\p{L}\d:'-]+/u)) stream.next();
		return null;
	},
	tokenTable: Object.fromEntries(
		[...new Set(Object.values(AIM_TONE))].map((tone, i) => [
			`aim-${tone}`,
			[
				tags.keyword,
				tags.controlKeyword,
				tags.definitionKeyword,
				tags.moduleKeyword,
				tags.operatorKeyword,
				tags.modifier,
				tags.self
			][i % 7]!
		])
	)
};

const tones = [...new Set(Object.values(AIM_TONE))];
const aimTags = [
	tags.keyword,
	tags.controlKeyword,
	tags.definitionKeyword,
	tags.moduleKeyword,
	tags.operatorKeyword,
	tags.modifier,
	tags.self
];

const style = HighlightStyle.define([
	...tones.map((tone, i) => ({
		tag: aimTags[i % 7]!,
		color: `var(--${tone === 'open' ? 'opentext' : tone})`,
		fontWeight: '600'
	})),
	{ tag: tags.heading, fontWeight: '600', fontVariationSettings: "'FLAR' 100" },
	{ tag: tags.comment, color: 'var(--ink2)' },
	{ tag: tags.string, color: 'var(--ink2)', fontStyle: 'oblique 8deg' },
	{ tag: tags.number, fontWeight: '600' },
	{ tag: tags.operator, color: 'var(--drain)', fontWeight: '600' },
	{ tag: tags.atom, color: 'var(--opentext)' },
	{ tag: tags.propertyName, color: 'var(--ink3)' }
]);

export const notationLanguage = [StreamLanguage.define(parser), syntaxHighlighting(style)];
