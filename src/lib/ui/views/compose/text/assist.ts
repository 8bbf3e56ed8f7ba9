import type { CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import type { Diagnostic } from '@codemirror/lint';
import type { EditorState } from '@codemirror/state';
import { hoverTooltip } from '@codemirror/view';
import { complete, type CompleteOptions } from '$lib/core/notation/complete';
import { explain } from '$lib/core/notation/explain';
import type { Trouble } from '$lib/core/notation/reader';

/** What may follow where the cursor stands. */
export function completionsOf(context: CompletionContext, options: CompleteOptions): CompletionResult | null {
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
