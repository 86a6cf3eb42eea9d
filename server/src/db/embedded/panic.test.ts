import { describe, expect, it } from 'vitest';
import { lastWords } from './panic.js';

/** A message as PostgreSQL's protocol frames it: a letter, the length, the body. */
function message(letter: string, body: Buffer): Buffer {
  const head = Buffer.alloc(5);
  head.write(letter);
  head.writeInt32BE(body.length + 4, 1);
  return Buffer.concat([head, body]);
}
const error = (severity: string, text: string) => message('E', Buffer.from(`S${severity}\0V${severity}\0C53100\0M${text}\0\0`));
const READY = message('Z', Buffer.from('I'));

describe('the last words of an engine', () => {
  it.each(['PANIC', 'FATAL'])('are told by %s, wherever in the answer it stands', (severity) => {
    const row = message('D', Buffer.from('a row that says EPANIC and VPANIC'));
    expect(lastWords(Buffer.concat([row, error(severity, 'no space left'), READY]))).toBe('no space left');
  });

  it('are none where a statement failed, or a row speaks of panic', () => {
    expect(lastWords(Buffer.concat([error('ERROR', 'division by zero'), READY]))).toBeNull();
    expect(lastWords(Buffer.concat([message('D', Buffer.from('\0\0VPANIC\0')), READY]))).toBeNull();
    expect(lastWords(new Uint8Array())).toBeNull();
  });
});
