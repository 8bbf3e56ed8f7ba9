import { SIDES } from '../core/atlas/places';
import type { Assessment } from '../core/assess/assessment.schema';
import { withValue, type Spot } from '../core/assess/assessment';
import { entryQuestion, type EntryQuestion } from '../core/assess/doubts';
import { ENTERED_MEASURED_IDS, measuredRow, type ObservationId } from '../core/assess/registry';
import { readingsAt, withReading } from '../core/assess/repeats';
import { lengthText, readMeasured, typedValue, type LengthUnit } from '../core/assess/units';

/** One distance that is taken. */
export interface TapeTarget {
	readonly id: ObservationId;
	readonly spot: Pick<Spot, 'side'>;
}
export const MOST_TAKES = 3;
const MOST_SIGNS = 6;

/** The whole list: one side, then the other, the neck last. @param all seven distances and the middle of the neck; else the usual ones */
export function tapeTargets(all: boolean): TapeTarget[] {
	const ids = ENTERED_MEASURED_IDS.filter((id) => all || !measuredRow(id).more);
	const [sided, whole] = [ids.filter((id) => measuredRow(id).sides), ids.filter((id) => !measuredRow(id).sides)];
	return [
		...SIDES.flatMap((side) => sided.map((id) => ({ id, spot: { side } }))),
		...whole.map((id) => ({ id, spot: {} }))
	];
}

interface Options {
	readonly assessment: () => Assessment;
	/** Her readings of before. */
	readonly usual: () => Assessment | null;
	readonly unit: () => LengthUnit;
	readonly targets: readonly TapeTarget[];
	readonly onchange: (assessment: Assessment) => void;
}

/** Distances one after the other, by keys alone: typed, taken with Enter, on to the next. A second round is blind to the first. */
export class Taping {
	/** 1 for the first reading, 2 and 3 when the tape is lifted and laid again. */
	take = $state(1);
	at = $state(0);
	typed = $state('');
	/** What is amiss with what was typed; with an answer that could be meant. */
	question = $state.raw<EntryQuestion | null>(null);
	refusal = $state('');
	constructor(private readonly options: Options) {}

	get targets(): readonly TapeTarget[] {
		return this.options.targets;
	}
	target = $derived.by(() => this.targets[this.at]!);
	/** How many have a reading of this take. */
	done = $derived.by(() => this.targets.filter((t) => this.reading(t) !== null).length);

	reading(target: TapeTarget, take = this.take): number | null {
		return readingsAt(this.options.assessment(), target.id, target.spot).get(take) ?? null;
	}
	shown(target: TapeTarget, take = this.take): string {
		const mm = this.reading(target, take);
		return mm === null ? '' : lengthText(mm, this.options.unit());
	}
	/** How far the takes of a distance lie apart; null before there are two. Seen only when both are there. */
	apart(target: TapeTarget): string | null {
		const values = [...readingsAt(this.options.assessment(), target.id, target.spot).values()];
		return values.length < 2 ? null : lengthText(Math.max(...values) - Math.min(...values), this.options.unit());
	}

	choose(at: number): void {
		this.at = Math.min(this.targets.length - 1, Math.max(0, at));
		this.typed = '';
		this.#hush();
	}
	/** A round anew: the tape is lifted and laid again. */
	setTake(take: number): void {
		this.take = Math.min(MOST_TAKES, Math.max(1, take));
		this.choose(0);
	}
	/** A digit, a point, or `back`. */
	press(sign: string): void {
		this.#hush();
		if (sign === 'back') this.typed = this.typed.slice(0, -1);
		else if (this.typed.length < MOST_SIGNS && (/\d/.test(sign) || !this.typed.includes('.'))) this.typed += sign;
	}
	/** All that is typed at once: what is no number is passed over. */
	type(text: string): void {
		this.typed = '';
		for (const sign of text.replace(',', '.')) if (/[\d.]/.test(sign)) this.press(sign);
		this.#hush();
	}
	/** Takes what is typed, or asks about it first; nothing typed goes on to the next. */
	enter(): void {
		const { id, spot } = this.target;
		if (!this.typed) return this.choose(this.at + 1);
		const unit = this.options.unit();
		const reading = readMeasured(id, this.typed, unit);
		const mm = typedValue(id, this.typed, unit);
		const asked =
			mm === null ? null : entryQuestion(this.options.assessment(), this.options.usual(), id, spot, mm, unit);
		if (!reading.ok) {
			this.refusal = reading.message;
			this.question = asked;
			return;
		}
		if (asked && !this.question) return void (this.question = asked);
		this.#store(reading.value);
	}
	/** It is as it was typed. */
	keep(): void {
		this.question ??= { words: '', instead: null };
		this.enter();
	}
	/** What was probably meant. */
	instead(): void {
		const values = this.question?.instead?.values ?? [];
		const own = values.find(([id]) => id === this.target.id);
		const others = values.filter(([id]) => id !== this.target.id);
		if (others.length)
			this.options.onchange(
				others.reduce(
					(a, [id, mm]) => withValue(a, id, this.target.spot, Math.round(10 * mm) / 10),
					this.options.assessment()
				)
			);
		if (own) this.#store(Math.round(10 * own[1]) / 10);
	}
	#store(mm: number): void {
		const { id, spot } = this.target;
		this.options.onchange(withReading(this.options.assessment(), id, spot, this.take, mm));
		this.choose(this.at + 1);
	}
	#hush(): void {
		this.question = null;
		this.refusal = '';
	}
}
