import { EditorView } from '@codemirror/view';

/** The look of the editor: the page's paper, ink and water, in both themes, since they are its variables. */
export const editorTheme = (single: boolean) =>
	EditorView.theme({
		'&': { color: 'var(--ink)', backgroundColor: 'transparent', fontSize: '12.5px', height: single ? 'auto' : '100%' },
		'&.cm-focused': { outline: 'none' },
		'.cm-scroller': {
			fontFamily: 'inherit',
			lineHeight: single ? '20px' : '19px',
			overflow: single ? 'hidden' : 'auto'
		},
		'.cm-content': { caretColor: 'var(--ink)', padding: single ? '4px 0' : '6px 0 40px' },
		'.cm-line': { padding: single ? '0 2px' : '0 8px 0 20px', textIndent: single ? '0' : '-14px' },
		'.cm-below': {
			fontSize: '11px',
			whiteSpace: 'nowrap',
			overflow: 'hidden',
			textOverflow: 'ellipsis',
			opacity: '0.85'
		},
		'.cm-step': { backgroundColor: 'var(--wash)', borderRadius: '6px' },
		'.cm-content.cm-lineWrapping': { minWidth: '0', width: '100%', boxSizing: 'border-box' },
		'.cm-cursor': { borderLeftColor: 'var(--ink)', borderLeftWidth: '1.6px' },
		'&.cm-focused .cm-selectionBackground, .cm-selectionBackground, ::selection': {
			backgroundColor: 'color-mix(in oklch, var(--drainfill) 55%, transparent)'
		},
		'.cm-placeholder': { color: 'var(--ink3)' },
		'.cm-tooltip': {
			color: 'var(--ink)',
			backgroundColor: 'var(--sheet)',
			border: '1px solid var(--edge)',
			borderRadius: '8px',
			overflow: 'hidden',
			zIndex: '60'
		},
		'.cm-tooltip.cm-tooltip-autocomplete > ul': { fontFamily: 'inherit', maxHeight: 'none', minWidth: '320px' },
		'.cm-tooltip-autocomplete > ul > li': {
			display: 'flex',
			gap: '10px',
			alignItems: 'baseline',
			padding: '3px 9px',
			lineHeight: '19px'
		},
		'.cm-tooltip-autocomplete > ul > li[aria-selected]': { backgroundColor: 'var(--wash)', color: 'var(--ink)' },
		'.cm-completionLabel': { fontWeight: '530' },
		'.cm-completionMatchedText': { textDecoration: 'none', fontWeight: '700' },
		'.cm-completionDetail': {
			fontStyle: 'normal',
			color: 'var(--ink2)',
			marginLeft: 'auto',
			fontSize: '11.5px',
			maxWidth: '260px',
			overflow: 'hidden',
			textOverflow: 'ellipsis'
		},
		'.cm-explain': { padding: '5px 9px', maxWidth: '320px', fontSize: '12px', lineHeight: '17px' },
		'.cm-diagnostic': {
			borderLeft: '3px solid var(--flag)',
			padding: '5px 9px',
			maxWidth: '340px',
			fontSize: '12px',
			lineHeight: '17px'
		},
		'.cm-lintRange-error': {
			backgroundImage: 'none',
			textDecoration: 'underline wavy 1.3px var(--flag)',
			textUnderlineOffset: '3px'
		},
		'.cm-lintPoint-error:after': { borderBottomColor: 'var(--flag)' }
	});
