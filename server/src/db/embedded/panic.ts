const ERROR = 'E'.charCodeAt(0);
const SEVERITY = 'V'.charCodeAt(0);
const READY = 'Z'.charCodeAt(0);
const QUERY = 'Q'.charCodeAt(0);
const SYNC = 'S'.charCodeAt(0);
const HEADER_BYTES = 5;
/** Severities after which a server ends: it cannot go on with what it holds in memory. */
const ENDS = new Set(['PANIC', 'FATAL']);

/** The fields of an error message, by their letter (PostgreSQL manual, "Error and Notice Message Fields"). */
function fieldsOf(body: Buffer): Map<number, string> {
  const fields = new Map<number, string>();
  for (let at = 0; at < body.length && body[at] !== 0;) {
    const end = body.indexOf(0, at + 1);
    fields.set(body[at]!, body.toString('utf8', at + 1, end));
    at = end + 1;
  }
  return fields;
}

/** Where each message begins. */
function messagesOf(bytes: Buffer): number[] {
  const begins: number[] = [];
  for (let at = 0; at + HEADER_BYTES <= bytes.length; at += 1 + bytes.readInt32BE(at + 1)) begins.push(at);
  return begins;
}

/**
 * Whether an answer stops before it says, for each statement asked, that the server is ready for the next ("Message
 * Flow"): whoever asked would wait for ever. The embedded one falls silent like this when its disk fails under a sync.
 *
 * @param asked messages of a driver after its greeting.
 */
export function breaksOff(asked: Uint8Array, answer: Uint8Array): boolean {
  const count = (bytes: Uint8Array, letters: number[]) => {
    const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    return messagesOf(buffer).filter((at) => letters.includes(buffer[at]!)).length;
  };
  return count(answer, [READY]) < count(asked, [QUERY, SYNC]);
}

/**
 * What a server said before it would have ended, in an answer in PostgreSQL's protocol; null when it goes on. A server of
 * its own ends its process then; the embedded one cannot, and would answer nothing of use from there on.
 */
export function lastWords(answer: Uint8Array): string | null {
  const bytes = Buffer.from(answer.buffer, answer.byteOffset, answer.byteLength);
  for (const at of messagesOf(bytes)) {
    if (bytes[at] !== ERROR) continue;
    const fields = fieldsOf(bytes.subarray(at + HEADER_BYTES, at + 1 + bytes.readInt32BE(at + 1)));
    if (ENDS.has(fields.get(SEVERITY) ?? '')) return fields.get('M'.charCodeAt(0)) ?? 'it gave no reason';
  }
  return null;
}
