import type { Soundtrack } from '$lib/core/perform/sounds';
import { firstFrom, spokenSeconds } from '$lib/core/perform/speech';
import { notesOf, type Note } from './notes';

/** Seconds for which tones are laid ahead: a busy page, or a hidden one whose timers are slowed down, does not delay them. */
const AHEAD_SECONDS = 8;
const AHEAD_HIDDEN_SECONDS = 75;
/** ms between two looks at what is to be laid. */
const LOOK_MS = 250;
/** Tones that would come so much beside their moment, since the card runs faster or slower than the page, are laid anew. Working value. */
const ASIDE_SECONDS = 0.012;
/** Looks of which the middle one tells how the two clocks stand: a single reading is off by what the card plays at once. */
const LOOKS = 5;
/** A word that could not be said in time is left out from so many seconds on; in a hidden window timers are late. Working values. */
const TOO_LATE_SECONDS = 0.6;
const TOO_LATE_HIDDEN_SECONDS = 2.5;
/** Shorter words tell nothing of how fast a voice is. Working value. */
const MEASURED_FROM_SIGNS = 8;
const PACES = 9;
/** Looks at which the card’s clock stands before it is taken for silent: less than a second. */
const SILENT_LOOKS = 3;

/** What is wished of the sound; asked at each tone and word. */
interface SoundWishes {
	/** Of the voice: 1 as it usually speaks. */
	readonly rate: () => number;
	/** 0.1..1, as the device has it. */
	readonly volume: () => number;
	/** How fast the voice really speaks, against what was reckoned with: told once it is known, and when it changes. */
	readonly onpace?: (pace: number) => void;
	/** Sound that was there is gone, or is back. */
	readonly onsilent?: (silent: boolean) => void;
}

/**
 * What is heard of the stage. Tones are laid ahead on the clock of the sound card; words are spoken by the browser's voice
 * when they are due. Without sound, or without a voice, the captions carry it.
 */
export class StageSound {
	#audio: AudioContext | null = null;
	#track: Soundtrack = { tones: [], spoken: [] };
	#notes: readonly Note[] = [];
	/** Tones that are laid and not over, so that a pause takes them back. */
	readonly #laid = new Map<OscillatorNode, { readonly note: Note; readonly at: number; readonly between: number }>();
	/** The last readings of the card’s clock less the page’s, seconds. */
	#readings: number[] = [];
	#timer: ReturnType<typeof setInterval> | undefined;
	/** While it runs: the second of the plan at a moment of the page's clock. */
	#from: { seconds: number; atMs: number } | null = null;
	#noteAt = 0;
	/** Moment of the card up to which tones were laid. */
	#laidUntil = 0;
	#wordAt = 0;
	#paces: number[] = [];
	#pace = 1;
	/** Clock of the card at the last look, and how many looks it has stood. */
	#card = 0;
	#stood = 0;
	/** What is said before it begins, and the beginning itself. */
	#leading: ReturnType<typeof setTimeout>[] = [];

	constructor(private readonly options: SoundWishes) {}

	/** Must be called from a touch or a key: browsers keep silent until then. */
	wake(): void {
		this.#audio ??= typeof AudioContext === 'undefined' ? null : new AudioContext();
		void this.#audio?.resume();
	}

	/** Whether sound was asked for and the browser keeps silent. */
	get blocked(): boolean {
		return this.#audio !== null && this.#audio.state !== 'running';
	}

	/**
	 * Seconds that were heard by now, by the clock of the card: it goes on while the page stands still, as far as tones were
	 * laid. Null where nothing is heard.
	 */
	get heard(): number | null {
		const audio = this.#audio;
		if (!audio || audio.state !== 'running' || !this.#from || !this.#track.tones.length) return null;
		return Math.min(audio.currentTime, this.#laidUntil);
	}

	follow(track: Soundtrack): void {
		this.#track = track;
		this.#notes = track.tones.flatMap(notesOf).sort((a, b) => a.atSeconds - b.atSeconds);
		if (this.#from) this.play(this.#now());
	}

	#now(): number {
		const { seconds, atMs } = this.#from!;
		return seconds + (performance.now() - atMs) / 1000;
	}

	/**
	 * Says what stands before the beginning, then begins. However busy the page is, nothing of it is left out: the hands
	 * wait for it.
	 * @returns whether there is anything to be said; where there is not, nothing is begun
	 */
	lead(begin: () => void): boolean {
		const words = this.#track.spoken.filter(({ atSeconds }) => atSeconds < 0);
		const first = words[0]?.atSeconds;
		if (first === undefined || !voiceHere()) return false;
		this.#leading = words.map((w) => setTimeout(() => this.say(w.words), 1000 * (w.atSeconds - first)));
		this.#leading.push(
			setTimeout(() => {
				this.#leading = [];
				// It goes on from the lead: what is being said is said to its end.
				this.#from = { seconds: 0, atMs: performance.now() };
				begin();
			}, -1000 * first)
		);
		return true;
	}

	/** From a second of the plan on; what was laid before is taken back. */
	play(seconds: number): void {
		// Where it only goes on, what is being said is said to its end.
		this.#silence(!this.#from || Math.abs(this.#now() - seconds) > 0.3);
		this.#from = { seconds, atMs: performance.now() };
		this.#noteAt = firstFrom(this.#notes, seconds - 0.02);
		this.#wordAt = this.#track.spoken.findIndex((s) => s.atSeconds >= seconds - 0.02);
		if (this.#wordAt < 0) this.#wordAt = this.#track.spoken.length;
		this.#look();
		this.#timer = setInterval(() => this.#look(), LOOK_MS);
	}

	stop(): void {
		this.#silence();
		this.#from = null;
	}

	#silence(words = true): void {
		clearInterval(this.#timer);
		this.#leading.forEach(clearTimeout);
		this.#leading = [];
		for (const node of this.#laid.keys()) node.stop();
		this.#laid.clear();
		if (words && typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
	}

	/** The card’s clock less the page’s, seconds: what is played at this moment, where the browser tells it. */
	#between(audio: AudioContext): number {
		const { contextTime = 0, performanceTime = 0 } = audio.getOutputTimestamp?.() ?? {};
		const reading = performanceTime
			? contextTime - performanceTime / 1000
			: audio.currentTime - performance.now() / 1000;
		this.#readings = [...this.#readings, reading].slice(-LOOKS);
		return this.#readings.toSorted((a, b) => a - b)[Math.floor(this.#readings.length / 2)]!;
	}

	/** A card that went silent is noticed, and woken; what it did not play is not laid again. */
	#listen(): void {
		const audio = this.#audio;
		if (!audio || !this.#track.tones.length) return;
		const stands = audio.state !== 'running' || audio.currentTime === this.#card;
		this.#card = audio.currentTime;
		if (!stands && this.#stood >= SILENT_LOOKS) this.options.onsilent?.(false);
		this.#stood = stands ? this.#stood + 1 : 0;
		if (this.#stood === SILENT_LOOKS) this.options.onsilent?.(true);
		if (this.#stood >= SILENT_LOOKS) void audio.resume();
	}

	/** Lays the tones of the next seconds, and says what is due. */
	#look(): void {
		const now = this.#now();
		this.#listen();
		const audio = this.#audio?.state === 'running' ? this.#audio : null;
		const between = audio ? this.#between(audio) : 0;
		// The moment of the card at which a second of the plan is.
		const at = (seconds: number) => between + performance.now() / 1000 + seconds - now;
		if (audio)
			for (const [node, laid] of this.#laid) {
				const aside = Math.abs(laid.between - between) > ASIDE_SECONDS;
				if (!aside || laid.at < audio.currentTime + LOOK_MS / 1000) continue;
				node.stop();
				this.#laid.delete(node);
				// Where the card ran away from the page its moment is over: no tone is better than a late one.
				const moment = at(laid.note.atSeconds);
				if (moment >= audio.currentTime) this.#lay(audio, laid.note, moment, between);
			}
		const ahead = document.hidden ? AHEAD_HIDDEN_SECONDS : AHEAD_SECONDS;
		if (audio) this.#laidUntil = audio.currentTime + ahead;
		for (let note; (note = this.#notes[this.#noteAt]) && note.atSeconds < now + ahead; this.#noteAt++)
			// The two clocks are held against one another at each look, so that they never drift apart.
			if (audio && note.atSeconds > now - 0.02)
				this.#lay(audio, note, Math.max(audio.currentTime, at(note.atSeconds)), between);
		for (let word; (word = this.#track.spoken[this.#wordAt]) && word.atSeconds < now + LOOK_MS / 1000; this.#wordAt++) {
			const { words, atSeconds } = word;
			const from = this.#from;
			setTimeout(
				() => {
					// What was said on was changed meanwhile, or it is too late for it.
					if (
						this.#from === from &&
						this.#now() - atSeconds < (document.hidden ? TOO_LATE_HIDDEN_SECONDS : TOO_LATE_SECONDS)
					)
						this.say(words);
				},
				Math.max(0, 1000 * (atSeconds - now))
			);
		}
	}

	#lay(audio: AudioContext, note: Note, at: number, between: number): void {
		const { seconds, hertz, pan } = note;
		const strength = note.strength * this.options.volume();
		const oscillator = audio.createOscillator();
		const gain = audio.createGain();
		const edge = Math.min(0.4 * seconds, seconds > 1 ? 1.5 : 0.02);
		oscillator.frequency.setValueAtTime(hertz[0], at);
		if (hertz[1] !== hertz[0]) oscillator.frequency.linearRampToValueAtTime(hertz[1], at + seconds * 0.8);
		gain.gain.setValueAtTime(0, at);
		gain.gain.linearRampToValueAtTime(strength, at + edge);
		gain.gain.exponentialRampToValueAtTime(0.0008, at + seconds);
		// Where there are two ears, a side is heard on its own.
		const ears = pan ? audio.createStereoPanner?.() : undefined;
		if (ears) ears.pan.value = pan;
		const out = oscillator.connect(gain);
		(ears ? out.connect(ears) : out).connect(audio.destination);
		oscillator.addEventListener('ended', () => this.#laid.delete(oscillator));
		this.#laid.set(oscillator, { note, at, between });
		oscillator.start(at);
		oscillator.stop(at + seconds);
	}

	/** Says something now, where the browser has a voice that needs no network. */
	say(words: string): void {
		if (typeof speechSynthesis === 'undefined') return;
		const voice = voiceHere();
		if (!voice) return;
		const said = new SpeechSynthesisUtterance(words);
		said.voice = voice;
		said.lang = voice.lang;
		const rate = this.options.rate();
		said.rate = rate;
		said.volume = this.options.volume();
		let begun = 0;
		said.onstart = () => (begun = performance.now());
		said.onend = () => begun && this.#measure(words, (performance.now() - begun) / 1000, rate);
		speechSynthesis.speak(said);
	}

	/** A voice tells only by speaking how fast it is: the middle one of the last words counts. */
	#measure(words: string, seconds: number, rate: number): void {
		if (words.length < MEASURED_FROM_SIGNS || seconds <= 0.1) return;
		this.#paces = [...this.#paces, spokenSeconds(words, rate) / seconds].slice(-PACES);
		const pace = this.#paces.toSorted((a, b) => a - b)[this.#paces.length >> 1]!;
		if (this.#paces.length < 3 || Math.abs(pace - this.#pace) < 0.08) return;
		this.#pace = Math.min(2, Math.max(0.4, pace));
		this.options.onpace?.(this.#pace);
	}

	close(): void {
		this.stop();
		void this.#audio?.close();
		this.#audio = null;
	}
}

/** A voice of this machine that speaks English; null where there is none. One that asks a service elsewhere is none. */
export function voiceHere(): SpeechSynthesisVoice | null {
	if (typeof speechSynthesis === 'undefined') return null;
	const here = speechSynthesis.getVoices().filter((v) => v.localService && v.lang.startsWith('en'));
	return here.find((v) => v.default) ?? here[0] ?? null;
}

/** Waits until the browser has told a voice of this machine, and no longer than so many ms. */
export function voicesHere(ms: number): Promise<void> {
	if (!ms || typeof speechSynthesis === 'undefined' || voiceHere()) return Promise.resolve();
	return new Promise((done) => {
		const told = () => voiceHere() && end();
		const timer = setTimeout(end, ms);
		function end() {
			clearTimeout(timer);
			speechSynthesis.removeEventListener('voiceschanged', told);
			done();
		}
		speechSynthesis.addEventListener('voiceschanged', told);
	});
}
