/** Longest body worth reading, bytes. A design has under 2,000. */
export const LONGEST_BODY = 64 * 1024;
/** A sender slower than this is given up, ms. */
const PATIENCE = 10_000;

export type Body =
  | { readonly ok: true; readonly text: string }
  | { readonly ok: false; readonly status: 408 | 413; readonly message: string };

/** Reads a request's text, stopping as soon as it grows too long or takes too long. */
export async function readBody(request: Request): Promise<Body> {
  const tooLong: Body = { ok: false, status: 413, message: `The document is longer than ${LONGEST_BODY} bytes.` };
  if (Number(request.headers.get('content-length') ?? 0) > LONGEST_BODY) return tooLong;
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  const late = new Promise<'late'>((resolve) => setTimeout(resolve, PATIENCE, 'late').unref());
  for (let size = 0; reader;) {
    const part = await Promise.race([reader.read(), late]);
    if (part === 'late') {
      void reader.cancel();
      return { ok: false, status: 408, message: 'The document did not arrive in time.' };
    }
    if (part.done) break;
    size += part.value.byteLength;
    if (size > LONGEST_BODY) {
      void reader.cancel();
      return tooLong;
    }
    chunks.push(part.value);
  }
  return { ok: true, text: Buffer.concat(chunks).toString('utf8') };
}
