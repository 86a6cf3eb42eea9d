import { describe, expect, it } from 'vitest';
import { care, inspection } from '@bright-keeper/core';
import { becauseWords } from './because.js';
import { saidTwice, sentenceFault } from '../testing/sentenceLaws.js';
import { howTo } from './howTo.js';
import { lineWords } from './lines.js';
import { lookWords, readPlan } from './plan.js';

/*
 * Every kind, surface and pair of soils that can lie there, at home and outdoors, with a full and a thin drawer: held to
 * laws that no row of the book lists. A seeded tenth runs with the tests; `npm run sweep` goes through all of it.
 */
const WHOLE = process.env['SWEEP'] === 'all';
const SHARE = 10;
/** Which tenth: a number that is the same each time, so that a failure is the same failure tomorrow. */
const SEED = 7;

const THIN: care.OnHand[] = [
  { id: 'bulb-blower' },
  { id: 'glass-cloth', state: 'dirty' },
  { id: 'body-cloth' },
  { id: 'cotton-swab' },
  { id: 'isopropanol' },
];

/** Traits that bring each surface and each rule into play: as usual, old, and odd. */
const ODD: Partial<Record<care.ItemKind, care.Traits[]>> = {
  lens: [
    { yearMade: 1938, collapsible: true },
    { filterFitted: true, filterStuck: true, weatherSealed: true, zoomExtends: true, rubberisedCoating: true },
    { yearMade: 1962, radioactiveGlass: true, makerForbidsFluids: true },
  ],
  'slr-body': [{ yearMade: 1954 }, { popupFlash: true, weatherSealed: true }],
  'mirrorless-body': [{ yearMade: 1956 }, { sensorConverted: true }],
  compact: [{ yearMade: 1988, viewfinder: true, rubberisedCoating: true }],
  'film-camera': [{ yearMade: 1958, twinLens: true, bellows: false, leatherCase: true }, { yearMade: 1979 }],
  filter: [{ leatherCase: true }],
  binocular: [{ yearMade: 1955, leatherCase: true }],
  refractor: [{ correctorFront: true }],
  port: [{ opticMaterial: 'glass' }],
  accessory: [{ electronicContacts: true, rubberisedCoating: true, leatherCase: true }],
  'viewfinder-loupe': [{ opticMaterial: 'acrylic' }],
  flash: [{ rubberisedCoating: true }],
};
const THINGS = care.ITEM_KINDS.flatMap((kind) => [{}, ...(ODD[kind] ?? [])].map((traits) => ({ kind, traits })));

type Case = { request: care.PlanRequest; plan: care.CleaningPlan; told: string };

function* cases(): Generator<Case> {
  let n = 0;
  for (const item of THINGS)
    for (const surface of care.surfacesOf(item.kind, item.traits)) {
      const soils = care.soilsOn(surface);
      for (const [i, first] of soils.entries())
        for (const second of soils.slice(i))
          for (const place of ['home', 'field'] as const)
            for (const onHand of [undefined, THIN]) {
              n++;
              if (!WHOLE && (n * 2654435761 + SEED) % SHARE !== 0) continue;
              // The severities take turns, so that every pair meets every threshold somewhere.
              const [a, b] = [((n % 4) + 1) as care.Severity, (((n >> 2) % 4) + 1) as care.Severity];
              const findings = [
                { surface, soil: first, severity: a },
                ...(first === second ? [] : [{ surface, soil: second, severity: b }]),
              ];
              const request: care.PlanRequest = { item, place, findings, ...(onHand ? { onHand } : {}) };
              const told = `${item.kind} ${JSON.stringify(item.traits)} ${surface}: ${findings.map((f) => `${f.soil} ${f.severity}`).join(', ')}; ${place}${onHand ? ', thin drawer' : ''}`;
              yield { request, plan: care.planCleaning(request), told };
            }
    }
}

/** What stirs up what lies there. */
const STIRS: readonly care.Method[] = [
  'blow',
  'canned-air',
  'soft-brush',
  'stiff-brush',
  'rim-brush',
  'dry-wipe',
  'dry-swab',
  'carbon-tip',
  'chamois',
  'breath',
];
const BRUSHES: readonly care.Method[] = ['soft-brush', 'stiff-brush', 'rim-brush'];

const found = ({ findings }: care.PlanRequest, is: (f: care.Finding) => boolean): boolean => findings.some((f) => f.severity > 0 && is(f));

/** A noun, and whether a thing has what it names. */
const NOUNS: [RegExp, (own: readonly care.Surface[], item: care.PlanRequest['item']) => boolean][] = [
  [/\bbatter(y|ies)\b/i, (own, { kind }) => own.includes('battery-bay') || kind === 'phone' || kind === 'lens'],
  [/\bsensor\b|test frame/i, (own) => own.includes('sensor-cover')],
  [/\bmirror box\b/i, (own) => own.includes('mirror-box')],
  [/\blens off\b|\boff the camera\b/i, (_, { kind }) => ['lens', 'slr-body', 'mirrorless-body', 'teleconverter'].includes(kind)],
  [/\bcaps\b/i, (own) => own.some((s) => care.familyOf(s) === 'cap' || s === 'leather-case')],
  [/\bhood off\b/i, (own) => own.includes('hood-outside')],
  [/\bbellows\b/i, (own) => own.includes('bellows')],
  [/\bpropellers?\b/i, (own) => own.includes('propellers')],
  [/\bno film in it\b/i, (own) => own.includes('film-gate')],
  [/\bpictures?\b/i, (_, { kind }) => !['eyepiece', 'binocular', 'viewfinder-loupe'].includes(kind)],
];

/** Each law gives what is wrong with a plan; nothing where it holds. */
const LAWS: Record<string, (c: Case) => string | false> = {
  'growth keeps the thing apart': ({ request, plan }) =>
    found(request, (f) => care.natureOf(f.soil) === 'growth') && plan.isolate === null && 'it is not isolated',
  'fog touches nothing, and nothing is opened': ({ request, plan }) =>
    found(request, (f) => f.soil === 'fog' && f.surface !== 'viewfinder-window') &&
    plan.steps.length + plan.openings.length > 0 &&
    'there is work',
  'water that got in waits for nothing but drying or a workshop': ({ request, plan }) =>
    found(request, (f) => care.natureOf(f.soil) === 'flooded') && plan.steps.length + plan.openings.length > 0 && 'there is work',
  'what air would spread meets no air, bristle or dry cloth': ({ request, plan }) => {
    const stirred = plan.steps.find(
      (s) =>
        STIRS.includes(s.method) &&
        care.spreadingAt(
          s.surface,
          request.findings.filter((f) => f.surface === s.surface),
        ),
    );
    return stirred !== undefined && stirred.id;
  },
  'what took growth, splinters or a leak is thrown away': ({ request, plan }) => {
    const kept = plan.steps.find((s) => s.tool && care.spreadingAt(s.surface, request.findings));
    return kept !== undefined && `${kept.id} with ${kept.tool}`;
  },
  'no bristle meets grease or glue': ({ request, plan }) => {
    const spoilt = plan.steps.find(
      (s) => BRUSHES.includes(s.method) && found(request, (f) => f.surface === s.surface && care.holds(f.soil, 'grease')),
    );
    return spoilt !== undefined && spoilt.id;
  },
  'what waits for home is not wiped in the same plan': ({ plan }) => {
    const waits = plan.deferred.filter((d) => d.until === 'home').map((d) => d.surface);
    const wiped = plan.steps.find((s) => waits.includes(s.surface) && care.methodFacts(s.method).wipes);
    return wiped !== undefined && wiped.id;
  },
  'every finding ends: done, waits, handed over, renewed, weighed, or left': ({ request, plan }) => {
    const ends = [...plan.deferred, ...plan.handOver, ...plan.replace, ...plan.openings, ...plan.leaveAlone];
    const lost = request.findings.find(
      (f) =>
        !plan.steps.some((s) => s.surface === f.surface && s.removes.includes(f.soil)) &&
        !ends.some((e) => e.surface === f.surface && (e.soil === f.soil || e.soil === undefined)),
    );
    return lost !== undefined && `nothing is said of ${lost.soil}`;
  },
  'the shelf says the same': ({ request: { item, place, findings, onHand }, plan }) => {
    if (place !== 'home' || onHand) return false;
    const { verdict } = inspection.assessSurface(item, findings);
    const said = {
      leave: plan.steps.length + plan.handOver.length + plan.openings.length + plan.replace.length + plan.deferred.length === 0,
      clean: plan.steps.length > 0 && plan.handOver.length + plan.openings.length + plan.replace.length === 0,
      wait: plan.deferred.length > 0 && plan.handOver.length === 0,
      replace: plan.replace.length > 0,
      weigh: plan.openings.length > 0,
      'hand-over': plan.handOver.length > 0,
      isolate: plan.isolate !== null,
    };
    return !said[verdict] && `it says ${verdict}`;
  },
  'nothing that can lie there is unknown there': ({ plan }) =>
    plan.leaveAlone.some((l) => l.reason === 'not-known-there') && 'a soil is unknown',
  'solvent and polish come after everything gentler': ({ plan }) => {
    const last = plan.steps.findIndex((s) => care.familyOf(s.surface) === 'glass' && ['solvent-wipe', 'plastic-polish'].includes(s.method));
    const later = last >= 0 && plan.steps.slice(last).find((s) => ['carbon-tip', 'breath', 'chamois', 'damp-wipe'].includes(s.method));
    return later ? later.id : false;
  },
  'the cautions of a plan are those of its steps, all of them': ({ plan }) => {
    const told = plan.cautions.map((c) => c.hazard);
    return plan.steps.some((s) => s.cautions.some((c) => !told.includes(c))) && 'a caution is missing';
  },
  'a card that tells of several steps carries the cautions of each': ({ plan }) =>
    plan.rounds.some((ids) => {
      const steps = plan.steps.filter((s) => ids.includes(s.id));
      const card = care.cautionsTogether(steps);
      return steps.some((s) => s.cautions.some((c) => !card.includes(c)));
    }) && 'a round hides a caution',
  'old and bare glass meets no solvent by whatever name': ({ request, plan }) => {
    const { coating, opticMaterial } = care.withDefaults(request.item.kind, request.item.traits);
    if (coating !== 'single' && coating !== 'none') return false;
    const bad = plan.steps.find(
      (s) =>
        care.familyOf(s.surface) === 'glass' &&
        opticMaterial !== 'acrylic' &&
        s.uses.some((u) => care.materialFacts(u.material).contains.some((c) => ['alcohol', 'acetone', 'ammonia'].includes(c))),
    );
    return bad !== undefined && bad.surface !== 'viewfinder-window' && bad.id;
  },
  'battery back is said only where battery out was': ({ plan }) =>
    plan.close.some((l) => l.line === 'battery-back') &&
    !plan.prepare.some((l) => ['battery-out', 'lens-out-then-battery'].includes(l.line)) &&
    'battery back without battery out',
  'nothing is spoken of that such a thing has not': ({ request, plan }) => {
    const own = care.surfacesOf(request.item.kind, request.item.traits);
    const text = readPlan(plan);
    const noun = NOUNS.find(([word, has]) => word.test(text) && !has(own, request.item));
    return (
      noun !== undefined &&
      `it speaks of ${noun[0].exec(text)![0]}: …${text.slice(Math.max(0, noun[0].exec(text)!.index - 60), noun[0].exec(text)!.index + 30)}…`
    );
  },
  'every sentence stands: number and verb agree, articles fit': ({ plan }) => sentenceFault(readPlan(plan)) ?? false,
  'no sentence stands twice on one card': ({ plan }) => {
    const cards = [
      ...plan.steps.map((s) => [howTo(s), ...Object.values(lookWords(s) ?? {}), ...s.cautions.map((c) => care.hazardFacts(c).caution)]),
      plan.prepare.map(lineWords),
      plan.close.map(lineWords),
    ];
    return cards.map(saidTwice).find((twice) => twice !== null) ?? false;
  },
  'no reason is given twice for one finding': ({ plan }) => {
    for (const list of [plan.deferred, plan.handOver, plan.leaveAlone, plan.replace]) {
      const said = list.map((e) => `${e.surface} ${e.soil} ${becauseWords(e)}`);
      if (new Set(said).size !== said.length) return said.join(' / ');
    }
    return false;
  },
};

describe('the sweep', () => {
  const broken = new Map<string, string[]>();
  let walked = 0;
  for (const c of cases()) {
    walked++;
    for (const [law, faultOf] of Object.entries(LAWS)) {
      const fault = faultOf(c);
      if (fault) broken.set(law, [...(broken.get(law) ?? []), `${c.told}: ${fault}`]);
    }
  }

  it(`walks ${WHOLE ? 'the whole space' : 'a seeded tenth of the space'}`, () => expect(walked).toBeGreaterThan(WHOLE ? 100_000 : 10_000));
  it.each(Object.keys(LAWS))('%s', (law) => expect(broken.get(law)?.slice(0, 8) ?? []).toEqual([]));
});
