import type { z } from 'zod';
import { problemsOf, type Problem } from '$lib/formats/problem';

/** The draft of a form: changed freely, checked by its schema when it is kept; what is wrong names its field. */
export class FormDraft<T extends object> {
	draft = $state.raw() as T;
	problems = $state.raw<readonly Problem[]>([]);

	constructor(
		initial: T,
		private readonly schema: z.ZodType<T>
	) {
		this.draft = initial;
	}

	set = (change: Partial<T>): void => {
		this.draft = { ...this.draft, ...change };
	};

	/** Hands over the draft where the schema takes it. `prepare` fills in what the form does not ask for. */
	keep(onsave: (value: T) => void, prepare: (draft: T) => T = (draft) => draft): void {
		const parsed = this.schema.safeParse(prepare(this.draft));
		if (parsed.success) onsave(parsed.data);
		else this.problems = problemsOf(parsed.error);
	}
}
