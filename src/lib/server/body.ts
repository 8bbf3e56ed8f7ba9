import { MAX_SEQUENCE_BYTES } from '../formats/readJson';
import { problemResponse } from './problemDetails';

const tooLarge = () =>
	problemResponse(413, 'Body too large', `At most ${MAX_SEQUENCE_BYTES} bytes are read. Send a smaller sequence.`);

/** The text of a request, or why it is refused. */
export async function bodyOf(request: Request): Promise<string | Response> {
	if (Number(request.headers.get('content-length') ?? 0) > MAX_SEQUENCE_BYTES) return tooLarge();
	try {
		const text = await request.text();
		return new TextEncoder().encode(text).byteLength > MAX_SEQUENCE_BYTES ? tooLarge() : text;
	} catch {
		// The server under us stops reading at its own limit.
		return tooLarge();
	}
}
