import { tinykeys } from 'tinykeys';
import type { Level } from '../core/pressure/levels';
import { withTarget } from '../core/sequence/dose';
import { duplicateStep, moveStep, removeSteps, setStep } from '../core/sequence/edits';
import { linkRoute } from '../core/sequence/route';
import type { StepSide } from '../core/sequence/sequence.schema';
import type { SequenceDraft } from './sequenceDraft.svelte';

interface Actions {
	draft: () => SequenceDraft;
	newId: () => string;
	toMap: () => void;
	wholeFace: () => void;
	findings: () => void;
	sheet: () => void;
	print: () => void;
	letGo: () => void;
}

const SIDE_ROUND: readonly StepSide[] = ['both', { each: true, first: 'left' }, { each: true, first: 'right' }];

/** True where a key belongs to a field, a menu or a dialog rather than to the page. */
function busy(e: KeyboardEvent): boolean {
	const at = e.target as Element | null;
	return Boolean(
		at?.closest(
			'input, textarea, select, [contenteditable], [role="menu"], [role="listbox"], [role="dialog"], [role="slider"], [role="radio"]'
		)
	);
}
const onMapOrScore = (e: KeyboardEvent) => Boolean((e.target as Element | null)?.closest('[data-place], [data-step]'));

/** All keys of Compose. Returns the way to let them go. */
export function composeKeys(actions: Actions): () => void {
	const { draft, newId } = actions;
	const when = (run: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => {
		if (busy(e)) return;
		e.preventDefault();
		run(e);
	};
	const onStep = (run: (id: string) => void) =>
		when(() => {
			const id = draft().selectedId;
			if (id) run(id);
		});
	const dose = (by: number) =>
		onStep((id) => {
			const { step } = draft().byId.get(id)!;
			const size = step.dose.kind === 'seconds' ? 5 : 1;
			draft().do(setStep(draft().sequence, id, { dose: withTarget(step.dose, step.dose.target + by * size) }));
		});
	const level = (n: Level) =>
		onStep((id) => draft().do(setStep(draft().sequence, id, { pressure: n, levels: undefined })));
	const walk = (by: number) => (e: KeyboardEvent) => {
		if (busy(e) || onMapOrScore(e)) return;
		e.preventDefault();
		const step = draft().walk(by);
		if (step)
			requestAnimationFrame(() =>
				document.querySelector<HTMLElement>(`[data-row="${CSS.escape(step.id)}"] [data-step-button]`)?.focus()
			);
	};
	const move = (by: -1 | 1) => onStep((id) => draft().do(moveStep(draft().sequence, id, by)));
	const side = onStep((id) => {
		const { step } = draft().byId.get(id)!;
		if (step.side === undefined) return;
		const at = SIDE_ROUND.findIndex((s) => JSON.stringify(s) === JSON.stringify(step.side));
		draft().do(setStep(draft().sequence, id, { side: SIDE_ROUND[(at + 1) % SIDE_ROUND.length]! }));
	});
	const link = onStep((id) => {
		const { step } = draft().byId.get(id)!;
		const places = step.places.length ? linkRoute(step.places.at(-1)!, draft().sequence.school.cheekRoute) : [];
		const pumps = draft().context.working.linkPumps;
		const end =
			step.end.kind === 'link'
				? { kind: 'none' as const }
				: { kind: 'link' as const, places, pumps, by: 'hand' as const };
		if (step.end.kind === 'link' || places.length)
			draft().do(setStep(draft().sequence, id, { end }, 'Change the drain link'));
	});
	return tinykeys(window, {
		'$mod+KeyZ': when(() => draft().undo()),
		'$mod+Shift+KeyZ': when(() => draft().redo()),
		'$mod+KeyY': when(() => draft().redo()),
		ArrowUp: walk(-1),
		ArrowDown: walk(1),
		'Alt+ArrowUp': move(-1),
		'Alt+ArrowDown': move(1),
		NumpadAdd: dose(1),
		'+': dose(1),
		'-': dose(-1),
		NumpadSubtract: dose(-1),
		'0': level(0),
		'1': level(1),
		'2': level(2),
		'3': level(3),
		'4': level(4),
		s: side,
		l: link,
		d: onStep((id) => draft().do(duplicateStep(draft().sequence, id, newId()))),
		Delete: onStep((id) => draft().do(removeSteps(draft().sequence, [id]))),
		a: when(actions.toMap),
		w: when(actions.wholeFace),
		f: when(actions.findings),
		p: when(actions.print),
		'Shift+?': when(actions.sheet),
		'?': when(actions.sheet),
		Escape: (e) => {
			if (!busy(e)) actions.letGo();
		}
	});
}
