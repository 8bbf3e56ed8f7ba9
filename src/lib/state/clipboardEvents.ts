import { isBusy } from './composeKeys';
import type { SequenceDraft } from './sequenceDraft.svelte';
import { loadTechniques, type Techniques } from './techniques.svelte';

/** Copying as text is fetched when it is asked for. */
const clipboard = () => Promise.all([import('./clipboard'), loadTechniques()]);

/** Puts the chosen steps on the clipboard as text, and takes them out where they are cut. A selection of words goes first. */
export async function copySteps(e: ClipboardEvent, draft: SequenceDraft, cut: boolean): Promise<void> {
	if (isBusy(e) || !draft.chosen.ids.size || getSelection()?.toString()) return;
	e.preventDefault();
	const ids = draft.chosen.ids;
	const [{ copiedText, removed }] = await clipboard();
	try {
		await navigator.clipboard.writeText(copiedText(draft.sequence, ids));
		draft.said = `${ids.size} ${ids.size === 1 ? 'step' : 'steps'} copied as text.`;
		if (cut) draft.do(removed(draft.sequence, ids));
	} catch {
		draft.refusal = 'The browser does not let this page write to the clipboard. Open Text and copy from there.';
	}
}

/** Puts the steps of the clipboard's text in after the chosen one. */
export async function pasteSteps(
	e: ClipboardEvent,
	draft: SequenceDraft,
	library: Techniques,
	newId: () => string
): Promise<void> {
	if (isBusy(e)) return;
	const text = e.clipboardData?.getData('text/plain') ?? '';
	e.preventDefault();
	const [{ pasteText }] = await clipboard();
	pasteText(draft, text, library.all, newId);
}
