/** A camera of this device: its picture in a video element, and a still of it. */
export class DeviceCamera {
	/** What is wrong, and what to do; empty where it runs. */
	trouble = $state('');
	running = $state(false);
	#stream: MediaStream | null = null;

	/** @param video shows what the camera sees */
	async start(video: HTMLVideoElement): Promise<void> {
		try {
			this.#stream = await navigator.mediaDevices.getUserMedia({
				video: { width: { ideal: 1920 }, height: { ideal: 1440 }, facingMode: 'user' },
				audio: false
			});
			video.srcObject = this.#stream;
			await video.play();
			this.running = true;
		} catch (error) {
			this.trouble = cameraTrouble(error);
		}
	}
	/** What it sees now, as a file. */
	async still(video: HTMLVideoElement): Promise<Blob | null> {
		const canvas = new OffscreenCanvas(video.videoWidth, video.videoHeight);
		canvas.getContext('2d')?.drawImage(video, 0, 0);
		return canvas.width ? canvas.convertToBlob({ type: 'image/png' }) : null;
	}
	stop(): void {
		for (const track of this.#stream?.getTracks() ?? []) track.stop();
		this.#stream = null;
		this.running = false;
	}
}

/** Why a camera does not run, in plain words. */
export function cameraTrouble(error: unknown): string {
	const name = error instanceof Error ? error.name : '';
	if (name === 'NotAllowedError')
		return 'The browser may not use the camera. Allow it beside the address, or choose files instead.';
	if (name === 'NotFoundError' || name === 'OverconstrainedError')
		return 'No camera was found. Plug one in, choose files instead, or take the simulated one.';
	if (name === 'NotReadableError') return 'Another program uses the camera. Close it and try again.';
	return 'The camera does not start here. Choose files instead, or take the simulated one.';
}
