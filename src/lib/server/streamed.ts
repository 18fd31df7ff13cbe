/** Pieces between two breaths, in which other requests are answered. */
const PIECES_A_BREATH = 200;

/** A long text as it is made: neither memory nor other requests wait for it. */
export function streamed(pieces: Generator<string>): ReadableStream<Uint8Array> {
	const encoder = new TextEncoder();
	return new ReadableStream(
		{
			async pull(controller) {
				await new Promise((resolve) => setImmediate(resolve));
				let text = '';
				for (let i = 0; i < PIECES_A_BREATH; i++) {
					const piece = pieces.next();
					if (piece.done) {
						if (text) controller.enqueue(encoder.encode(text));
						controller.close();
						return;
					}
					text += piece.value;
				}
				controller.enqueue(encoder.encode(text));
			},
			cancel() {
				pieces.return(undefined);
			}
		},
		{ highWaterMark: 1 }
	);
}
