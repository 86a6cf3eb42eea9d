import { care, fungus, schedule, sensor, storage } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import {
  alertWords,
  assessWords,
  changeWords,
  frontMarkWords,
  glareChangeWords,
  glareGradeWords,
  glareTroubleWords,
  notComparableWords,
  sittingWords,
  sensorWords,
  pixelWords,
  unfitWords,
  unsureWords,
  barWords,
  becauseWords,
  beforeOpening,
  clockJumpWords,
  closingWords,
  dueWords,
  gentleWords,
  homeWords,
  lookWords,
  money,
  openingWords,
  readPlan,
  ruleInGeneral,
  ruleWords,
  schoolChangeWords,
  summaryWords,
  timerWords,
  warningWords,
} from './index.js';
import { sentenceFault } from './testing/sentenceLaws.js';

/** A sentence as one reads it: it begins with a capital or a figure, ends with a stop, and no fact is missing in it. */
const SENTENCE = /^[A-Z0-9“][\s\S]*[.?!)]$/;
const HOLES = /undefined|null|NaN|\[object|\{|\}| {2}/;
const reads = (text: string, what: string) => {
  expect(text, what).toMatch(SENTENCE);
  expect(text, what).not.toMatch(HOLES);
  expect(sentenceFault(text), what).toBeNull();
};

/** Facts enough for every code: what a code does not need, it does not read. */
const EVERY_FACT = {
  soil: 'haze',
  surface: 'front-glass',
  grave: true,
  sizeMm: 0.5,
  focalMm: 50,
  fNumber: 11,
  reach: { by: 'owner', rings: ['front-group'] },
  bar: 'flash',
  rule: 'fog-is-left',
  thing: 'glass-cloth',
  role: 'shell',
  lack: { thing: 'glass-cloth', reason: 'not-clean' },
} as const;

describe('reasons', () => {
  it.each(care.BECAUSE_CODES)('there is a sentence for %s', (reason) => {
    reads(becauseWords({ ...EVERY_FACT, reason } as care.Because), reason);
  });

  it('tells every verdict over every thing, surface, soil and severity in a sentence of its own facts', () => {
    for (const kind of care.ITEM_KINDS) {
      const context = care.contextOf({ item: { kind, traits: {} }, place: 'home' });
      for (const surface of care.surfacesOf(kind, {}))
        for (const soil of care.SOIL_IDS)
          for (const severity of [1, 2, 3, 4] as const)
            reads(becauseWords(care.triage({ surface, soil, severity }, context).because), `${kind} ${surface} ${soil} ${severity}`);
    }
  });

  it.each(care.RULES.map((r) => r.id))('names the surface wherever the rule %s speaks of one', (rule) => {
    const words = ruleWords(rule, 'rear-glass');
    reads(words, rule);
    const inGeneral = ruleInGeneral(rule);
    reads(inGeneral, rule);
    expect(words.includes('rear glass')).toBe(inGeneral !== words);
  });

  it.each(care.BARS)('says why a thing is kept shut: %s', (bar) => reads(barWords(bar), bar));
});

describe('a plan, read from end to end', () => {
  it.each(care.SITUATIONS.map((s) => [s.id, s] as const))('has no hole in it: %s', (_, situation) => {
    expect(readPlan(care.planCleaning(care.requestOf(situation)))).not.toMatch(HOLES);
  });

  it('says in one line what it comes to', () => {
    expect(summaryWords({ says: 'clean', apart: false, surfaces: 1, measures: [] })).toMatch(/^One surface to clean/);
    expect(summaryWords({ says: 'clean', apart: false, surfaces: 3, measures: [] })).toMatch(/^3 surfaces to clean/);
    expect(summaryWords({ says: 'hand-over', apart: true, surfaces: 0, measures: [] })).toMatch(
      /^Move it away from the rest\. Hand it over/,
    );
    expect(summaryWords({ says: 'leave', apart: false, surfaces: 0, measures: ['picture'] })).toMatch(/^Leave it/);
  });

  it.each([
    ['front-glass', 'clean', /slant/, /Ridges that flash/],
    ['sensor-cover', 'clean', /test frame/i, /stayed where they were/],
    ['sensor-cover', 'grains', /test frame/i, /never swabbed/],
    ['barrel', 'clean', /from the side/, /./],
    ['front-glass', 'turning', /ten times/, /easier/],
  ] as const)('sends one to look at the %s for %s with the light it wants', (surface, asks, lamp, wanted) => {
    const look = lookWords({ surface, removes: ['fingerprint'], look: { asks } })!;
    expect(look.lamp).toMatch(lamp);
    expect(look.for).toMatch(wanted);
  });
  it('sends nobody to look where nothing is judged', () => {
    expect(lookWords({ surface: 'front-glass', removes: [], look: null })).toBeNull();
  });
});

describe('opening', () => {
  const euro = (sum: number) => money(sum, 'EUR');
  it.each<[care.OpeningReason, RegExp]>([
    [{ says: 'barred', bar: 'radioactive' }, /never opened or ground/],
    [{ says: 'deeper' }, /one ring is where the owner stops/],
    [{ says: 'filter-first' }, /Free the filter first/],
    [{ says: 'ask-a-price' }, /Ask a workshop/],
    [{ says: 'write-down-worth' }, /Write down/],
    [{ says: 'damage', soil: 'fine-scratch' }, /./],
    [{ says: 'hardly-shows', soil: 'haze' }, /This little haze/],
    [{ says: 'service-is-less', servicePrice: 90, value: 200, keepApart: false }, /for €90 is less than the €200/],
    [{ says: 'service-is-more', servicePrice: 90, value: 40, keepApart: true }, /more than the €40 .* apart from the rest for good/],
    [{ says: 'answer-first', open: ['depth', 'experience'] }, /First say where it lies and what you have opened before/],
    [{ says: 'practise-first', value: 220, practice: 50 }, /worth €50 or less; this one is worth €220/],
    [{ says: 'practise-first', value: null, practice: 50 }, /an unknown sum/],
    [{ says: 'odds', odds: 0.85 }, /^About 9 in 10/],
    [{ says: 'loss', loss: 30.4, servicePrice: null, isMore: false }, /costs €30\.$/],
    [{ says: 'loss', loss: 30.4, servicePrice: 90, isMore: false }, /against €90 for the service/],
    [{ says: 'loss', loss: 270, servicePrice: 90, isMore: true }, /the service asks €90/],
  ])('%j', (reason, words) => {
    reads(openingWords(reason, euro), reason.says);
    expect(openingWords(reason, euro)).toMatch(words);
  });

  it.each(care.DEPTHS)('says what to have ready before %s', (depth) => {
    expect(beforeOpening(depth).length).toBeGreaterThan(3);
    for (const line of beforeOpening(depth)) reads(line, depth);
  });

  it('says how a stage goes back: its parts, how it sat, how far it turns', () => {
    const stage = { id: '1', what: 'ring b', parts: 'spring', screws: '3 × 2 mm', turns: 3.5, mark: '', hasPhoto: false, closed: false };
    expect(closingWords(stage)).toBe('Put back: ring b. spring; 3 × 2 mm. 3.5 turns in.');
    expect(closingWords({ ...stage, what: 'ring a', parts: '', screws: '', turns: 1, mark: 'Dot at 12 o’clock.' })).toBe(
      'Put back: ring a. Dot at 12 o’clock. 1 turn in.',
    );
  });
});

describe('another school', () => {
  const none: care.SchoolChange = {
    school: 'wipe',
    choice: 'tissue',
    adds: [],
    drops: [],
    takes: [],
    lays: [],
    touches: 0,
    motion: false,
    ends: false,
  };
  it.each<[Partial<care.SchoolChange>, string]>([
    [{ adds: ['rim-brush'], drops: ['soft-brush'] }, 'Adds rim brush; leaves out soft brush.'],
    [{ drops: ['breath'], touches: -1 }, 'Leaves out breath; 1 touch fewer at most.'],
    [{ takes: ['isopropanol'], lays: ['lens-fluid'] }, 'Takes isopropanol, 90 % or purer instead of lens fluid.'],
    [{ lays: ['glass-cloth'] }, 'Does without microfibre kept for glass.'],
    [{ motion: true }, 'The same, in another motion.'],
    [{ ends: true }, 'The same steps; how the work ends differs.'],
    [{}, 'The same steps; what is left or handed over is judged otherwise.'],
  ])('%j: %s', (change, words) => expect(schoolChangeWords({ ...none, ...change })).toBe(words));

  it('tells of no plan in the book a change without saying which', () => {
    for (const situation of care.SITUATIONS)
      for (const change of care.schoolChanges(care.requestOf(situation)))
        reads(schoolChangeWords(change), `${situation.id} ${change.school}`);
  });
});

describe('touches', () => {
  it('are spoken of gently, naming surface and number', () => {
    expect(gentleWords({ word: 'for-no-more-than-a-trace', times: 2 }, 'front-glass')).toMatch(/^Twice in 12 months the front glass/);
    expect(gentleWords({ word: 'more-than-its-peers', touches: 12, usual: 3 }, 'front-glass')).toMatch(/^12 touches .* had 3\./);
    expect(gentleWords({ word: 'more-than-its-peers', touches: 12, usual: 2.5 }, 'front-glass')).toMatch(/had 2\.5\./);
  });
});

describe('what falls due', () => {
  it.each(schedule.DUE_CODES)('there is a sentence for %s', (because) => {
    const facts = {
      because,
      happening: 'spray',
      surfaces: ['barrel'],
      name: 'Old one',
      reason: 'no-time',
      of: 'outings',
      count: 10,
      met: 'salt',
    } as unknown as schedule.DueBecause;
    reads(dueWords([facts]), because);
  });
  it('tells several causes one after the other, and does without a name it never kept', () => {
    const words = dueWords([
      { because: 'happened-outdoors', happening: 'spray' },
      { because: 'left-in-the-field', surfaces: ['barrel', 'front-glass'] },
    ]);
    expect(words).toMatch(/^Salt spray: .* Left in the field: barrel, front glass\.$/);
    expect(dueWords([{ because: 'shared-a-place', name: null }])).toMatch(/shared a place with something/);
  });
});

describe('air', () => {
  const gap = { says: 'gap', days: 29 } as const;
  it.each<[fungus.AssessReason, RegExp]>([
    [{ says: 'mould-index', index: 0.32, surfaceState: 'soiled-glass' }, /^Mould index 0\.3 of 6 for soiled glass/],
    [{ says: 'early-warning', dose: 0.41, daysPast: 0 }, /41 % of the way to the point where growth/],
    [{ says: 'early-warning', dose: 2, daysPast: 9 }, /9 days past the point where growth/],
    [{ says: 'growth-in', days: 80 }, /growth in 3 months/],
    [{ ...gap, best: 'watch', worst: 'act' }, /for 29 days in all: at best it is watch, at worst act/],
    [{ ...gap, best: 'safe', worst: 'safe' }, /changes nothing/],
  ])('%j', (reason, words) => {
    reads(assessWords(reason), reason.says);
    expect(assessWords(reason)).toMatch(words);
  });

  it.each([
    [{ dose: 0, daysPast: 0 }, '0 % of the way'],
    [{ dose: 0.999, daysPast: 0 }, '99 % of the way'],
    [{ dose: 1, daysPast: 0.4 }, 'at the point today'],
    [{ dose: 1.4, daysPast: 1 }, '1 day past the point'],
    [{ dose: 9, daysPast: 400 }, 'more than 90 days past the point'],
  ])('the early warning at %j is “%s”', (warning, words) => expect(warningWords(warning)).toBe(words));

  const told = (name: string, humidityPct: number, temperatureC: number, testedAt: string | null = null): storage.ToldBy => ({
    deviceId: name,
    name,
    humidityPct,
    temperatureC,
    testedAt,
  });
  const alerts: storage.AlertFacts[] = [
    ...storage.FUNGUS_THREATS.map((threat) => ({ cause: 'fungus' as const, threat, because: { says: 'growth-in' as const, days: 9 } })),
    { cause: 'damp', highPct: 60 },
    { cause: 'too-dry' },
    { cause: 'apart', wetter: told('Logger', 61.4, 20), drier: told('Dial', 48, 23.2), at: '2026-03-02T14:00:00Z' },
    { cause: 'gel-spent', daysLeft: 0, kind: 'silica-gel', massG: 200, left: 0, knownFrom: 'measured' },
    { cause: 'gel-spent', daysLeft: 1, kind: 'rice', massG: 300, left: 0.1, knownFrom: 'reckoned' },
    { cause: 'too-closed', itemId: '1' },
    { cause: 'silent', deviceId: '1' },
  ];
  it.each(alerts)('an alert says what, why and what to do: %j', (alert) => {
    const { title, why, action } = alertWords(alert);
    reads(why, alert.cause);
    for (const text of [title, action]) {
      expect(text).toMatch(/^[A-Z0-9]/);
      expect(text).not.toMatch(HOLES);
    }
  });
  it('of two that disagree says what each reads, which was never tested, and which may lie in the sun', () => {
    const at = '2026-03-02T14:00:00Z';
    const tested = '2026-01-01T00:00:00Z';
    expect(alertWords({ cause: 'apart', wetter: told('Logger', 61.4, 20, tested), drier: told('Dial', 40, 23.2), at }).why).toBe(
      'Logger 61 %, Dial 40 % (never tested). Dial also reads 3 K warmer than Logger: see whether it lies in the sun, or on something warm. ' +
        'Until a salt test of both tells which is right, the wetter counts against growth and the drier against dryness.',
    );
    expect(alertWords({ cause: 'apart', wetter: told('Logger', 61, 20), drier: told('Dial', 48, 21), at }).why).not.toMatch(/sun/);
    // 21 °C and 61 % have their dew point at 13.2 °C, 24.5 °C and 48 % at 12.8 (Magnus): neither instrument is wrong.
    expect(alertWords({ cause: 'apart', wetter: told('Logger', 61, 21), drier: told('Dial', 48, 24.5), at }).why).toMatch(
      /Both find the same water in the air, and Dial is 4 K warmer: see whether it lies in the sun/,
    );
  });
  it('counts the days to spent gel', () => {
    expect(alertWords(alerts.at(-4)!).title).toBe('The desiccant is spent');
    expect(alertWords(alerts.at(-3)!).title).toBe('The desiccant is spent in 1 day');
  });

  it.each<[storage.HomeReason, RegExp]>([
    [{ says: 'air', meanPct: 44.6, below90Pct: 51 }, /^45 % on average, below 51 %/],
    [{ says: 'never-measured' }, /put a hygrometer in it/],
    [{ says: 'wants-air-and-has-it' }, /gets it there/],
    [{ says: 'wants-air-open-often' }, /open the place often/],
    [{ says: 'alone-there' }, /stays apart/],
    [{ says: 'makes-room' }, /makes room/],
    [{ says: 'room', freeL: 12 }, /about 12 L stay free/],
    [{ says: 'trade-off', kind: 'sealed-box' }, /./],
  ])('a home is recommended by %j', (reason, words) => expect(homeWords(reason)).toMatch(words));

  it('says what is waited for, and what a clock did', () => {
    expect(timerWords({ size: 'mid-lens', wrapping: 'padded-bag' })).toBe('A middling zoom warms in its padded bag');
    expect(timerWords({ size: null, wrapping: 'bare' })).toBe('It warms bare');
    expect(clockJumpWords(12)).toMatch(/12 min/);
    expect(clockJumpWords(null)).toMatch(/In the log/);
  });
});

describe('money', () => {
  it.each([
    [0.21, 'EUR', '€0.21'],
    [90, 'EUR', '€90'],
    [1200, 'GBP', '£1,200'],
    [12.5, 'NOK', 'NOK 12.50'],
  ])('%d %s is %s', (amount, currency, words) => expect(money(amount, currency).replace(/\u00a0/g, ' ')).toBe(words));
});

describe('what pictures tell', () => {
  const spot = (more: object): sensor.TriedSpot => ({
    x: 0.5,
    y: 0.5,
    depth: 0.1,
    fwhmPx: 20,
    diameterPx: 26,
    kind: 'dust',
    confidence: 1,
    survived: [],
    ...more,
  });
  const cases: sensor.TriedSpot[][] = [
    [],
    [spot({ depth: 0.01 })],
    [spot({ depth: 0.0001 })],
    [spot({})],
    [spot({}), spot({ survived: ['blow'] })],
    [spot({ survived: ['blow'] })],
    [spot({ survived: ['swab', 'swab'] })],
    [spot({ confidence: 0.7 })],
  ];
  it('is a sentence for every judgement, and no other number than its own stands in it', () => {
    const told = cases.flatMap((spots) =>
      (['self', 'service'] as const).map((wet) => sensor.judgeSensor(spots, { measuredAt: 16, workingAt: 11, wet }).because),
    );
    expect(new Set(told.map((b) => b.because)).size).toBe(7);
    for (const unfit of sensor.UNFIT) reads(sensorWords({ because: 'unfit', unfit: [unfit] }), unfit);
    for (const n of [1, 3]) {
      reads(unsureWords(n), 'unsure');
      reads(pixelWords(n), 'pixels');
    }
    for (const because of told) reads(sensorWords(because), because.because);
    expect(sensorWords(sensor.judgeSensor(cases[4]!, { measuredAt: 16, workingAt: 11, wet: 'self' }).because)).toMatch(
      /^2 specks show at f\/11, and air has not been tried on 1 of them yet/,
    );
  });
  it('is a sentence for every fault of a frame and of a test, with what to do instead', () => {
    for (const unfit of sensor.UNFIT) {
      reads(unfitWords(unfit).what, unfit);
      reads(unfitWords(unfit).instead, unfit);
    }
    for (const trouble of sensor.GLARE_TROUBLES) reads(glareTroubleWords(trouble), trouble);
    for (const grade of sensor.GLARE_GRADES) reads(glareGradeWords(grade), grade);
    reads(notComparableWords(sensor.GLARE_DIFFERENCES)!, 'differences');
    expect(notComparableWords([])).toBeNull();
  });
  it('says what changed between two frames', () => {
    const lying = (...where: (sensor.Whereabouts | null)[]) => sittingWords(where.map((w) => ({ where: w })));
    expect(lying(null, null)).toBeNull();
    expect(lying('sensor', 'sensor', null)).toBe('Told by what stays where from frame to frame: 2 lie on the sensor.');
    expect(lying('sensor', 'lens', 'scene', 'scene')).toBe(
      'Told by what stays where from frame to frame: 1 lies on the sensor, 1 lies in the lens, 2 lie in what was photographed. Only what may lie on the sensor is judged.',
    );
    for (const where of sensor.WHEREABOUTS) reads(lying(where)!, where);
    expect(changeWords({ gone: 7, stayed: 2, moved: 0, fresh: 0 })).toBe('7 gone, 2 stayed.');
    expect(changeWords({ gone: 0, stayed: 0, moved: 0, fresh: 0 })).toBe('Nothing to compare.');
  });
  it('says what a test of glare tells beside another, whatever it is held against', () => {
    const other = { glarePct: 9.3, lowPct: 9, highPct: 9.6, takenAt: '2026-01-01T10:00:00Z', fNumber: 8, iso: 100, exposureS: 0.01, body: null, style: null }; // prettier-ignore
    for (const against of sensor.GLARE_AGAINST) {
      for (const change of ['less', 'more', 'same'] as const)
        reads(glareChangeWords({ against, other, cleanedAt: null, differences: [], change }), `${against} ${change}`);
      reads(glareChangeWords({ against, other, cleanedAt: null, differences: ['exposure'], change: null }), against);
    }
    expect(glareChangeWords({ against: 'clean', other, cleanedAt: '2026-01-02T10:00:00Z', differences: [], change: 'same' })).toBe(
      'No different from before the clean, 9.3 %, as far as this test can tell: the clean changed nothing.',
    );
  });
  it('says of a mark on the front whether it can be seen, and from where on', () => {
    const mark = { diameterMm: 1, distanceToPupilMm: 30, focalMm: 50, sensorWidthMm: 36, sensorHeightMm: 24 };
    for (const fNumber of [2, 8, 16, 22]) {
      const said = frontMarkWords(sensor.frontMark({ ...mark, fNumber }), fNumber, sensor.markShowsFrom(mark));
      reads(said, `f/${fNumber}`);
      expect(said.includes('can be seen')).toBe(fNumber >= 8);
    }
    expect(frontMarkWords(sensor.frontMark({ ...mark, diameterMm: 0.05, fNumber: 8 }), 8, null)).toContain('at no aperture a lens has');
  });
});
