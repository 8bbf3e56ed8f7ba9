import { acceptCompletion, completionStatus, selectedCompletionIndex } from '@codemirror/autocomplete';
import { EditorState, Prec, type Extension } from '@codemirror/state';
import { EditorView, keymap } from '@codemirror/view';

interface OneLineOptions {
	/** Does what is written. */
	readonly onenter?: (text: string) => void;
	/** Whether a line says something whole as it stands. */
	readonly isWhole?: (text: string) => boolean;
	/** Several lines were pasted into the one line. */
	readonly onlines?: (text: string) => void;
}

/**
 * An editor of one line: Enter does what is written where it is whole, else it takes what is offered; so it does where one
 * walked down the offers. Tab always takes the offer, Ctrl Enter always does the line.
 */
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
		{ key: 'Tab', run: acceptCompletion },
		{ key: 'Mod-Enter', run: (view) => (options.onenter?.(view.state.doc.toString()), true) },
		{
			key: 'Enter',
			run: (view) => {
				const offered = completionStatus(view.state) === 'active';
				const walked = (selectedCompletionIndex(view.state) ?? 0) > 0;
				const whole = options.isWhole?.(view.state.doc.toString()) ?? false;
				if (offered && (walked || !whole) && acceptCompletion(view)) return true;
				options.onenter?.(view.state.doc.toString());
				return true;
			}
		}
	])
];
