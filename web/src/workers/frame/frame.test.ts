import { describe, expect, it } from 'vitest';
import { instantOf, NOT_TOLD, takenOf } from './exif';
import { greyOf, smallOf } from './grey';
import { shownIn, turnedBack } from './heic';
import { previewIn } from './preview';
import { isSixteenBitPng, isWholeJpeg, kindOf, sizeOf } from './sniff';

const bytes = (...values: number[]) => Uint8Array.from(values);
const PNG = bytes(
  0x89,
  0x50,
  0x4e,
  0x47,
  0x0d,
  0x0a,
  0x1a,
  0x0a,
  0,
  0,
  0,
  13,
  0x49,
  0x48,
  0x44,
  0x52,
  0,
  0,
  0x17,
  0x70,
  0,
  0,
  0x0f,
  0xa0,
  16,
  0,
);

/** The beginning of a JPEG: a comment of so many bytes, then the start of a frame of 6000 × 4000. */
const jpeg = (comment: number, marker = 0xc0) =>
  bytes(
    0xff,
    0xd8,
    0xff,
    0xfe,
    0,
    comment + 2,
    ...Array<number>(comment).fill(0x20),
    0xff,
    0xff,
    marker,
    0,
    11,
    8,
    0x0f,
    0xa0,
    0x17,
    0x70,
    1,
    1,
    0x11,
    0,
  );

describe('a file is what its first bytes say', () => {
  it.each([
    ['jpeg', bytes(0xff, 0xd8, 0xff, 0xe1)],
    ['png', PNG],
    ['tiff', bytes(0x49, 0x49, 0x2a, 0)],
    ['tiff', bytes(0x4d, 0x4d, 0, 0x2a)],
    ['webp', bytes(...[...'RIFF....WEBP'].map((c) => c.charCodeAt(0)))],
    [null, bytes(...[...'%PDF-1.7 no picture'].map((c) => c.charCodeAt(0)))],
    ['heic', bytes(0, 0, 0, 24, ...[...'ftypheic'].map((c) => c.charCodeAt(0)))],
    ['heic', bytes(0, 0, 0, 24, ...[...'ftypmif1'].map((c) => c.charCodeAt(0)))],
    [null, bytes(0, 0, 0, 24, ...[...'ftypisom'].map((c) => c.charCodeAt(0)))],
    [null, bytes()],
  ] as const)('%s', (kind, data) => expect(kindOf(data)).toBe(kind));

  it('of a HEIC it is seen how it is shown: turned, mirrored, for a bright screen; what is broken ends the reading', () => {
    const box = (name: string, ...body: number[]): number[] => [
      0,
      0,
      0,
      8 + body.length,
      ...[...name].map((c) => c.charCodeAt(0)),
      ...body,
    ];
    const file = (...properties: number[][]) =>
      bytes(...box('ftyp', 1, 2), ...box('meta', 0, 0, 0, 0, ...box('hdlr', 9), ...box('iprp', ...box('ipco', ...properties.flat()))));
    const plain = { quarters: 0, isMirrored: false, isHdr: false };
    const colour = (transfer: number) => box('colr', ...[...'nclx'].map((c) => c.charCodeAt(0)), 0, 9, 0, transfer, 0, 9, 0);
    expect(shownIn(file())).toEqual(plain);
    expect(shownIn(file(box('irot', 3), colour(13)))).toEqual({ ...plain, quarters: 3 });
    expect(shownIn(file(box('irot', 1), box('irot', 2)))).toEqual({ ...plain, quarters: null });
    expect(shownIn(file(box('imir', 1)))).toEqual({ ...plain, isMirrored: true });
    for (const transfer of [16, 18]) expect(shownIn(file(colour(transfer)))).toEqual({ ...plain, isHdr: true });
    const broken = file(box('irot', 1));
    for (let cut = 0; cut < broken.length; cut += 1) expect(() => shownIn(broken.subarray(0, cut))).not.toThrow();
    expect(shownIn(bytes(0, 0, 0, 0))).toEqual(plain);
    expect(shownIn(bytes(0, 0, 0, 1, ...[...'meta'].map((c) => c.charCodeAt(0)), 0, 0, 0, 0, 0, 0, 0, 2))).toEqual(plain);
  });

  it('a frame that was turned is turned back to where the sensor recorded it', () => {
    const frame = { width: 3, height: 2, data: bytes(1, 2, 3, 4, 5, 6) };
    // Against the clock: what was on the right is above (ISO/IEC 23008-12, 6.5.10).
    expect(turnedBack({ width: 2, height: 3, data: bytes(3, 6, 2, 5, 1, 4) }, 1)).toEqual(frame);
    expect(turnedBack({ width: 3, height: 2, data: bytes(6, 5, 4, 3, 2, 1) }, 2)).toEqual(frame);
    expect(turnedBack({ width: 2, height: 3, data: bytes(4, 1, 5, 2, 6, 3) }, 3)).toEqual(frame);
    expect(turnedBack(frame, 0)).toEqual(frame);
  });

  it('says its size before it is decoded, whatever stands before that in the file', () => {
    for (const comment of [0, 1, 200]) expect(sizeOf('jpeg', jpeg(comment))).toEqual({ width: 6000, height: 4000 });
    // Progressive frames too; tables of the Huffman code are none (ITU T.81, table B.1).
    expect(sizeOf('jpeg', jpeg(3, 0xc2))).toEqual({ width: 6000, height: 4000 });
    expect(sizeOf('jpeg', jpeg(3, 0xc4))).toBeNull();
    expect(sizeOf('jpeg', bytes(0xff, 0xd8, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0))).toBeNull();
    expect(sizeOf('png', PNG)).toEqual({ width: 6000, height: 4000 });
    expect(sizeOf('png', PNG.subarray(0, 20))).toBeNull();
    expect(isSixteenBitPng(PNG)).toBe(true);
  });

  it('of a raw file the largest picture inside is found; the raw picture itself, a small one and a broken one are none', () => {
    const small = jpeg(3);
    small.set([0, 120, 0, 160], small.length - 8);
    const head = bytes(0x49, 0x49, 0x2a, 0, 8, 0, 0, 0, 0xff, 0xd8, 0xff, 7, 7, 7);
    const file = (...parts: Uint8Array[]) => bytes(...parts.flatMap((p) => [...p]), ...Array<number>(12).fill(0));
    expect(previewIn(file(head, small))).toBeNull();
    expect(previewIn(file(head, jpeg(3, 0xc3)))).toBeNull();
    expect(previewIn(head)).toBeNull();
    expect(previewIn(bytes())).toBeNull();
    expect(previewIn(file(head, small, jpeg(3, 0xc3), jpeg(9)))).toEqual({
      width: 6000,
      height: 4000,
      from: head.length + small.length + jpeg(3).length,
    });
  });

  it('ends as a JPEG does, or breaks off', () => {
    expect(isWholeJpeg(bytes(0xff, 0xd8, 1, 2, 3, 0xff, 0xd9))).toBe(true);
    // Cameras append what programs of their own read.
    expect(isWholeJpeg(bytes(0xff, 0xd8, 1, 2, 0xff, 0xd9, 0, 0, 7))).toBe(true);
    expect(isWholeJpeg(bytes(0xff, 0xd8, 1, 2, 3))).toBe(false);
  });
});

describe('the grey of a picture', () => {
  it('weighs green most (Rec. 709), and is white for white', () => {
    const rgba = Uint8Array.from([255, 255, 255, 255, 0, 255, 0, 255, 255, 0, 0, 255, 0, 0, 255, 255]);
    expect([...greyOf({ width: 4, height: 1, data: rgba, samples: 4 }).data]).toEqual([255, 182, 54, 19]);
  });
  it('keeps sixteen bits, reads grey with alpha, and turns around what has its white at zero', () => {
    expect([...greyOf({ width: 2, height: 1, data: Uint16Array.from([60_000, 65_535, 30_000, 65_535]), samples: 2 }).data]).toEqual([
      60_000, 30_000,
    ]);
    expect([...greyOf({ width: 2, height: 1, data: Uint8Array.from([0, 55]), samples: 1, isInverted: true }).data]).toEqual([255, 200]);
  });
  it('made small is the mean of what it stands for', () => {
    const small = smallOf({ width: 4, height: 2, data: Uint8Array.from([0, 100, 10, 10, 100, 200, 10, 10]) }, 2);
    expect([small.width, small.height, small.data[0], small.data[4]]).toEqual([2, 1, 100, 10]);
    expect(smallOf({ width: 2, height: 2, data: Uint16Array.from([65_535, 65_535, 65_535, 65_535]) }, 1).data[0]).toBe(255);
  });
});

describe('what a camera wrote', () => {
  it('is an instant where it says its offset, and by this machine’s clock where it does not', () => {
    expect(instantOf('2026:03:10 11:22:33', '+01:00')).toBe('2026-03-10T10:22:33.000Z');
    expect(instantOf('2026:03:10 11:22:33', null)).toBe(new Date(2026, 2, 10, 11, 22, 33).toISOString());
  });
  it.each(['0000:00:00 00:00:00', '2026:13:45 11:22:33', '1200:01:01 00:00:00', 'yesterday', null])('%s is no time', (text) =>
    expect(instantOf(text, null)).toBeNull(),
  );
  it('is nothing where it cannot be read', () => expect(takenOf(bytes(1, 2, 3).buffer)).toEqual(NOT_TOLD));
});
