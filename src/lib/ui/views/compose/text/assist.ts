import type { CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import type { Diagnostic } from '@codemirror/lint';
import type { EditorState } from '@codemirror/state';
import { hoverTooltip } from '@codemirror/view';
import { complete, matching, type CompleteOptions } from '$lib/core/notation/complete';
import { explain } from '$lib/core/notation/explain';
import type { Trouble } from '$lib/core/notation/reader';

/** What may follow where the cursor stands. */
export function completionsOf(context: CompletionContext, options: CompleteOptions): CompletionResult | null {
	const line = context.state.doc.lineAt(context.pos);
	const before = line.text.slice(0, context.pos - line.from);
	const found = complete(before, options);
	const offered = found ? matching(found.options, before.slice(found.from)) : [];
	if (!found || !offered.length) return null;
	return {
		from: line.from + found.from,
		// Found and put in order already.
		filter: false,
		options: offered.slice(0, 60).map((o) => ({ label: o.text, detail: o.detail, type: o.kind }))
	};
}

/** What the word under the pointer means. */
export const explanations = hoverTooltip((view, pos) => {
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

/** A trouble of the notation as the editor shows it; null where its line is gone. */
export function diagnosticOf(state: EditorState, trouble: Trouble): Diagnostic | null {
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
