import { acceptCompletion, completionStatus } from '@codemirror/autocomplete';
import { EditorState, Prec, type Extension } from '@codemirror/state';
import { EditorView, keymap } from '@codemirror/view';

interface OneLineOptions {
	/** Does what is written. */
	readonly onenter?: (text: string) => void;
	/** Several lines were pasted into the one line. */
	readonly onlines?: (text: string) => void;
}

/** An editor of one line: Enter takes what is offered, else does what is written; Ctrl Enter always does it. */
export const oneLine = (options: OneLineOptions): Extension => [
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
];
