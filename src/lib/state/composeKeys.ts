import { tinykeys } from 'tinykeys';
import type { Level } from '../core/step/levels';
import { stepped } from '../core/step/dose';
import { moveStep, removeSteps, setStep } from '../core/sequence/edits';
import type { Edit } from '../core/sequence/edit.schema';
import {
	duplicateSteps,
	groupSteps,
	inOrder,
	mirrorSteps,
	moveSteps,
	repeatOnOtherSide,
	setSteps
} from '../core/sequence/manyEdits';
import { LIKENESS_IDS, onOtherLid, shiftPressure } from '../core/sequence/likeness';
import { linkRoute } from '../core/atlas/route';
import type { Step, StepSide } from '../core/step/step.schema';
import { modalOpen } from './modal';
import type { Preset } from './room.svelte';
import type { SequenceDraft } from './sequenceDraft.svelte';

interface Actions {
	draft: () => SequenceDraft;
	newId: () => string;
	toMap: () => void;
	wholeFace: () => void;
	findings: () => void;
	text: () => void;
	command: () => void;
	play: () => void;
	sheet: () => void;
	print: () => void;
	letGo: () => void;
	room: (preset: Preset) => void;
	/** Folds the score, or unfolds it. */
	fold: () => void;
}

const SIDE_ROUND: readonly StepSide[] = ['both', { each: true, first: 'left' }, { each: true, first: 'right' }];
const sideAfter = (side: StepSide): StepSide => {
	const at = SIDE_ROUND.findIndex((s) => JSON.stringify(s) === JSON.stringify(side));
	return SIDE_ROUND[(at + 1) % SIDE_ROUND.length]!;
};

/** True where a key belongs to a field, a menu, an editor or a dialog rather than to the page. */
export function isBusy(e: Event): boolean {
	if (modalOpen()) return true;
	const at = e.target as Element | null;
	return Boolean(
		at?.closest?.(
			'input, textarea, select, [contenteditable], [data-editor], [role="menu"], [role="listbox"], [role="dialog"], [role="slider"], [role="separator"], [role="radio"]'
		)
	);
}
const onMapOrScore = (e: KeyboardEvent) => Boolean((e.target as Element | null)?.closest('[data-place], [data-step]'));

let rowToFocus = 0;
/** Puts the focus on the row of a step, once it is drawn; not away from whatever took it meanwhile. */
export function focusRow(stepId: string): void {
	const before = document.activeElement;
	cancelAnimationFrame(rowToFocus);
	rowToFocus = requestAnimationFrame(() => {
		const now = document.activeElement;
		if (now !== before && now !== document.body) return;
		document.querySelector<HTMLElement>(`[data-row="${CSS.escape(stepId)}"] [data-step-button]`)?.focus();
	});
}

/** The edit that moves the chosen steps one place up or down. */
function moved(draft: SequenceDraft, by: -1 | 1): Edit | null {
	const { sequence, chosen, selectedId } = draft;
	if (!chosen.many) return selectedId ? moveStep(sequence, selectedId, by) : null;
	const order = draft.steps.map((s) => s.step.id);
	const at = order.flatMap((id, i) => (chosen.has(id) ? [i] : []));
	const target = order[by < 0 ? at[0]! - 1 : at.at(-1)! + 1];
	return target ? moveSteps(sequence, chosen.ids, by < 0 ? { before: target } : { after: target }) : null;
}

/** All keys of Compose. Returns the way to let them go. */
export function composeKeys(actions: Actions): () => void {
	const { draft, newId } = actions;
	const when = (run: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => {
		if (isBusy(e)) return;
		e.preventDefault();
		run(e);
	};
	/** An edit of all chosen steps; of one, it is named after it. */
	const onChosen = (make: (ids: ReadonlySet<string>, d: SequenceDraft) => Edit | null) =>
		when(() => {
			const d = draft();
			if (d.chosen.ids.size) d.attempt(() => make(d.chosen.ids, d));
		});
	const change = (what: string, of: (step: Step) => Partial<Step>) =>
		onChosen((ids, d) => {
			const [only, ...others] = inOrder(d.sequence, ids);
			return others.length ? setSteps(d.sequence, ids, of, what) : only ? setStep(d.sequence, only.id, of(only)) : null;
		});
	const dose = (by: number) => change('Change the repeats', (step) => ({ dose: stepped(step.dose, by) }));
	const level = (n: Level) => change('Set the pressure', () => ({ pressure: n, levels: undefined }));
	const walk = (by: number) => (e: KeyboardEvent) => {
		if (isBusy(e) || onMapOrScore(e)) return;
		e.preventDefault();
		const step = draft().walk(by);
		if (step) focusRow(step.id);
	};
	const extend = (by: number) =>
		when(() => {
			const d = draft();
			const order = d.steps.map((s) => s.step.id);
			const at = order.flatMap((id, i) => (d.chosen.has(id) ? [i] : []));
			const anchor = order.indexOf(d.selectedId ?? '');
			const edge = at[0] === anchor ? (at.at(-1) ?? anchor) : (at[0] ?? anchor);
			const next = order[edge + by];
			if (next) d.chosen.extendTo(next);
		});
	const link = change('Change the drain link', (step) => {
		if (step.end.kind === 'link') return { end: { kind: 'none' } };
		const places = step.places.length ? linkRoute(step.places.at(-1)!, draft().sequence.school.cheekRoute) : [];
		return places.length ? { end: { kind: 'link', places, pumps: draft().context.working.linkPumps, by: 'hand' } } : {};
	});
	/** C goes round: all of the aim, of the phase, of the pressure, of the side. */
	let like: { of: string | null; round: number } = { of: null, round: 0 };
	return tinykeys(window, {
		'$mod+KeyZ': when(() => draft().undo()),
		'$mod+Shift+KeyZ': when(() => draft().redo()),
		'$mod+KeyY': when(() => draft().redo()),
		'$mod+KeyA': when(() => draft().chosen.all()),
		ArrowUp: walk(-1),
		ArrowDown: walk(1),
		'Shift+ArrowUp': extend(-1),
		'Shift+ArrowDown': extend(1),
		'Alt+ArrowUp': onChosen((_, d) => moved(d, -1)),
		'Alt+ArrowDown': onChosen((_, d) => moved(d, 1)),
		NumpadAdd: dose(1),
		'+': dose(1),
		'-': dose(-1),
		NumpadSubtract: dose(-1),
		'0': level(0),
		'1': level(1),
		'2': level(2),
		'3': level(3),
		'4': level(4),
		s: change('Change the side', (step) => (step.side === undefined ? {} : { side: sideAfter(step.side) })),
		l: link,
		d: onChosen((ids, d) => duplicateSteps(d.sequence, ids, newId)),
		o: onChosen((ids, d) => {
			const edit = repeatOnOtherSide(d.sequence, ids, newId);
			if (!edit)
				throw new Error('This works both sides already. A move of one side only can be repeated on the other.');
			return edit;
		}),
		m: onChosen((ids, d) => mirrorSteps(d.sequence, ids)),
		e: onChosen((ids, d) => onOtherLid(d.sequence, ids, newId, d.sequence.school.cheekRoute)),
		',': onChosen((ids, d) => shiftPressure(d.sequence, ids, -1)),
		'.': onChosen((ids, d) => shiftPressure(d.sequence, ids, 1)),
		c: when(() => {
			const { selectedId } = draft();
			if (selectedId !== like.of) like = { of: selectedId, round: 0 };
			draft().chooseLike(LIKENESS_IDS[like.round++ % LIKENESS_IDS.length]!);
		}),
		g: onChosen((ids, d) => groupSteps(d.sequence, ids, newId)),
		Delete: onChosen((ids, d) => removeSteps(d.sequence, [...ids])),
		Backspace: onChosen((ids, d) => removeSteps(d.sequence, [...ids])),
		a: when(actions.toMap),
		w: when(actions.wholeFace),
		f: when(actions.findings),
		t: when(actions.text),
		r: when(actions.play),
		'/': when(actions.command),
		// On keyboards where the stroke needs Shift.
		'Shift+/': when(actions.command),
		p: when(actions.print),
		'Alt+Digit1': when(() => actions.room('even')),
		'Alt+Digit2': when(() => actions.room('face')),
		'Alt+Digit3': when(() => actions.room('steps')),
		'Alt+Digit4': when(() => actions.room('score')),
		k: when(actions.fold),
		'Shift+?': when(actions.sheet),
		'?': when(actions.sheet),
		Escape: (e) => {
			if (!isBusy(e)) actions.letGo();
		}
	});
}
