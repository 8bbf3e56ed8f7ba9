import { autocompletion, completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { lintKeymap, setDiagnostics } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, placeholder } from '@codemirror/view';
import type { CompleteOptions } from '$lib/core/notation/complete';
import type { Trouble } from '$lib/core/notation/reader';
import { completionsOf, diagnosticOf, explanations } from './assist';
import { notationLanguage } from './highlight';
import { lineMark, markLine, quietTexts } from './lineMarks';
import { oneLine } from './oneLine';
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
	/** Whether the one line says something whole as it stands: Enter then does it, whatever is offered. */
	readonly isWhole?: (text: string) => boolean;
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
	/** Writes what was typed elsewhere in place of what stands here, as keys would: the cursor behind it, what may follow offered. */
	typeIn(text: string): void;
	setTroubles(troubles: readonly Trouble[]): void;
	/** Marks a line, from 1, and brings it into sight unless one is typing. */
	setLine(line: number | null): void;
	goTo(line: number, column: number): void;
	destroy(): void;
}

/** The one stretch in which two texts differ: what stands around it keeps its marks and the cursor. */
function changeBetween(now: string, text: string) {
	const shorter = Math.min(now.length, text.length);
	let from = 0;
	while (from < shorter && now[from] === text[from]) from++;
	let tail = 0;
	while (tail < shorter - from && now.at(-1 - tail) === text.at(-1 - tail)) tail++;
	return { from, to: now.length - tail, insert: text.slice(from, text.length - tail) };
}

/** Opens an editor for the notation. Its styles live in a shadow root: the page's policy allows no style elements. */
export function openEditor(options: EditorOptions): Editor {
	const root = options.parent.shadowRoot ?? options.parent.attachShadow({ mode: 'open' });
	let quiet = false;
	const view = new EditorView({
		root: root as ShadowRoot,
		parent: root as unknown as Element,
		state: EditorState.create({
			doc: options.text,
			extensions: [
				history(),
				options.single ? oneLine(options) : EditorView.lineWrapping,
				autocompletion({
					// Its keys stand below, after those of the one line.
					defaultKeymap: false,
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
			quiet = true;
			view.dispatch({ changes: changeBetween(now, text) });
			quiet = false;
		},
		typeIn(text) {
			view.dispatch({
				changes: { from: 0, to: view.state.doc.length, insert: text },
				selection: { anchor: text.length },
				scrollIntoView: true,
				// An empty line waits: an offer over it would take the next Escape and the next Enter.
				...(text ? { userEvent: 'input.type' } : {})
			});
			view.focus();
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
		destroy: () => view.destroy()
	};
}
