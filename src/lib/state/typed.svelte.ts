/** ms of rest after which what is typed is kept. */
const REST_MS = 400;

/** Fields in which something is typed that was not handed over yet: nobody is told meanwhile that all is stored. */
const typing = $state({ fields: 0 });
export const isTyping = (): boolean => typing.fields > 0;

interface Options {
	/** The value as it is stored now. */
	value: () => string;
	/** What the value belongs to: it may change while one types, by a running cursor say. */
	of: () => string;
	/** Stores what is typed, with what it was begun for and the value from which it was typed on. Returns the words of a refusal, or nothing. */
	keep: (text: string, of: string, from: string) => string | void;
}

/**
 * A field that is being typed in. What stands under the caret is never replaced: where the stored value changes
 * meanwhile, it is offered beside. What is typed is kept after a moment of rest, when the field is left, and when the
 * page goes.
 */
export class Typed {
	/** What is typed; null while the field is not in use. */
	#text = $state<string | null>(null);
	/** What this field has stored or found last: anything else came from elsewhere. */
	#mine = $state('');
	refusal = $state('');
	#timer: ReturnType<typeof setTimeout> | undefined;
	#waits = false;
	readonly #options: Options;
	#of = $state('');
	#here = $derived.by(() => (this.#text !== null && this.#of === this.#options.of() ? this.#text : null));
	text = $derived.by(() => this.#here ?? this.#options.value());
	/** The stored value, where it was changed elsewhere while one types; null else. */
	other = $derived.by(() => {
		const stored = this.#options.value();
		// Whoever stores it may trim it: that is no change from elsewhere.
		const known = [this.#mine.trim(), this.#here?.trim()];
		return this.#here !== null && !known.includes(stored.trim()) ? stored : null;
	});

	constructor(options: Options) {
		this.#options = options;
	}

	begin = (): void => {
		this.#of = this.#options.of();
		this.#mine = this.#options.value();
		this.#text = this.#mine;
		this.refusal = '';
	};

	type = (text: string): void => {
		if (this.#here === null) {
			this.flush();
			this.begin();
		}
		this.#text = text;
		this.#wait(text !== this.#mine);
		clearTimeout(this.#timer);
		this.#timer = setTimeout(this.flush, REST_MS);
	};

	#wait(waits: boolean): void {
		if (waits !== this.#waits) typing.fields += waits ? 1 : -1;
		this.#waits = waits;
	}

	/** Stores what is typed, where it is not stored yet. */
	flush = (): void => {
		clearTimeout(this.#timer);
		this.#wait(false);
		const text = this.#text;
		if (text === null || text === this.#mine) return;
		// What saves in its own time answers with a promise: that is no refusal.
		const answer = this.#options.keep(text, this.#of, this.#mine);
		this.refusal = typeof answer === 'string' ? answer : '';
		if (!this.refusal) this.#mine = text;
	};

	/** The field is left: it shows what is stored again. */
	end = (): void => {
		this.flush();
		this.#text = null;
	};

	/** Takes the value that came from elsewhere. */
	takeOther = (): void => {
		if (this.other === null) return;
		clearTimeout(this.#timer);
		this.#wait(false);
		this.#mine = this.other;
		this.#text = this.other;
	};
}
