import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as care from './index.js';
import { anyRequest } from './testing/requests.js';

const planFor = (...findings: [care.Surface, care.Soil, care.Severity][]) =>
  care.planCleaning({
    item: { kind: 'lens', traits: {} },
    place: 'home',
    findings: findings.map(([surface, soil, severity]) => ({ surface, soil, severity })),
  });

const at = (plan: care.CleaningPlan, events: care.BenchEvent[]) => care.benchState(plan, events);
const ready: care.BenchEvent = { type: 'ready' };
const done = (step: string): care.BenchEvent => ({ type: 'done', step });
const says = (step: string, answer: care.Answer): care.BenchEvent => ({ type: 'answer', step, answer });

const dusty = planFor(['front-glass', 'dust', 2]);
const [blow, brush, blowAgain, wipe] = dusty.steps.map((s) => s.id) as [string, string, string, string];

describe('at the bench', () => {
  it('begins with what to have ready, then stands on the first step', () => {
    expect(at(dusty, []).phase).toBe('prepare');
    expect(at(dusty, [ready])).toMatchObject({ phase: 'step', step: { id: blow }, attempt: 1 });
  });

  it('asks for a look after the step', () => {
    expect(at(dusty, [ready, done(blow)]).phase).toBe('look');
  });

  it('stops touching the surface at "clean enough"', () => {
    const state = at(dusty, [ready, done(blow), says(blow, 'clean-enough')]);
    expect(state).toMatchObject({ phase: 'close', outcomes: { 'front-glass': 'clean-enough' }, contacts: {} });
  });

  it('ends with what was done: no air over glass that nothing touched, no wipe thrown out that was not used', () => {
    const mouldy = planFor(['front-glass', 'fungus-outside', 2]);
    const lines = (plan: care.CleaningPlan, events: care.BenchEvent[]) =>
      care.closingAsDone(plan.close, at(plan, events).contacts).map(({ line }) => line);
    expect(lines(dusty, [ready, done(blow), says(blow, 'clean-enough')])).not.toContain('air-over-touched-glass');
    expect(lines(dusty, [ready, done(blow), says(blow, 'no-change'), done(brush)])).toContain('air-over-touched-glass');
    expect(mouldy.close.map(({ line }) => line)).toContain('seal-the-wipes');
    expect(lines(mouldy, [ready])).not.toContain('seal-the-wipes');
    const wiped = mouldy.steps.find((s) => s.contact)!;
    expect(care.closingAsDone(mouldy.close, { [wiped.surface]: 1 }).map(({ line }) => line)).toContain('seal-the-wipes');
  });

  it('tries a rung once more at "better", and climbs after the second try', () => {
    const once = [ready, done(blow), says(blow, 'better')];
    expect(at(dusty, once)).toMatchObject({ phase: 'step', step: { id: blow }, attempt: 2 });
    expect(at(dusty, [...once, done(blow), says(blow, 'better')])).toMatchObject({ step: { id: brush }, attempt: 1 });
  });

  it('climbs at once at "still there"', () => {
    expect(at(dusty, [ready, done(blow), says(blow, 'no-change')]).step?.id).toBe(brush);
  });

  it('blows after the brush even when the look was good', () => {
    const brushed = [ready, done(blow), says(blow, 'no-change'), done(brush), says(brush, 'clean-enough')];
    expect(at(dusty, brushed)).toMatchObject({ phase: 'step', step: { id: blowAgain } });
    expect(at(dusty, [...brushed, done(blowAgain)]).phase).toBe('close');
  });

  it.each([
    ['film', 'film-left'],
    ['deeper', 'lies-deeper'],
    ['damage', 'is-damage'],
    ['unsure', 'did-not-come-off'],
  ] as const)('asks what it is when the last rung does not help, and takes “%s” as %s', (reading, outcome) => {
    const all = [ready, ...[blow, brush, blowAgain, wipe].flatMap((s) => [done(s), says(s, 'no-change')])];
    expect(at(dusty, all)).toMatchObject({ phase: 'reading', outcomes: {}, contacts: { 'front-glass': 2 } });
    const read: care.BenchEvent = { type: 'reading', surface: 'front-glass', reading };
    expect(at(dusty, [...all, read])).toMatchObject({ phase: 'close', outcomes: { 'front-glass': outcome } });
  });

  it('says without asking that it did not come off a shell', () => {
    const shell = planFor(['barrel', 'corrosion', 2]);
    const all = [ready, ...shell.steps.flatMap((s) => [done(s.id), says(s.id, 'no-change')])];
    expect(at(shell, all)).toMatchObject({ phase: 'close', outcomes: { barrel: 'did-not-come-off' } });
  });

  it('never wipes while grains are left', () => {
    const gritty = planFor(['front-glass', 'grit', 2], ['front-glass', 'fingerprint', 2]);
    const loosening = gritty.steps.filter((s) => s.look?.asks === 'grains');
    const still = [ready, ...loosening.flatMap((s) => [done(s.id), says(s.id, 'no-change')])];
    expect(at(gritty, still)).toMatchObject({ phase: 'close', outcomes: { 'front-glass': 'stopped-by-grit' } });
  });

  it('asks for the rest once no grain is left, and then goes on to the first rung that takes it', () => {
    const gritty = planFor(['front-glass', 'grit', 2], ['front-glass', 'fingerprint', 2]);
    const first = gritty.steps[0]!.id;
    const noGrains = [ready, done(first), says(first, 'clean-enough')];
    expect(at(gritty, noGrains)).toMatchObject({ phase: 'look', step: { id: first }, outcomes: {} });
    expect(care.asksNow(at(gritty, noGrains), gritty.steps[0]!)).toBe('clean');
    expect(at(gritty, [...noGrains, says(first, 'no-change')]).step?.method).toBe('dry-wipe');
    expect(at(gritty, [...noGrains, says(first, 'clean-enough')]).outcomes).toEqual({ 'front-glass': 'clean-enough' });
  });

  it.each(['dust', 'pollen', 'lint'] as const)(
    'does not call a surface clean because no grain is left: the %s that lies there too is asked for',
    (soil) => {
      const gritty = planFor(['front-glass', 'grit', 2], ['front-glass', soil, 3]);
      const first = gritty.steps[0]!.id;
      const state = at(gritty, [ready, done(first), says(first, 'clean-enough'), says(first, 'no-change')]);
      expect(state).toMatchObject({ phase: 'step', step: { method: 'soft-brush' } });
    },
  );

  it('ends the clean of a sensor when a grain stays, whatever else lies there', () => {
    const plan = care.planCleaning({
      item: { kind: 'mirrorless-body', traits: {} },
      place: 'home',
      findings: [
        { surface: 'sensor-cover', soil: 'grit', severity: 1 },
        { surface: 'sensor-cover', soil: 'dust', severity: 3 },
      ],
    });
    const air = plan.steps[0]!.id;
    expect(at(plan, [ready, done(air), says(air, 'no-change')])).toMatchObject({
      phase: 'close',
      outcomes: { 'sensor-cover': 'stopped-by-grit' },
      contacts: {},
    });
  });

  it('lets nothing over salt that water has not taken', () => {
    const salty = planFor(['front-glass', 'salt', 2], ['front-glass', 'fingerprint', 3]);
    const [air, water] = salty.steps.map((s) => s.id) as [string, string];
    const watered = [ready, done(air), says(air, 'no-change'), done(water)];
    expect(at(salty, [...watered, says(water, 'no-change')])).toMatchObject({ outcomes: { 'front-glass': 'stopped-by-salt' } });
    expect(at(salty, [...watered, says(water, 'clean-enough'), says(water, 'no-change')]).step?.method).toBe('damp-wipe');
  });

  it('ends a surface that only held loose grains when none is left', () => {
    const gritty = planFor(['front-glass', 'grit', 2]);
    const first = gritty.steps[0]!.id;
    expect(at(gritty, [ready, done(first), says(first, 'clean-enough')])).toMatchObject({
      phase: 'close',
      outcomes: { 'front-glass': 'clean-enough' },
    });
  });

  it('leaves one surface and goes on with the next', () => {
    const two = planFor(['barrel', 'dust', 2], ['rear-glass', 'dust', 2]);
    const state = at(two, [ready, { type: 'leave-surface', surface: 'barrel' }]);
    expect(state).toMatchObject({ step: { surface: 'rear-glass' }, outcomes: { barrel: 'left' } });
  });

  it('calls what was not reached so when one stops', () => {
    const two = planFor(['barrel', 'dust', 2], ['rear-glass', 'dust', 2]);
    const events: care.BenchEvent[] = [ready, done(two.steps[0]!.id), says(two.steps[0]!.id, 'clean-enough'), { type: 'stop' }];
    expect(care.outcomesOf(two, events)).toEqual({ barrel: 'clean-enough', 'rear-glass': 'not-reached' });
  });

  it('takes no notice of a tap that arrives twice', () => {
    const once = [ready, done(blow), says(blow, 'no-change')];
    expect(at(dusty, [...once, says(blow, 'no-change')])).toEqual(at(dusty, once));
    expect(at(dusty, [ready, ready])).toEqual(at(dusty, [ready]));
  });
});

/** Five dusty surfaces after a week on the shelf, the clean most often done. */
const shelfDust = planFor(
  ['barrel', 'dust', 2],
  ['focus-ring', 'dust', 2],
  ['hood-outside', 'dust', 2],
  ['front-glass', 'dust', 2],
  ['rear-glass', 'dust', 2],
);
const surfacesIn = (round: readonly string[]) => round.map((id) => id.split('/')[0]);

describe('a round of air', () => {
  it('is made of what one set-up exposes: the shell first, then the glass', () => {
    expect(shelfDust.rounds.map(surfacesIn)).toEqual([
      ['barrel', 'focus-ring', 'hood-outside'],
      ['front-glass', 'rear-glass'],
    ]);
  });

  it('blows them all in one go and looks at them in one go: five dusty surfaces take 5 taps, not 11', () => {
    const [shell, glass] = shelfDust.rounds.map((r) => r[0]!) as [string, string];
    const rest = (step: string): care.BenchEvent => ({ type: 'rest-clean', step });
    const taps = [ready, done(shell), rest(shell), done(glass), rest(glass)];
    const state = at(shelfDust, taps);
    expect(state).toMatchObject({ phase: 'close', contacts: {} });
    expect(Object.values(state.outcomes)).toEqual(Array(5).fill('clean-enough'));
    const one: care.BenchEvent[] = [ready];
    const alone = { ...shelfDust, rounds: [] };
    while (at(alone, one).phase !== 'close')
      one.push(at(alone, one).phase === 'step' ? done(at(alone, one).step!.id) : says(at(alone, one).step!.id, 'clean-enough'));
    expect([taps.length, one.length]).toEqual([5, 11]);
  });

  it('sends on what is still there, each to its own next rung, and not back to air', () => {
    const [barrel, ring, hood] = shelfDust.rounds[0] as [string, string, string];
    const looked = [ready, done(barrel), says(ring, 'no-change'), says(barrel, 'clean-enough'), says(hood, 'clean-enough')];
    expect(at(shelfDust, looked)).toMatchObject({ phase: 'step', step: { surface: 'focus-ring', method: 'stiff-brush' } });
    const brush = at(shelfDust, looked).step!.id;
    const blown = at(shelfDust, [...looked, done(brush), says(brush, 'clean-enough')]);
    expect(blown.step).toMatchObject({ surface: 'focus-ring', method: 'blow', completes: brush });
    expect(at(shelfDust, [...looked, done(brush), says(brush, 'clean-enough'), done(blown.step!.id)])).toMatchObject({
      phase: 'round',
      step: { surface: 'front-glass' },
    });
  });

  it('blows once more only what is better', () => {
    const [barrel, ring, hood] = shelfDust.rounds[0] as [string, string, string];
    const state = at(shelfDust, [ready, done(barrel), says(barrel, 'better'), says(ring, 'clean-enough'), says(hood, 'better')]);
    expect(state).toMatchObject({ phase: 'round', attempt: 2 });
    expect(state.round!.steps.map((s) => s.surface)).toEqual(['barrel', 'hood-outside']);
  });

  it('asks nothing of a surface whose dirt air cannot take, and climbs there', () => {
    const plan = planFor(['front-glass', 'fingerprint', 2], ['rear-glass', 'dust', 2]);
    const [front, rear] = plan.rounds[0] as [string, string];
    const looked = at(plan, [ready, done(front)]);
    expect(looked).toMatchObject({ phase: 'round-look', step: { id: rear } });
    expect(at(plan, [ready, done(front), says(rear, 'clean-enough')])).toMatchObject({
      step: { surface: 'front-glass', method: 'dry-wipe' },
    });
  });

  it('lets one surface be left as it is, before the look and at it', () => {
    const [barrel, ring] = shelfDust.rounds[0] as [string, string];
    const leave = (surface: care.Surface): care.BenchEvent => ({ type: 'leave-surface', surface });
    expect(at(shelfDust, [ready, leave('barrel')])).toMatchObject({ phase: 'round', step: { id: ring }, outcomes: { barrel: 'left' } });
    const atTheLook = [ready, done(barrel), leave('focus-ring'), says(barrel, 'clean-enough')];
    expect(at(shelfDust, atTheLook)).toMatchObject({
      phase: 'round-look',
      step: { surface: 'hood-outside' },
      outcomes: { 'focus-ring': 'left' },
    });
  });

  it('never joins what grains lie on: they are looked for one surface at a time', () => {
    const plan = planFor(['barrel', 'grit', 2], ['focus-ring', 'dust', 2], ['hood-outside', 'dust', 2]);
    expect(plan.rounds.map(surfacesIn)).toEqual([['focus-ring', 'hood-outside']]);
  });

  it('is not asked of a cleaning that was begun one surface at a time', () => {
    const begun = { ...shelfDust, rounds: [] };
    expect(at(begun, [ready])).toMatchObject({ phase: 'step', round: null });
  });
});

describe('whatever one answers', () => {
  const walk = (plan: care.CleaningPlan, choose: (n: number) => care.Answer) => {
    const events: care.BenchEvent[] = [ready];
    for (let n = 0; n < 2000; n += 1) {
      const { phase, step } = at(plan, events);
      if (phase === 'close') return events;
      if (phase === 'reading') events.push({ type: 'reading', surface: step!.surface, reading: care.READINGS[n % 4]! });
      else events.push(phase === 'step' || phase === 'round' ? done(step!.id) : says(step!.id, choose(n)));
    }
    throw new Error('the bench did not come to an end');
  };

  it('comes to an end, tries no rung more than twice and counts every touch', () => {
    fc.assert(
      fc.property(anyRequest, fc.infiniteStream(fc.constantFrom(...care.ANSWERS)), (request, answers) => {
        const plan = care.planCleaning(request);
        const events = walk(plan, () => answers.next().value);
        const state = at(plan, events);
        for (const step of plan.steps) expect(state.done.filter((id) => id === step.id).length).toBeLessThanOrEqual(step.tries);
        const touching = state.done.filter((id) => plan.steps.find((s) => s.id === id)!.contact).length;
        expect(Object.values(state.contacts).reduce((a, b) => a + b, 0)).toBe(touching);
        expect(Object.values(care.outcomesOf(plan, events))).not.toContain('not-reached');
      }),
      { numRuns: 300, seed: 4871 },
    );
  });

  it('stands, after undo, exactly where it stood before the last tap', () => {
    const events = walk(dusty, (n) => care.ANSWERS[n % 3]!);
    const places = events.map((_, n) => at(dusty, events.slice(0, n)));
    events.forEach((_, n) => expect(at(dusty, events.slice(0, n + 1).slice(0, -1))).toEqual(places[n]));
    expect(new Set(places.map((p) => JSON.stringify(p))).size).toBe(places.length);
  });
});
