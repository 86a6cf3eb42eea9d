/* What is fuzzed, as it was built: a parser each, what it may throw, beginnings, and words of its language. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../scripts/run.mjs';

const built = (path) => import(`file://${join(ROOT, path)}`);
const text = (bytes) => bytes.toString('utf8');
const PUSHED_CODE = /core\/dist\/sources|contract\/dist/;

/** What a device pushes in a form, as the service would read it: whatever it is, what comes out is readings. */
const pushedAs = (format, parse) => async () => {
  const [{ sources }, { PUSHED, unkeepableTexts, JOI_OPTIONS }] = await Promise.all([
    built('core/dist/index.js'),
    built('contract/dist/index.js'),
  ]);
  return (bytes) => {
    let body;
    try {
      body = parse(text(bytes));
    } catch {
      return;
    }
    if (Object.keys(unkeepableTexts(body)).length > 0 || PUSHED[format].validate(body, JOI_OPTIONS).error) return;
    const { readings } = sources.readPushed(format, body, new Date('2026-06-01T00:00:00Z'));
    for (const { at, temperatureC, humidityPct } of readings)
      if (!Number.isFinite(Date.parse(at)) || !Number.isFinite(temperatureC) || !Number.isFinite(humidityPct))
        throw new Error('a reading that is none');
  };
};

/** A refusal is said on purpose, by one of these. */
const isRefusal =
  (...names) =>
  (error) =>
    names.includes(error?.name) || names.includes(error?.constructor?.name);

const ICS = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTART:20260310T100000Z',
  'DURATION:PT1H',
  'RRULE:FREQ=WEEKLY;BYDAY=MO,TU;INTERVAL=2',
  'EXDATE:20260312T100000Z',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n');
const LOG = 'at;temperature C;humidity %\n2026-03-10 10:00;20,5;50\n2026-03-10 10:10;20,6;51\n';
const SENML = JSON.stringify([
  { bn: 'x', bt: 1773136800, n: 'temperature', u: 'Cel', v: 20.5 },
  { n: 'humidity', u: '%RH', v: 50, t: 60 },
]);

export const PARSERS = {
  csv: {
    load: async () => {
      const [{ csvRows }, { decode }, { guessDelimiter }] = await Promise.all(
        ['rows', 'decode', 'delimiter'].map((f) => built(`server/dist/csv/${f}.js`)),
      );
      return (bytes) => {
        const { text: read } = decode(bytes, false);
        csvRows(read, guessDelimiter(read));
      };
    },
    code: /server\/dist\/csv/,
    mayThrow: () => false,
    seeds: [LOG, 'a,b\n"x\ny",2\n"open', '\ufeffa\tb\r\n1\t2\r'],
    words: ['"', '""', ',', ';', '\t', '\r\n', '\n', '|', '=1+1', '\u0000'],
  },
  log: {
    load: async () => {
      const [{ guessFormat, rowReader }, { csvRows }] = await Promise.all([
        built('server/dist/air/logFormat.js'),
        built('server/dist/csv/rows.js'),
      ]);
      return (bytes) => {
        const format = guessFormat(text(bytes), 'Europe/Lisbon');
        if (!format) return;
        const [head, ...rows] = csvRows(text(bytes), format.delimiter);
        const read = rowReader(format, head?.cells ?? [], new Date('2026-06-01T00:00:00Z'));
        for (const row of rows) {
          const said = { ms: NaN, temperatureC: NaN, humidityPct: NaN };
          if (row.cells && read(row.cells, said) === null && !Object.values(said).every(Number.isFinite))
            throw new Error('a row was taken that is none');
        }
      };
    },
    code: /server\/dist\/(air|csv)/,
    // A heading that is not there any more: the service says so.
    mayThrow: isRefusal('RangeError'),
    seeds: [LOG, 'Date,Time,Temp(F),RH\n03/10/2026,10:00 PM,68.5,50%\n', 'time,t,h\n1773136800,20,50\n'],
    words: ['2026-03-29 01:30', '31.12.2026', '12:00 AM', 'T', 'Z', '+01:00', 'NaN', '1e308', '°F', '-', '/', ';', '"'],
  },
  senml: {
    load: pushedAs('senml', JSON.parse),
    code: PUSHED_CODE,
    mayThrow: () => false,
    seeds: [SENML],
    words: ['"bt":', '"t":', '"v":', '1e308', '-1e308', '"K"', '"bver":11', 'null', '[', '{', '1e-320'],
  },
  lineProtocol: {
    load: pushedAs('line-protocol', (said) => said),
    code: PUSHED_CODE,
    mayThrow: () => false,
    seeds: ['air,room=a temperature=20.5,humidity=55i 1773136800000000000\n', '# c\nair tempF=68,rh=40,s="a, b"\n'],
    words: ['\\ ', '\\,', '\\=', '"', '=', ',', ' ', '1e308', '9223372036854775807', '-1', 'i', 'u', 'true', '\r\n', '#'],
  },
  plainJson: {
    load: pushedAs('json', JSON.parse),
    code: PUSHED_CODE,
    mayThrow: () => false,
    seeds: ['{"temperature":20.4,"humidity":55,"ts":1773136800}', '[{"data":{"t":"20","h":40},"time":"2026-03-10T10:00:00Z"}]'],
    words: ['"t":', '"h":', '"time":', '1e308', '-1e308', '"__proto__":', 'null', '[', '{', '"2026-13-01T00:00:00Z"', '"1e5"'],
  },
  calendar: {
    load: async () => {
      const { readBusy } = await built('core/dist/schedule/icalendar/index.js');
      return (bytes) => void readBusy(text(bytes), { from: '2026-03-01', to: '2026-06-01', timeZone: 'Europe/Lisbon' });
    },
    code: /core\/dist\/schedule|ical\.js/,
    mayThrow: () => false,
    // What never ends is ended by its thread in the program; here it is no find.
    mayHang: true,
    seeds: [
      ICS,
      ICS.replace('WEEKLY;BYDAY=MO,TU', 'MONTHLY;BYMONTHDAY=31'),
      ICS.replace('DTSTART', 'DTSTART;VALUE=DATE').replace('T100000Z', ''),
    ],
    words: [
      'RRULE:',
      'FREQ=YEARLY',
      'BYMONTH=2',
      'BYMONTHDAY=-31',
      'COUNT=3',
      'UNTIL=20261231',
      'RDATE;VALUE=PERIOD:20260401T100000Z/PT1H',
      'RECURRENCE-ID:20260310T100000Z',
      'BEGIN:VTIMEZONE',
      'TZID=',
      'BEGIN:VFREEBUSY',
      'FREEBUSY:',
      '\r\n ',
      'BEGIN:VALARM',
    ],
  },
  archive: {
    load: async () => {
      const { ArchiveReader, ArchiveWriter } = await built('server/dist/household/archive.js');
      const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-fuzz-'));
      const whole = join(folder, 'whole.zip');
      const writer = new ArchiveWriter(whole);
      await writer.table(
        'item',
        (async function* () {
          yield ['{"id":1}', '{"id":2}'];
        })(),
      );
      await writer.finish({ program: 'x', madeAt: '2026-05-20T09:00:00.000Z', schemaStep: 1 });
      const { readFileSync } = await import('node:fs');
      PARSERS.archive.seeds.push(readFileSync(whole));
      return async (bytes) => {
        const path = join(folder, 'input.zip');
        writeFileSync(path, bytes);
        const archive = await ArchiveReader.open(path);
        try {
          for (const { name } of archive.manifest.tables) await archive.allRows(name);
        } finally {
          archive.close();
        }
      };
    },
    code: /server\/dist\/household|yauzl/,
    mayThrow: isRefusal('ProblemError'),
    seeds: [],
    words: ['PK\u0001\u0002', 'PK\u0003\u0004', 'PK\u0005\u0006', 'manifest.json', '\u00ff\u00ff\u00ff\u00ff'],
  },
  exif: {
    load: async () => {
      const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-fuzz-'));
      const outfile = join(folder, 'exif.mjs');
      const { build } = await import('esbuild');
      await build({
        entryPoints: [join(ROOT, 'web/src/workers/frame/exif.ts')],
        bundle: true,
        platform: 'node',
        format: 'esm',
        outfile,
        logLevel: 'error',
        banner: { js: "import { createRequire } from 'node:module';const require = createRequire(import.meta.url);" },
      });
      const { takenOf } = await import(`file://${outfile}`);
      const { default: sharp } = await import('sharp');
      const told = {
        IFD0: { Model: 'Body', DateTime: '2026:03:10 11:22:33' },
        IFD2: { FNumber: '160/10', ExposureTime: '1/30', ISOSpeedRatings: '100', FocalLength: '50/1', LensModel: 'Lens' },
      };
      const picture = sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } }).withExif(told);
      for (const format of ['jpeg', 'png', 'webp', 'tiff']) PARSERS.exif.seeds.push(await picture.clone().toFormat(format).toBuffer());
      const within = { fNumber: [0.7, 128], iso: [1, 1e7], exposureS: [0, 1e5], focalMm: [0.5, 1e4] };
      return (bytes) => {
        const taken = takenOf(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
        for (const [name, [least, most]] of Object.entries(within))
          if (taken[name] !== null && !(taken[name] >= least && taken[name] <= most)) throw new Error(`${name} is ${taken[name]}`);
        if (taken.takenAt !== null && Number.isNaN(Date.parse(taken.takenAt))) throw new Error(`takenAt is ${taken.takenAt}`);
        for (const text of [taken.body, taken.lens, taken.style])
          if (text !== null && (text.length > 200 || /\p{Cc}/u.test(text))) throw new Error('a text that cannot be shown');
      };
    },
    code: /exif\.mjs/,
    mayThrow: () => false,
    seeds: [],
    words: [
      'Exif\u0000\u0000',
      'II*\u0000',
      'MM\u0000*',
      '\u0000\u0001',
      '\u00ff\u00e1',
      '\u00ff\u00d8',
      'ICC_PROFILE',
      'http://ns.adobe.com/xap/1.0/',
      '<x:xmpmeta',
    ],
  },
  documents: {
    load: async () => {
      const [{ DOCUMENTS }, { readDocument, UnreadableDocument }] = await Promise.all([
        built('server/dist/tables/index.js'),
        built('server/dist/db/index.js'),
      ]);
      return (bytes) => {
        let raw;
        try {
          raw = JSON.parse(text(bytes));
        } catch {
          return;
        }
        for (const { kind } of DOCUMENTS)
          try {
            readDocument(kind, raw);
          } catch (error) {
            // An upgrade of what an earlier program never wrote may fail as it likes: whoever reads it refuses it whole.
            if (!(error instanceof UnreadableDocument) && raw?.v === kind.version) throw error;
          }
      };
    },
    code: /server\/dist|contract\/dist|core\/dist\/care/,
    mayThrow: () => false,
    seeds: [
      '{"v":2,"data":{"kind":"look","lookId":"01a20000-0000-7000-8000-0000000000aa","verdicts":[],"notes":[],"looked":1}}',
      '{"v":1,"data":{"coating":"multi","yearMade":1990}}',
      '{"v":1,"data":[{"surface":"front-glass","findings":[{"soil":"dust","severity":2}],"note":""}]}',
      '{"v":2,"data":{"reason":"film-left"}}',
      '{"v":1,"data":{"rhythm":{"triggers":[{"on":"calendar","rrule":"FREQ=MONTHLY;INTERVAL=3"}],"earlyDays":14,"lateDays":14,"minutes":8}}}',
    ],
    words: [
      '"v":1',
      '"v":2',
      '"v":3',
      '"data":',
      'null',
      '[]',
      '{}',
      '"kind":',
      '"clean"',
      '"steps":',
      '"because":',
      '1e309',
      '__proto__',
      '"surface":"front-glass"',
    ],
  },
};
