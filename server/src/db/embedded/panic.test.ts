import { describe, expect, it } from 'vitest';
import { breaksOff, lastWords } from './panic.js';
import { simpleQuery } from './wire.js';

/** A message as PostgreSQL's protocol frames it: a letter, the length, the body. */
function message(letter: string, body: Buffer): Buffer {
  const head = Buffer.alloc(5);
  head.write(letter);
  head.writeInt32BE(body.length + 4, 1);
  return Buffer.concat([head, body]);
}
const error = (severity: string, text: string) => message('E', Buffer.from(`S${severity}\0V${severity}\0C53100\0M${text}\0\0`));
const READY = message('Z', Buffer.from('I'));

describe('an answer that breaks off', () => {
  const sync = message('S', Buffer.alloc(0));
  const twice = Buffer.concat([message('B', Buffer.from('a')), sync, message('B', Buffer.from('b')), sync]);
  const columns = message('T', Buffer.from('\0\0'));

  it('lacks the readiness that each statement asked for', () => {
    expect(breaksOff(simpleQuery('select 1'), columns)).toBe(true);
    expect(breaksOff(simpleQuery('select 1'), new Uint8Array())).toBe(true);
    expect(breaksOff(twice, Buffer.concat([columns, READY, columns]))).toBe(true);
  });

  it('is none where each was answered, with an error, too, and where nothing asked for readiness', () => {
    expect(breaksOff(simpleQuery('select 1'), Buffer.concat([error('ERROR', 'division by zero'), READY]))).toBe(false);
    expect(breaksOff(twice, Buffer.concat([columns, READY, READY]))).toBe(false);
    expect(breaksOff(Buffer.from([0, 0, 0, 8, 0, 3, 0, 0]), message('R', Buffer.alloc(4)))).toBe(false);
  });
});

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
