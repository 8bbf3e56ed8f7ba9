import { StateEffect, StateField, type EditorState } from '@codemirror/state';
import { Decoration, EditorView, type DecorationSet } from '@codemirror/view';

/** Marks a line, from 1; null marks none. */
export const markLine = StateEffect.define<number | null>();
export const lineMark = StateField.define<DecorationSet>({
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
export const quietTexts = StateField.define<DecorationSet>({
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
