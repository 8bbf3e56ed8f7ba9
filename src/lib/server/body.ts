import { MAX_SEQUENCE_BYTES } from '../formats/readJson';
import { problemAnswer, type Answer } from './answer';

const tooLarge = (): Answer =>
	problemAnswer(413, 'Body too large', `At most ${MAX_SEQUENCE_BYTES} bytes are read. Send a smaller sequence.`);

/** The bytes of a request, or why it is refused. */
export async function bodyOf(request: Request): Promise<Uint8Array<ArrayBuffer> | Answer> {
	if (Number(request.headers.get('content-length') ?? 0) > MAX_SEQUENCE_BYTES) return tooLarge();
	try {
		const bytes = new Uint8Array(await request.arrayBuffer());
		return bytes.byteLength > MAX_SEQUENCE_BYTES ? tooLarge() : bytes;
	} catch {
		// The server under us stops reading at its own limit.
		return tooLarge();
	}
}
