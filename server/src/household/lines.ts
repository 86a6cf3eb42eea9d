import { StringDecoder } from 'node:string_decoder';

/** A line is longer than any may be. */
export class TooLong extends Error {}

/**
 * The lines of a stream of UTF-8, without what ends them. One that is too long is given up as it comes, and not when it
 * has filled the memory.
 *
 * @throws TooLong
 */
export async function* linesOf(stream: AsyncIterable<Buffer>, longest: number): AsyncGenerator<string> {
  const decoder = new StringDecoder('utf8');
  let begun: string[] = [];
  let length = 0;
  for await (const chunk of stream) {
    const pieces = decoder.write(chunk).split('\n');
    for (const [i, piece] of pieces.entries()) {
      length += piece.length;
      if (length > longest) throw new TooLong();
      begun.push(piece);
      if (i === pieces.length - 1) continue;
      yield begun.join('');
      [begun, length] = [[], 0];
    }
  }
  begun.push(decoder.end());
  const last = begun.join('');
  if (last !== '') yield last;
}
