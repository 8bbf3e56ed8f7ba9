/** Soft tones of the stage: a short sine with a slow edge, so that it never clicks or startles. */
export class Tones {
	#audio: AudioContext | null = null;

	/** Must be called from a touch or a key: browsers keep silent until then. */
	wake(): void {
		this.#audio ??= typeof AudioContext === 'undefined' ? null : new AudioContext();
		void this.#audio?.resume();
	}

	play(kind: 'stroke' | 'side' | 'step'): void {
		const audio = this.#audio;
		if (!audio || audio.state !== 'running') return;
		const hertz = { stroke: 523, side: 330, step: 392 }[kind];
		const seconds = kind === 'stroke' ? 0.16 : 0.4;
		const at = audio.currentTime;
		const oscillator = audio.createOscillator();
		const gain = audio.createGain();
		oscillator.frequency.value = hertz;
		gain.gain.setValueAtTime(0, at);
		gain.gain.linearRampToValueAtTime(0.12, at + 0.02);
		gain.gain.exponentialRampToValueAtTime(0.0008, at + seconds);
		oscillator.connect(gain).connect(audio.destination);
		oscillator.start(at);
		oscillator.stop(at + seconds);
	}

	close(): void {
		void this.#audio?.close();
		this.#audio = null;
	}
}
