import {
	acceptCompletion,
	autocompletion,
	completionKeymap,
	completionStatus,
	type CompletionContext,
	type CompletionResult
} from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { lintKeymap, setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { EditorState, Prec, StateEffect, StateField, type Extension } from '@codemirror/state';
import { Decoration, EditorView, hoverTooltip, keymap, placeholder, type DecorationSet } from '@codemirror/view';
import { complete, type CompleteOptions } from '$lib/core/notation/complete';
import { explain } from '$lib/core/notation/explain';
import type { Trouble } from '$lib/core/notation/reader';
import { notationLanguage } from './highlight';
import { editorTheme } from './theme';

export interface EditorOptions {
	readonly parent: HTMLElement;
	readonly text: string;
	/** One line only: Enter does what is written. */
	readonly single: boolean;
	/** Read by a screen reader. */
	readonly label: string;
	readonly hint?: string;
	readonly complete: CompleteOptions;
	/** After every change by hand, not after `setText`. */
	readonly onchange: (text: string) => void;
	readonly onenter?: (text: string) => void;
	readonly onescape?: () => void;
	/** The line in which the cursor stands, from 1. */
	readonly online?: (line: number) => void;
	/** Several lines were pasted into the one line. */
	readonly onlines?: (text: string) => void;
	readonly onblur?: () => void;
}
export interface Editor {
	readonly text: string;
	/** Replaces what differs; the cursor stays where it is. */
	setText(text: string): void;
	setTroubles(troubles: readonly Trouble[]): void;
	/** Marks a line, from 1, and brings it into sight unless one is typing. */
	setLine(line: number | null): void;
	goTo(line: number, column: number): void;
	focus(): void;
	destroy(): void;
}

const markLine = StateEffect.define<number | null>();
const lineMark = StateField.define<DecorationSet>({
	create: () => Decoration.none,
	update(marks, tr) {
		for (const effect of tr.effects) {
			if (!effect.is(markLine)) continue;
			const line = effect.value;
			if (line === null || line > tr.state.doc.lines) return Decoration.none;
			return Decoration.set([Decoration.line({ class: 'cm-step' }).range(tr.state.doc.line(line).from)]);
		}
		return marks.map(tr.changes);
	},
	provide: (field) => EditorView.decorations.from(field)
});

/** The texts under a step are kept to one quiet line each, except where the cursor is. */
const quietTexts = StateField.define<DecorationSet>({
	create: (state) => quietLines(state),
	update: (marks, tr) => (tr.docChanged || tr.selection ? quietLines(tr.state) : marks),
	provide: (field) => EditorView.decorations.from(field)
});
function quietLines(state: EditorState): DecorationSet {
	const at = state.doc.lineAt(state.selection.main.head).number;
	const marks = [];
	for (let n = 1; n <= state.doc.lines; n++) {
		const line = state.doc.line(n);
		if (n !== at && line.text.startsWith('..')) marks.push(Decoration.line({ class: 'cm-below' }).range(line.from));
	}
	return Decoration.set(marks);
}

function completionsOf(context: CompletionContext, options: CompleteOptions): CompletionResult | null {
	const line = context.state.doc.lineAt(context.pos);
	const found = complete(line.text.slice(0, context.pos - line.from), options);
	if (!found?.options.length) return null;
	return {
		from: line.from + found.from,
		options: found.options.map((o, i) => ({
			label: o.text,
			detail: o.detail,
			type: o.kind,
			boost: -i / found.options.length
		})),
		validFor: /^[\p{L}\d: .'-]*$/u
	};
}

const explanations = hoverTooltip((view, pos) => {
	const line = view.state.doc.lineAt(pos);
	const found = explain(line.text, pos - line.from);
	if (!found) return null;
	return {
		pos: line.from + found.from,
		end: line.from + found.to,
		create: () => {
			const dom = document.createElement('div');
			dom.className = 'cm-explain';
			dom.textContent = found.text;
			return { dom };
		}
	};
});

function diagnosticOf(state: EditorState, trouble: Trouble): Diagnostic | null {
	if (trouble.line > state.doc.lines) return null;
	const line = state.doc.line(trouble.line);
	const from = Math.min(line.from + trouble.column - 1, line.to);
	const expected = trouble.expected.length ? ` Expected: ${trouble.expected.slice(0, 6).join(', or ')}.` : '';
	return {
		from,
		to: Math.min(line.to, line.from + trouble.endColumn - 1),
		severity: 'error',
		message: trouble.message + expected
	};
}

/** Opens an editor for the notation. Its styles live in a shadow root: the page's policy allows no style elements. */
export function openEditor(options: EditorOptions): Editor {
	const root = options.parent.shadowRoot ?? options.parent.attachShadow({ mode: 'open' });
	let quiet = false;
	const oneLine: Extension = options.single
		? [
				EditorState.transactionFilter.of((tr) => (tr.newDoc.lines > 1 ? [] : tr)),
				Prec.highest(
					EditorView.domEventHandlers({
						paste: (e) => {
							const text = e.clipboardData?.getData('text/plain').trim() ?? '';
							if (!text.includes('\n')) return false;
							e.preventDefault();
							options.onlines?.(text);
							return true;
						}
					})
				),
				keymap.of([
					{ key: 'Mod-Enter', run: (view) => (options.onenter?.(view.state.doc.toString()), true) },
					{
						key: 'Enter',
						run: (view) => {
							if (completionStatus(view.state) === 'active' && acceptCompletion(view)) return true;
							options.onenter?.(view.state.doc.toString());
							return true;
						}
					}
				])
			]
		: EditorView.lineWrapping;
	const view = new EditorView({
		root: root as ShadowRoot,
		parent: root as unknown as Element,
		state: EditorState.create({
			doc: options.text,
			extensions: [
				history(),
				oneLine,
				autocompletion({
					override: [(c) => completionsOf(c, options.complete)],
					icons: false,
					// what is offered is taken by Enter from its first moment: else a quick Enter would end the line instead
					interactionDelay: 0,
					maxRenderedOptions: 11,
					aboveCursor: options.single
				}),
				keymap.of([
					...completionKeymap,
					{ key: 'Escape', run: () => (options.onescape?.(), true) },
					...defaultKeymap,
					...historyKeymap,
					...lintKeymap
				]),
				notationLanguage,
				lineMark,
				...(options.single ? [] : [quietTexts]),
				explanations,
				editorTheme(options.single),
				placeholder(options.hint ?? ''),
				EditorView.contentAttributes.of({
					'aria-label': options.label,
					tabindex: '0',
					spellcheck: 'false',
					autocapitalize: 'off'
				}),
				EditorView.domEventHandlers({ blur: () => options.onblur?.() }),
				EditorView.updateListener.of((update) => {
					if (update.docChanged && !quiet) options.onchange(update.state.doc.toString());
					if (update.selectionSet && !update.docChanged && !quiet)
						options.online?.(update.state.doc.lineAt(update.state.selection.main.head).number);
				})
			]
		})
	});
	return {
		get text() {
			return view.state.doc.toString();
		},
		setText(text) {
			const now = view.state.doc.toString();
			if (now === text) return;
			let from = 0;
			while (from < now.length && from < text.length && now[from] === text[from]) from++;
			let tail = 0;
			while (tail < now.length - from && tail < text.length - from && now.at(-1 - tail) === text.at(-1 - tail)) tail++;
			quiet = true;
			view.dispatch({ changes: { from, to: now.length - tail, insert: text.slice(from, text.length - tail) } });
			quiet = false;
		},
		setTroubles(troubles) {
			const found = troubles.flatMap((t) => diagnosticOf(view.state, t) ?? []);
			view.dispatch(
				setDiagnostics(
					view.state,
					found.sort((a, b) => a.from - b.from)
				)
			);
		},
		setLine(line) {
			const known = line !== null && line <= view.state.doc.lines;
			const scroll =
				known && !view.hasFocus
					? [EditorView.scrollIntoView(view.state.doc.line(line).from, { y: 'nearest', yMargin: 40 })]
					: [];
			view.dispatch({ effects: [markLine.of(known ? line : null), ...scroll] });
		},
		goTo(line, column) {
			if (line > view.state.doc.lines) return;
			const at = view.state.doc.line(line);
			view.dispatch({ selection: { anchor: Math.min(at.to, at.from + column - 1) }, scrollIntoView: true });
			view.focus();
		},
		focus: () => view.focus(),
		destroy: () => view.destroy()
	};
}
