import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import said from './fixtures/said.json';
import { headOf } from './head';
import { readHeads } from './read';

/** What Debian's ExifTool 12.57, which wrote these files, reads in them. */
type Said = Partial<Record<'FileName' | 'DateTimeOriginal' | 'Make' | 'Model' | 'LensMake' | 'LensModel' | 'LensSerialNumber', string>> &
  Partial<Record<'SubSecTimeOriginal' | 'SerialNumber' | 'FNumber' | 'FocalLength' | 'GPSLatitude' | 'GPSLongitude', number | string>>;
const SAID: Said[] = said;
const FIXTURES = import.meta.glob<string>(['./fixtures/*', '!./fixtures/*.json'], { query: '?inline', import: 'default', eager: true });
const bytesOf = (name: string): ArrayBuffer => {
  const [, base64] = FIXTURES[`./fixtures/${name}`]!.split(';base64,');
  return Uint8Array.from(atob(base64!), (c) => c.charCodeAt(0)).buffer;
};
const fileOf = (bytes: ArrayBuffer | string, name: string) => new File([bytes], name);

describe('the head of a picture, as another reader reads it', () => {
  const dated = SAID.filter((s) => s.DateTimeOriginal && !s.DateTimeOriginal.startsWith('0000'));
  it('there are files of four formats to read', () => expect(dated.map((s) => s.FileName!.split('.').pop()).sort()).toEqual(['heic', 'jpg', 'png', 'tif'])); // prettier-ignore

  it.each(dated.map((s) => [s.FileName!, s] as const))('%s', (name, said) => {
    const { picture, body, lens } = headOf(bytesOf(name), name, true)!;
    const [day, time] = said.DateTimeOriginal!.split(' ');
    const fraction = said.SubSecTimeOriginal === undefined ? '' : `.${said.SubSecTimeOriginal}`;
    expect(picture.takenAt).toBe(`${day!.replaceAll(':', '-')}T${time}${fraction}`);
    expect(body).toEqual({
      maker: said.Make ?? null,
      model: said.Model,
      serial: said.SerialNumber === undefined ? null : String(said.SerialNumber),
    });
    expect(picture.bodyIsCertain).toBe(said.SerialNumber !== undefined);
    expect([picture.fNumber, picture.focalMm]).toEqual([said.FNumber ?? null, said.FocalLength ?? null]);
    expect(lens).toEqual(
      said.LensModel === undefined ? null : { maker: said.LensMake ?? null, model: said.LensModel, serial: said.LensSerialNumber ?? null },
    );
    if (said.GPSLatitude === undefined) return expect(picture.place).toBeNull();
    expect(picture.place!.latitude).toBeCloseTo(Number(said.GPSLatitude), 0.9);
    expect(picture.place!.longitude).toBeCloseTo(Number(said.GPSLongitude), 0.9);
  });

  it('where it was taken is told to a tenth of a degree, and not at all unless it may be', () => {
    expect(headOf(bytesOf('south.jpg'), 'south.jpg', true)!.picture.place).toEqual({ latitude: -33.9, longitude: -18.4 });
    expect(headOf(bytesOf('south.jpg'), 'south.jpg', false)!.picture.place).toBeNull();
  });

  it('a clock that was never set, zeros for a number and dashes for a lens say nothing', () => {
    expect(headOf(bytesOf('unset.jpg'), 'unset.jpg', true)).toBeNull();
    expect(headOf(bytesOf('bare.jpg'), 'bare.jpg', true)).toBeNull();
  });
});

describe('heads by a second writer (libvips)', () => {
  const written = async (format: 'jpeg' | 'png' | 'webp', ifd2: Record<string, string>) => {
    const blank = sharp({ create: { width: 16, height: 16, channels: 3, background: '#777' } });
    const picture = blank[format]().withExif({ IFD0: { Make: 'Skerrow', Model: 'M1' }, IFD2: ifd2 });
    return new Uint8Array(await picture.toBuffer()).buffer;
  };
  it.each(['jpeg', 'png', 'webp'] as const)('%s', async (format) => {
    const bytes = await written(format, {
      DateTimeOriginal: '2026:03:10 11:22:33',
      BodySerialNumber: '99',
      LensModel: 'Tidewell 35/2',
      FNumber: '56/10',
      FocalLength: '35/1',
    });
    expect(headOf(bytes, `a.${format}`, false)).toEqual({
      body: { maker: 'Skerrow', model: 'M1', serial: '99' },
      lens: { maker: null, model: 'Tidewell 35/2', serial: null },
      picture: {
        name: `a.${format}`,
        takenAt: '2026-03-10T11:22:33',
        body: JSON.stringify(['Skerrow', 'M1', '99']),
        lens: JSON.stringify([null, 'Tidewell 35/2', null]),
        bodyIsCertain: true,
        focalMm: 35,
        fNumber: 5.6,
        place: null,
      },
    });
  });
  it.each(['2026:13:10 11:22:33', '2026:02:30 25:00:00', '    :  :     :  :  '])('a time that is none is no time: %s', async (time) =>
    expect(headOf(await written('jpeg', { DateTimeOriginal: time }), 'a.jpg', false)).toBeNull(),
  );
});

describe('raw containers', () => {
  const same = (bytes: ArrayBuffer, name: string, as: string) =>
    expect(headOf(bytes, name, false)).toEqual({ ...headOf(bytesOf(as), as, false)!, picture: { ...headOf(bytesOf(as), as, false)!.picture, name } }); // prettier-ignore
  const tiff = (magic: number): ArrayBuffer => {
    const bytes = bytesOf('north.tif');
    new DataView(bytes).setUint16(2, magic, true);
    return bytes;
  };
  it.each([
    ['a.nef', 42],
    ['a.dng', 42],
    ['a.orf', 0x4f52],
    ['a.ORF', 0x5352],
    ['a.rw2', 0x55],
  ])('a TIFF with a name of its own, or a number of its own: %s, %i', (name, magic) => same(tiff(magic), name, 'north.tif'));
  it('one that holds a JPEG and says where', () => {
    const jpeg = new Uint8Array(bytesOf('south.jpg'));
    const bytes = new Uint8Array(160 + jpeg.length + 50_000);
    bytes.set(jpeg, 160);
    new DataView(bytes.buffer).setUint32(84, 160);
    new DataView(bytes.buffer).setUint32(88, jpeg.length);
    same(bytes.buffer, 'a.raf', 'south.jpg');
    // One that points behind its end, or at no JPEG, says nothing.
    new DataView(bytes.buffer).setUint32(84, 0xfffffff0);
    expect(headOf(bytes.buffer, 'a.raf', false)).toBeNull();
    new DataView(bytes.buffer).setUint32(84, 100);
    expect(headOf(bytes.buffer, 'a.raf', false)).toBeNull();
  });
  it('one that is none of these is told unread', async () =>
    expect(await readHeads([fileOf('\0\0\0\u0018ftypcrx '.padEnd(4000, 'x'), 'a.cr3')], false)).toMatchObject({ pictures: [], untold: 1 }));
});

describe('a batch of files', () => {
  it('tells what was read, each camera once, and what was passed over', async () => {
    const heads = await readHeads(
      [
        fileOf(bytesOf('south.jpg'), 'IMG_0001.JPG'),
        fileOf(bytesOf('south.jpg'), 'IMG_0002.jpeg'),
        fileOf(bytesOf('night.heic'), 'night.HEIC'),
        fileOf(bytesOf('bare.jpg'), 'bare.jpg'),
        fileOf('not a picture at all', 'fake.jpg'),
        fileOf('x', 'one-byte.cr2'),
        fileOf('', 'empty.jpg'),
        fileOf('<xmp/>', 'IMG_0001.xmp'),
        fileOf(bytesOf('south.jpg'), '._IMG_0001.JPG'),
        { name: 'gone.jpg', size: 9, slice: () => ({ arrayBuffer: () => Promise.reject(new Error('gone')) }) } as unknown as File,
      ],
      false,
    );
    expect(heads.pictures.map((p) => p.name)).toEqual(['IMG_0001.JPG', 'IMG_0002.jpeg', 'night.HEIC']);
    expect(heads.bodies.map(([, says]) => says.model)).toEqual(['Skerrow M1', 'Skerrow M2']);
    expect(heads).toMatchObject({ notPictures: 3, untold: 4 });
  });

  it('reads no more than the head of a large file', async () => {
    const large = new File([bytesOf('south.jpg'), new Uint8Array(3_000_000)], 'large.jpg');
    let read = 0;
    const slice = large.slice.bind(large);
    large.slice = (from, to) => ((read += (to ?? large.size) - (from ?? 0)), slice(from, to));
    expect((await readHeads([large], false)).pictures).toHaveLength(1);
    expect(read).toBeLessThanOrEqual(128 * 1024);
  });

  it('whatever a file says to be, it ends: cut off anywhere, or with any byte changed', async () => {
    const whole = new Uint8Array(bytesOf('south.jpg'));
    for (let at = 0; at < whole.length; at += 7) {
      const changed = whole.slice();
      changed[at] = 255 - changed[at]!;
      const { pictures, untold } = await readHeads(
        [fileOf(whole.slice(0, at + 1).buffer, 'cut.jpg'), fileOf(changed.buffer, 'odd.jpg')],
        true,
      );
      expect(pictures.length + untold).toBe(2);
    }
  });
});
