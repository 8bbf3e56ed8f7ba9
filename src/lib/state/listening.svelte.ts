import { spokenIn, type SpokenId } from '../core/perform/spoken';

/** What of a browser's speech recognition is used. */
export interface Recogniser {
	lang: string;
	continuous: boolean;
	interimResults: boolean;
	processLocally?: boolean;
	onresult: ((e: { results: ArrayLike<ArrayLike<{ transcript: string }>>; resultIndex: number }) => void) | null;
	onend: (() => void) | null;
	onerror: ((e: { error: string }) => void) | null;
	start(): void;
	stop(): void;
}
export interface RecogniserKind {
	new (): Recogniser;
	/** Whether words are recognised on this machine. A browser that cannot tell sends them elsewhere. */
	available?(options: { langs: string[]; processLocally: boolean }): Promise<string>;
	/** Fetches the words of a language for this machine. */
	install?(options: { langs: string[]; processLocally: boolean }): Promise<boolean>;
}

const LANG = 'en-GB';
export const kindHere = (): RecogniserKind | undefined =>
	(globalThis as { SpeechRecognition?: RecogniserKind }).SpeechRecognition;

const HERE = { langs: [LANG], processLocally: true };
/** Whether words are recognised without sending them anywhere: now, after the browser has fetched what it needs, or not at all. */
export type LocalWords = 'available' | 'downloadable' | 'none';
export async function localWords(kind: RecogniserKind | undefined): Promise<LocalWords> {
	try {
		const state = await kind?.available?.(HERE);
		if (state === 'available') return state;
		return (state === 'downloadable' || state === 'downloading') && kind?.install ? 'downloadable' : 'none';
	} catch {
		return 'none';
	}
}
export const listensLocally = async (kind: RecogniserKind | undefined): Promise<boolean> =>
	(await localWords(kind)) === 'available';

/** Has the browser fetch what it needs to recognise words on this machine. @returns whether it did */
export async function installWords(kind: RecogniserKind | undefined): Promise<boolean> {
	try {
		return (await kind?.install?.(HERE)) === true;
	} catch {
		return false;
	}
}

/** Hears spoken words as long as it is wanted. What is heard goes nowhere but here. */
export class Listening {
	/** The last thing that was heard and led to something. */
	heard = $state('');
	trouble = $state('');
	#recogniser: Recogniser | null = null;

	constructor(private readonly onspoken: (id: SpokenId) => void) {}

	/** Begins where it can be done on this machine. Returns the way to stop; call it in an effect. */
	follow(kind: RecogniserKind | undefined): () => void {
		let stopped = false;
		void listensLocally(kind).then((local) => {
			if (stopped || !kind) return;
			if (local) this.#begin(new kind(), () => stopped);
			else this.trouble = 'This browser does not recognise words on this machine, so it does not listen.';
		});
		return () => {
			stopped = true;
			this.#recogniser?.stop();
			this.#recogniser = null;
		};
	}

	#begin(recogniser: Recogniser, stopped: () => boolean): void {
		this.#recogniser = recogniser;
		Object.assign(recogniser, { lang: LANG, continuous: true, interimResults: false, processLocally: true });
		recogniser.onresult = ({ results, resultIndex }) => {
			for (let i = resultIndex; i < results.length; i++) {
				const words = results[i]![0]?.transcript ?? '';
				const id = spokenIn(words);
				if (!id) continue;
				this.heard = words.trim();
				this.onspoken(id);
			}
		};
		// It ends by itself after a silence: while it is wanted it begins again.
		recogniser.onend = () => !stopped() && !this.trouble && recogniser.start();
		recogniser.onerror = ({ error }) => {
			if (error === 'not-allowed' || error === 'service-not-allowed')
				this.trouble =
					'The microphone is not allowed for this page. Allow it in the browser, and open the stage again.';
		};
		recogniser.start();
	}
}
