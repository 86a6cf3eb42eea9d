import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mayTouch } from '../supplies/index.js';
import * as care from './index.js';
import { anyRequest, everySingleFinding } from './testing/requests.js';

const plan = (findings: care.Finding[], more: Partial<care.PlanRequest> = {}) =>
  care.planCleaning({ item: { kind: 'lens', traits: {} }, place: 'home', findings, ...more });
const onFront = (soil: care.Soil, severity: care.Severity): care.Finding => ({ surface: 'front-glass', soil, severity });
const methods = (p: care.CleaningPlan, surface: care.Surface) => p.steps.filter((s) => s.surface === surface).map((s) => s.method);

/** Every single finding, and random mixtures of them, with their plans: made once for all claims. */
const SPACE = [...everySingleFinding(), ...fc.sample(anyRequest, { numRuns: 400, seed: 4870 })].map((request) => ({
  request,
  plan: care.planCleaning(request),
}));

function always(claim: (request: care.PlanRequest, plan: care.CleaningPlan) => void): void {
  for (const { request, plan } of SPACE) claim(request, plan);
}

const LOOSE: readonly care.Soil[] = ['dust', 'grit', 'lint', 'pollen'];
const isGlass = (s: care.Surface) => ['glass', 'sensor', 'mirror'].includes(care.familyOf(s));

describe('a cleaning plan, whatever was found', () => {
  it('touches no glass that carries loose dirt before air has come', () => {
    always((request, { steps }) => {
      for (const surface of new Set(steps.map((s) => s.surface))) {
        const loose = request.findings.some((f) => f.surface === surface && f.severity > 0 && LOOSE.includes(f.soil));
        if (!loose || !isGlass(surface)) continue;
        const own = steps.filter((s) => s.surface === surface);
        const firstTouch = own.findIndex((s) => s.contact);
        const firstAir = own.findIndex((s) => s.method === 'blow');
        if (firstTouch >= 0) expect(firstAir, surface).toBeLessThan(firstTouch);
        if (firstTouch >= 0) expect(firstAir).toBeGreaterThanOrEqual(0);
      }
    });
  });

  it('never goes down a contact level on a surface within a pass', () => {
    always((_, { steps }) => {
      for (const [i, step] of steps.entries()) {
        const before = steps[i - 1];
        if (before?.surface === step.surface && before.pass === step.pass) expect(step.level).toBeGreaterThanOrEqual(before.level);
      }
    });
  });

  it('begins every later pass with air', () => {
    always((_, { steps }) => {
      for (const [i, step] of steps.entries()) {
        const before = steps[i - 1];
        if (before?.surface === step.surface && before.pass !== step.pass) expect(step.method).toBe('blow');
      }
    });
  });

  it('does nothing that it refuses', () => {
    always((_, { steps, refused }) => {
      for (const r of refused) {
        const own = steps.filter((s) => s.surface === r.surface);
        if (r.method) expect(own.map((s) => s.method)).not.toContain(r.method);
        else expect(own.flatMap((s) => s.uses.map((u) => u.material as string))).not.toContain(r.material);
      }
    });
  });

  it('looks after every touch', () => {
    always((_, { steps }) => {
      for (const step of steps) if (step.contact) expect(step.look, step.id).not.toBeNull();
    });
  });

  it('keeps open fluid out of the field unless the school carries a small bottle', () => {
    always((request, { steps }) => {
      if (request.place !== 'field' || request.schools?.['field-fluid'] === 'small-bottle') return;
      for (const step of steps) for (const { material } of step.uses) expect(care.isOpenFluid(material), step.id).toBe(false);
    });
  });

  it('is the same for the same request, in whatever order its findings are told', () => {
    always((request, plan) => {
      if (request.findings.length < 2) return;
      const told = care.planCleaning({ ...request, findings: [...request.findings].reverse() });
      expect(told).toEqual(plan);
    });
  });

  it('works in contamination-safe order across surfaces', () => {
    always((_, { steps }) => {
      const ranks = steps.map((s) => care.workingRank(s.surface));
      expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    });
  });

  it('says something about every surface on which something was found', () => {
    always((request, p) => {
      const told = new Set([...p.steps, ...p.leaveAlone, ...p.deferred, ...p.handOver, ...p.replace, ...p.openings].map((e) => e.surface));
      for (const f of request.findings) if (f.severity > 0) expect(told, `${f.surface} ${f.soil}`).toContain(f.surface);
    });
  });

  it('never wipes damage', () => {
    always((request, { steps }) => {
      const damaged = request.findings.filter((f) => care.SOILS[f.soil].nature === 'damage');
      for (const f of damaged)
        for (const step of steps.filter((s) => s.surface === f.surface && s.removes.includes(f.soil)))
          expect(care.METHODS[step.method].wipes, step.id).toBe(false);
    });
  });

  it('neither strokes a reflex mirror nor touches it dry, and gives a focusing screen nothing but air', () => {
    always((_, { steps }) => {
      for (const step of steps) {
        if (step.surface === 'reflex-mirror') expect(['blow', 'soft-brush', 'dab'], step.id).toContain(step.method);
        if (step.method === 'dab')
          expect(
            step.uses.some((u) => care.isFluid(u.material)),
            step.id,
          ).toBe(true);
        if (step.surface === 'focusing-screen') expect(step.method).toBe('blow');
      }
    });
  });

  it('has no step for a telescope mirror', () => {
    always((_, { steps }) => expect(steps.filter((s) => care.familyOf(s.surface) === 'bath')).toEqual([]));
  });

  it('blows no canned air into a camera and swabs no sensor in the field', () => {
    always((request, { steps }) => {
      for (const step of steps) expect(step.method).not.toBe('canned-air');
      if (request.place === 'field') expect(steps.map((s) => s.method)).not.toContain('sensor-swab');
    });
  });

  it('uses no tool or material kept for another role', () => {
    always((_, { steps }) => {
      for (const step of steps) {
        const roles = [
          ...(step.tool ? [care.TOOLS[step.tool].role] : []),
          ...step.uses.map((u) => care.MATERIALS[u.material].role),
        ] as string[];
        const allowed =
          care.familyOf(step.surface) === 'sensor'
            ? ['sensor', 'any']
            : ['glass', 'display'].includes(care.familyOf(step.surface))
              ? ['glass', 'any']
              : ['shell', 'glass', 'any'];
        for (const role of roles) expect(allowed, step.id).toContain(role);
      }
    });
  });

  it('puts no alcohol, acetone or ammonia on plastic optics', () => {
    always((request, { steps }) => {
      const acrylic = request.item.traits.opticMaterial === 'acrylic';
      for (const step of steps) {
        const plastic = care.surfaceFacts(step.surface).stuff === 'plastic' && ['glass', 'display'].includes(care.familyOf(step.surface));
        if (!plastic && !(acrylic && care.familyOf(step.surface) === 'glass')) continue;
        for (const { material } of step.uses)
          for (const bad of ['alcohol', 'acetone', 'ammonia']) expect(care.materialFacts(material).contains, step.id).not.toContain(bad);
      }
    });
  });

  it('uses only what lies in the drawer, clean and kept for that surface', () => {
    always((request, { steps }) => {
      if (!request.onHand || request.moreOnHand) return;
      for (const step of steps) {
        const used = [...(step.tool ? [step.tool] : []), ...step.uses.map((u) => u.material)].filter((id) => id !== 'water');
        for (const id of used)
          expect(
            request.onHand.some((thing) => thing.id === id && mayTouch(thing, step.surface).ok),
            `${step.id}: ${id}`,
          ).toBe(true);
      }
    });
  });

  it('never works above or before something that would dirty what is done', () => {
    always((_, { steps }) => {
      const first = new Map<care.Surface, number>();
      const last = new Map<care.Surface, number>();
      for (const [i, { surface }] of steps.entries()) {
        if (!first.has(surface)) first.set(surface, i);
        last.set(surface, i);
      }
      for (const [earlier, later] of care.BEFORE)
        if (last.has(earlier) && first.has(later)) expect(last.get(earlier)!, `${earlier} after ${later}`).toBeLessThan(first.get(later)!);
    });
  });

  it('draws a sensor swab only where it lies flat, over the whole sensor', () => {
    always((_, { steps }) => {
      for (const { sensor, method } of steps) {
        expect(sensor !== null).toBe(method === 'sensor-swab');
        if (sensor && sensor.strokes.lanes === 1) expect(sensor.strokes.missedByOneMm).toBe(0);
        if (sensor) expect(sensor.rehearseFirst).toBe(true);
      }
    });
  });

  it('answers an empty drawer with what is missing and touches nothing', () => {
    always((request) => {
      const { moreOnHand: _, ...rest } = request;
      const bare = care.planCleaning({ ...rest, onHand: [] });
      // Water runs from the tap, and one has fingers: a step that takes nothing else may stay.
      for (const step of bare.steps) for (const { id } of step.takes) expect(id, step.id).toBe('water');
      expect(bare.summary.says === 'clean', bare.summary.says).toBe(bare.steps.length > 0);
    });
  });
});

describe('nothing found', () => {
  it('gives an empty plan that says to leave it', () => {
    const nothing = plan([]);
    expect(nothing.steps).toEqual([]);
    expect(nothing.summary).toEqual({ says: 'leave', apart: false, surfaces: 0, measures: [] });
    expect(nothing.totals).toEqual({ minutes: 0, contacts: 0, materials: [], cost: 0 });
  });

  it('leaves a trace of dust, and cleans it under the school that cleans after every outing', () => {
    expect(plan([onFront('dust', 1)]).leaveAlone.map((l) => l.surface)).toEqual(['front-glass']);
    expect(plan([onFront('dust', 1)], { schools: { habit: 'after-every-outing' } }).steps.length).toBeGreaterThan(0);
  });
});

describe('facts of the trade (common practice)', () => {
  it('climbs from air over a brush to a dry cloth for dust, with air again after the brush', () => {
    expect(methods(plan([onFront('dust', 2)]), 'front-glass')).toEqual(['blow', 'soft-brush', 'blow', 'dry-wipe']);
  });

  it('takes a plain fingerprint damp, without rubbing it dry first', () => {
    expect(methods(plan([onFront('fingerprint', 3)]), 'front-glass')).toEqual(['blow', 'damp-wipe', 'blow', 'carbon-tip', 'breath']);
    expect(plan([onFront('fingerprint', 3), onFront('dust', 3)]).refused).toContainEqual(
      expect.objectContaining({ method: 'dry-wipe', rule: 'no-dry-wipe-on-heavy-film' }),
    );
  });

  it('tries a light fingerprint dry before damp', () => {
    expect(methods(plan([onFront('fingerprint', 2)]), 'front-glass').slice(0, 3)).toEqual(['blow', 'dry-wipe', 'damp-wipe']);
  });

  it('dissolves salt with fresh water before anything else is rubbed', () => {
    const found = methods(plan([onFront('salt', 2), onFront('smear', 2)]), 'front-glass');
    expect(found[0]).toBe('blow');
    expect(found[1]).toBe('fresh-water');
    expect(found).not.toContain('dry-wipe');
  });

  it('waits on grit: the last loosening step stops instead of climbing', () => {
    const gritty = plan([onFront('grit', 2), onFront('fingerprint', 2)]).steps.filter((s) => s.surface === 'front-glass');
    const loosening = gritty.filter((s) => s.look?.asks === 'grains');
    expect(loosening.map((s) => s.method)).toEqual(['blow', 'soft-brush', 'blow']);
    expect(loosening.map((s) => s.onNoChange)).toEqual(['climb', 'climb', 'stop']);
  });

  it('caps a gritty lens in the field and takes the rest home', () => {
    const field = plan([onFront('grit', 2), onFront('fingerprint', 4)], { place: 'field' });
    expect(field.steps.every((s) => care.METHODS[s.method].level <= 2)).toBe(true);
    expect(field.deferred.map((d) => d.surface)).toEqual(['front-glass']);
  });

  it('uses a sealed wipe in the field only when the picture is spoilt', () => {
    expect(methods(plan([onFront('fingerprint', 3)], { place: 'field' }), 'front-glass')).toEqual([
      'blow',
      'wet-wipe',
      'blow',
      'carbon-tip',
    ]);
    expect(methods(plan([onFront('fingerprint', 2)], { place: 'field' }), 'front-glass')).toEqual([]);
  });

  it('keeps a lens on the camera in blowing sand', () => {
    const sandy = plan([{ surface: 'rear-glass', soil: 'dust', severity: 4 }], { place: 'field', conditions: { blowingSand: true } });
    expect(sandy.steps).toEqual([]);
    expect(sandy.deferred[0]).toMatchObject({ reason: 'rule', rule: 'put-away-in-sand-and-rain' });
  });

  it('uses only the cleaner its maker names on a coating', () => {
    const named = care.planCleaning({
      item: { kind: 'lens', traits: { makerForbidsFluids: true } },
      place: 'home',
      findings: [onFront('grease', 4), onFront('adhesive', 2)],
    });
    const fluids = named.steps
      .flatMap((s) => s.uses)
      .filter((u) => u.amount.unit === 'drop')
      .map((u) => u.material);
    expect(new Set(fluids)).toEqual(new Set(['maker-fluid']));
  });

  it('isolates a lens with fungus inside and hands it over, with its service price as a hint', () => {
    const sick = care.planCleaning({
      item: { kind: 'lens', traits: { servicePrice: 130 } },
      place: 'home',
      findings: [{ surface: 'inner-glass', soil: 'fungus', severity: 2 }],
    });
    expect(sick.isolate?.surface).toBe('inner-glass');
    expect(sick.handOver).toEqual([expect.objectContaining({ surface: 'inner-glass', costHint: 130 })]);
    expect(sick.steps).toEqual([]);
  });

  it('takes fungus off a reachable face with gloves, and isolates all the same', () => {
    const outside = plan([onFront('fungus-outside', 2)]);
    expect(outside.isolate?.surface).toBe('front-glass');
    expect(outside.cautions.map((c) => c.hazard)).toContain('mould');
    expect(methods(outside, 'front-glass')).toEqual(['solvent-wipe']);
  });

  it.each([
    ['alcohol', 'isopropanol'],
    ['peroxide', 'peroxide'],
    ['vinegar', 'vinegar'],
  ] as const)('follows the fungus school %s with %s and no second fluid', (choice, fluid) => {
    const fluids = plan([onFront('fungus-outside', 2)], { schools: { 'fungus-fluid': choice } })
      .steps.flatMap((s) => s.uses)
      .filter((u) => u.amount.unit === 'drop');
    expect(fluids.map((u) => u.material)).toEqual([fluid]);
  });

  it('lets what lies behind a stuck filter wait until it is off', () => {
    const stuck = care.planCleaning({
      item: { kind: 'lens', traits: { filterFitted: true, filterStuck: true } },
      place: 'home',
      findings: [onFront('fingerprint', 4)],
    });
    expect(stuck.steps).toEqual([]);
    expect(stuck.deferred[0]).toMatchObject({ reason: 'behind-stuck-filter', until: 'filter-off' });
    expect(stuck.summary.says).toBe('free-the-filter');
  });

  it('oils a stiff helicoid only where its thread lies open', () => {
    const stiff: care.Finding[] = [{ surface: 'helicoid', soil: 'dried-grease', severity: 2 }];
    expect(
      methods(care.planCleaning({ item: { kind: 'lens', traits: { helicoidExposed: true } }, place: 'home', findings: stiff }), 'helicoid'),
    ).toEqual(['lubricate']);
    expect(plan(stiff).handOver.map((h) => h.surface)).toEqual(['helicoid']);
  });
});

describe('a mirrorless body', () => {
  const body = (findings: care.Finding[], more: Partial<care.PlanRequest> = {}) =>
    care.planCleaning({ item: { kind: 'mirrorless-body', traits: {} }, place: 'home', findings, ...more });
  const dusty: care.Finding = { surface: 'sensor-cover', soil: 'dust', severity: 3 };

  it('blows, then swabs its sensor with a swab as wide as the sensor is tall', () => {
    const steps = body([dusty]).steps;
    expect(steps.map((s) => s.method)).toEqual(['blow', 'sensor-swab']);
    expect(steps[0]?.orientation).toBe('mount-down');
    expect(body([dusty]).prepare).toContainEqual(expect.objectContaining({ line: 'swab', widthMm: 24 }));
  });

  it('refuses canned air and brushes on the sensor, with the reason', () => {
    const rules = body([dusty]).refused.map((r) => [r.method, r.rule]);
    expect(rules).toContainEqual(['canned-air', 'no-canned-air-inside']);
    expect(rules).toContainEqual(['soft-brush', 'nothing-dry-on-a-sensor']);
  });

  it('hands the sensor over where the school says so', () => {
    const served = body([{ ...dusty, soil: 'grease' }], { schools: { sensor: 'service' } });
    expect(served.steps).toEqual([]);
    expect(served.handOver.map((h) => h.surface)).toEqual(['sensor-cover']);
  });

  it('cleans the sensor last', () => {
    const all = body([
      dusty,
      { surface: 'body-shell', soil: 'dust', severity: 3 },
      { surface: 'mount-wall', soil: 'dust', severity: 3 },
      { surface: 'contacts', soil: 'skin-oil', severity: 2 },
    ]);
    expect(all.steps.at(-1)?.surface).toBe('sensor-cover');
    expect(all.steps[0]?.surface).toBe('body-shell');
  });

  it('puts nothing wet near the mount opening', () => {
    const salty = body([{ surface: 'body-mount', soil: 'salt', severity: 3 }]);
    expect(methods(salty, 'body-mount')).toEqual(['blow', 'damp-swab']);
    expect(salty.refused).toContainEqual(expect.objectContaining({ method: 'fresh-water', rule: 'barely-damp-near-the-mount' }));
  });

  it('warns of a leaked battery before anything touches the bay', () => {
    const leaked = body([{ surface: 'battery-bay', soil: 'corrosion', severity: 1 }]);
    expect(leaked.cautions.map((c) => c.hazard)).toContain('battery-leak');
    expect(body([{ surface: 'battery-bay', soil: 'corrosion', severity: 3 }]).handOver).toHaveLength(1);
  });

  it('airs a grip that begins to stick instead of cleaning it', () => {
    const sticky = body([{ surface: 'grip-rubber', soil: 'sticky-coating', severity: 2 }]);
    expect(sticky.steps).toEqual([]);
    expect(sticky.leaveAlone[0]?.reason).toBe('sticky-is-aired');
  });
});

/** Facts of the trade for the other kinds: common practice throughout. */
describe('the other kinds', () => {
  const planOf = (kind: care.ItemKind, traits: care.Traits, ...findings: [care.Surface, care.Soil, care.Severity][]) =>
    care.planCleaning({
      item: { kind, traits },
      place: 'home',
      findings: findings.map(([surface, soil, severity]) => ({ surface, soil, severity })),
    });

  it('put eyeglass-type cleaner on an acrylic port, and refuse it alcohol and window cleaner', () => {
    const port = planOf('port', { opticMaterial: 'acrylic' }, ['port-outside', 'fingerprint', 3]);
    expect(port.steps.find((s) => s.method === 'damp-wipe')?.material).toBe('alcohol-free-fluid');
    expect(port.refused).toContainEqual(expect.objectContaining({ material: 'window-cleaner', rule: 'no-solvent-on-plastic' }));
    const sticky = planOf('port', { opticMaterial: 'acrylic' }, ['port-outside', 'adhesive', 3]);
    expect(sticky.refused).toContainEqual(expect.objectContaining({ method: 'solvent-wipe', rule: 'no-solvent-on-plastic' }));
  });

  it('polish a hairline out of bare acrylic, but not out of coated acrylic or glass', () => {
    expect(
      methods(planOf('port', { opticMaterial: 'acrylic', coating: 'none' }, ['port-outside', 'fine-scratch', 2]), 'port-outside'),
    ).toEqual(['blow', 'plastic-polish']);
    expect(planOf('port', { opticMaterial: 'acrylic', coating: 'multi' }, ['port-outside', 'fine-scratch', 2]).steps).toEqual([]);
    expect(planOf('port', { opticMaterial: 'glass', coating: 'none' }, ['port-outside', 'fine-scratch', 2]).steps).toEqual([]);
  });

  it('rinse salt off a port with fresh water first', () => {
    expect(methods(planOf('port', {}, ['port-outside', 'salt', 2]), 'port-outside').slice(0, 2)).toEqual(['blow', 'fresh-water']);
  });

  it('dab an old reflex mirror at most, and warn that its silver may come off', () => {
    const old = planOf('slr-body', { yearMade: 1954 }, ['reflex-mirror', 'grease', 3]);
    expect(methods(old, 'reflex-mirror')).toEqual(['blow', 'dab']);
    expect(old.cautions.map((c) => c.hazard)).toContain('old-silver');
    expect(planOf('slr-body', { yearMade: 1985 }, ['reflex-mirror', 'grease', 3]).cautions.map((c) => c.hazard)).not.toContain(
      'old-silver',
    );
    expect(old.refused).toContainEqual(expect.objectContaining({ method: 'dry-wipe', rule: 'mirror-is-never-stroked' }));
  });

  it('take loose dirt off a reflex mirror with air and brush, and dab a film from “light” on under the usual school', () => {
    const mirror = (soil: care.Soil, severity: care.Severity, schools = {}) =>
      methods(
        care.planCleaning({
          item: { kind: 'slr-body', traits: {} },
          place: 'home',
          schools,
          findings: [{ surface: 'reflex-mirror', soil, severity }],
        }),
        'reflex-mirror',
      );
    expect(mirror('dust', 3)).toEqual(['blow', 'soft-brush', 'blow']);
    expect(mirror('dust', 3, { mirror: 'dab' })).toEqual(['blow', 'soft-brush', 'blow', 'dab']);
    expect(mirror('grease', 2)).toEqual(['blow', 'dab']);
    expect(mirror('grease', 1)).toEqual([]);
  });

  it('clean the mirror box before the mirror, and the sensor behind it last', () => {
    const order = planOf(
      'slr-body',
      {},
      ['sensor-cover', 'dust', 3],
      ['reflex-mirror', 'dust', 3],
      ['mirror-box', 'dust', 3],
      ['body-shell', 'dust', 3],
    ).steps.map((s) => s.surface);
    expect([...new Set(order)]).toEqual(['body-shell', 'mirror-box', 'reflex-mirror', 'sensor-cover']);
  });

  it('leave dust on a telescope mirror, and hand over what is worth a wash', () => {
    expect(planOf('reflector', {}, ['primary-mirror', 'dust', 3]).leaveAlone[0]?.reason).toBe('washing-costs-silver');
    expect(planOf('reflector', {}, ['primary-mirror', 'dust', 4]).handOver).toHaveLength(1);
  });

  it('clean the eyecup before the eye lens, and ask for a washed face', () => {
    const eyepiece = planOf('eyepiece', {}, ['eye-lens', 'skin-oil', 3], ['eyecup', 'skin-oil', 3]);
    expect(eyepiece.steps[0]?.surface).toBe('eyecup');
    expect(eyepiece.prepare).toContainEqual({ line: 'wash-your-face' });
  });

  it('put a fine mist from afar on an eye lens only under that school, and on the wipe everywhere else', () => {
    const findings: care.Finding[] = [
      { surface: 'eye-lens', soil: 'grease', severity: 2 },
      { surface: 'field-lens', soil: 'grease', severity: 2 },
    ];
    const goes = (spray: care.Schools['spray']) =>
      care
        .planCleaning({ item: { kind: 'eyepiece', traits: {} }, place: 'home', schools: { spray }, findings })
        .steps.filter((s) => s.method === 'damp-wipe')
        .map((s) => [s.surface, s.fluidGoes]);
    expect(goes('on-cloth')).toEqual([
      ['field-lens', 'on-wipe'],
      ['eye-lens', 'on-wipe'],
    ]);
    expect(goes('far-mist')).toEqual([
      ['field-lens', 'on-wipe'],
      ['eye-lens', 'far-mist'],
    ]);
  });

  it('wipe a phone lens dry, then damp', () => {
    expect(methods(planOf('phone', {}, ['phone-lens', 'fingerprint', 2]), 'phone-lens').slice(0, 3)).toEqual([
      'blow',
      'dry-wipe',
      'damp-wipe',
    ]);
  });
});

describe('the drawer', () => {
  const everything: care.OnHand[] = [...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS)].map((id) => ({ id: id as care.Tool }));

  it('plans the same with everything on hand as with no drawer given', () => {
    const findings = [onFront('fingerprint', 3), onFront('dust', 3)];
    expect(plan(findings, { onHand: everything }).steps).toEqual(plan(findings).steps);
  });

  it('takes another wipe when the tissue is out, and says what is missing', () => {
    const noTissue = plan([onFront('fingerprint', 3)], { onHand: everything.filter((t) => t.id !== 'lens-tissue') });
    expect(noTissue.steps.find((s) => s.method === 'damp-wipe')?.tool).toBe('glass-cloth');
    expect(noTissue.missing).toContainEqual(expect.objectContaining({ material: 'lens-tissue', substitute: 'glass-cloth' }));
  });

  it('refuses every touch on glass when there is no blower', () => {
    const noAir = plan([onFront('fingerprint', 3)], { onHand: everything.filter((t) => t.id !== 'bulb-blower') });
    expect(noAir.steps).toEqual([]);
    expect(noAir.refused).toContainEqual(expect.objectContaining({ rule: 'air-first' }));
  });

  it('keeps a cloth that was used on a shell off glass', () => {
    const demoted = everything.map((t) => (t.id === 'glass-cloth' ? { ...t, role: 'shell' as const } : t));
    const dry = plan([onFront('dust', 3)], { onHand: demoted, schools: { wipe: 'microfibre' } });
    expect(dry.steps.map((s) => s.method)).not.toContain('dry-wipe');
    expect(dry.missing[0]).toMatchObject({ reason: 'kept-for', role: 'shell' });
  });
});

describe('a request that cannot be', () => {
  it('names the finding on a surface the thing does not have', () => {
    expect(() => plan([{ surface: 'sensor-cover', soil: 'dust', severity: 2 }])).toThrow(/findings\[0\]\.surface.*sensor-cover/);
    expect(() => plan([onFront('dust', 2), onFront('mud' as care.Soil, 2)])).toThrow(/findings\[1\]\.soil/);
    expect(() => plan([onFront('dust', 5 as care.Severity)])).toThrow(/findings\[0\]\.severity/);
  });
});

describe('the working order', () => {
  it('refuses relations that run in a circle, naming them', () => {
    expect(() =>
      care.sortByRelations(
        ['barrel', 'contacts'],
        [
          ['barrel', 'contacts'],
          ['contacts', 'barrel'],
        ],
      ),
    ).toThrow(/cycle among: barrel, contacts/);
  });

  it('holds every relation of the table', () => {
    for (const [earlier, later] of care.BEFORE)
      expect(care.workingRank(earlier), `${earlier} before ${later}`).toBeLessThan(care.workingRank(later));
  });
});
