import { care } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { commandOf } from './benchKeys';
import { conditionsFrom, placeFrom, schoolsFrom } from './planChoices';
import { withChoice } from '../../ui/choices';
import { actionFor, benchReducer, type BenchDraft } from './state';
import { newStage, teardownReducer, type TeardownAction, type TeardownDraft } from './teardownState';
import { money } from '@bright-keeper/words';
import { amountWords, inHand } from './words';

const plan = care.planCleaning({
  item: { kind: 'lens', traits: {} },
  place: 'home',
  findings: [{ surface: 'front-glass', soil: 'dust', severity: 2 }],
});
const stateAfter = (draft: BenchDraft) => care.benchState(plan, draft.events);
const press = (draft: BenchDraft, key: string): BenchDraft => {
  const action = actionFor(commandOf(key)!, stateAfter(draft));
  return action ? benchReducer(draft, action) : draft;
};

describe('keys at the bench', () => {
  it('lead through the whole plan with a foot pedal and number keys', () => {
    const draft = ['PageDown', 'PageDown', '3', ' ', '2', ' ', '3', 'ArrowRight', '1'].reduce(press, { events: [] });
    expect(draft.events.map((e) => e.type)).toEqual(['ready', 'done', 'answer', 'done', 'answer', 'done', 'answer', 'done', 'answer']);
    expect(stateAfter(draft).phase).toBe('close');
  });

  it('never answer a look with the forward key: an answer is chosen', () => {
    const looking = ['PageDown', 'PageDown'].reduce(press, { events: [] });
    expect(press(looking, ' ')).toBe(looking);
  });

  it('take back the last tap, and nothing before the first', () => {
    const two = ['PageDown', 'PageDown'].reduce(press, { events: [] });
    expect(press(two, 'PageUp').events).toEqual([{ type: 'ready' }]);
    expect(['PageUp', 'Backspace'].reduce(press, { events: [] }).events).toEqual([]);
  });

  it('never skip a dry run, a power check or the feel of a ring', () => {
    const wet = care.planCleaning({
      item: { kind: 'mirrorless-body', traits: {} },
      place: 'home',
      findings: [{ surface: 'sensor-cover', soil: 'grease', severity: 3 }],
    });
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      { type: 'done', step: wet.steps[0]!.id },
      { type: 'answer', step: wet.steps[0]!.id, answer: 'no-change' },
    ];
    const waiting = care.benchState(wet, events);
    expect(waiting.step?.method).toBe('sensor-swab');
    expect(actionFor('forward', waiting)).toBeNull();
    const stiff = care.planCleaning({
      item: { kind: 'lens', traits: { helicoidExposed: true } },
      place: 'home',
      findings: [{ surface: 'helicoid', soil: 'dried-grease', severity: 2 }],
    });
    expect(actionFor('forward', care.benchState(stiff, [{ type: 'ready' }]))).toBeNull();
  });

  it('mean nothing where they are not of the bench', () => expect(commandOf('q')).toBeNull());
});

describe('keys in a round of air', () => {
  const two = care.planCleaning({
    item: { kind: 'lens', traits: {} },
    place: 'home',
    findings: [
      { surface: 'front-glass', soil: 'dust', severity: 2 },
      { surface: 'rear-glass', soil: 'dust', severity: 2 },
    ],
  });
  const pressed = (keys: readonly string[]): BenchDraft =>
    keys.reduce<BenchDraft>(
      (draft, key) => {
        const action = actionFor(commandOf(key)!, care.benchState(two, draft.events));
        return action ? benchReducer(draft, action) : draft;
      },
      { events: [] },
    );

  it.each([
    ['all clean in one', [' ', ' ', '0'], { 'front-glass': 'clean-enough', 'rear-glass': 'clean-enough' }],
    ['one after the other', [' ', ' ', '1', '1'], { 'front-glass': 'clean-enough', 'rear-glass': 'clean-enough' }],
    ['the first still there, the rest clean', [' ', ' ', '3', '0'], { 'rear-glass': 'clean-enough' }],
  ] as const)('answer it: %s', (_, keys, outcomes) => {
    expect(care.benchState(two, pressed(keys).events).outcomes).toEqual(outcomes);
  });

  it('never answer it with the forward key, and take an answer back', () => {
    expect(pressed([' ', ' ', ' '])).toEqual(pressed([' ', ' ']));
    expect(pressed([' ', ' ', '3', 'Backspace'])).toEqual(pressed([' ', ' ']));
  });

  it('say nothing of a rest where there is none', () => {
    expect(pressed(['0'])).toEqual({ events: [] });
    expect(pressed([' ', '0'])).toEqual(pressed([' ']));
  });
});

describe('the record of an opened thing', () => {
  it('grows, is corrected and shrinks, and keeps everything when one turns round', () => {
    const opened: TeardownAction[] = [
      { type: 'add', stage: newStage('a') },
      { type: 'add', stage: newStage('b') },
      { type: 'edit', id: 'b', change: { what: 'front ring', turns: 3 } },
      { type: 'remove', id: 'a' },
      { type: 'phase', phase: 'closing' },
    ];
    const draft = opened.reduce(teardownReducer, { phase: 'opening', stages: [] } as TeardownDraft);
    expect(draft.phase).toBe('closing');
    expect(draft.stages.map((s) => [s.id, s.what, s.turns])).toEqual([['b', 'front ring', 3]]);
  });
});

describe('the choices of a plan in the address', () => {
  it('are home and the user’s own schools when nothing is said', () => {
    const params = new URLSearchParams();
    expect(placeFrom(params)).toBe('home');
    expect(schoolsFrom(params, care.DEFAULT_SCHOOLS)).toEqual(care.DEFAULT_SCHOOLS);
    expect(conditionsFrom(new URLSearchParams('wind=1'))).toEqual({});
  });

  it('lay one plan’s schools over the user’s, and ignore what is no choice', () => {
    const params = new URLSearchParams('place=field&rain=1&school.solvent=alcohol&school.wipe=sandpaper');
    expect(schoolsFrom(params, care.DEFAULT_SCHOOLS)).toEqual({ ...care.DEFAULT_SCHOOLS, solvent: 'alcohol' });
    expect(conditionsFrom(params)).toEqual({ wind: false, blowingSand: false, rain: true, freshWater: false });
    const cold = new URLSearchParams('place=field&temperatureC=-3&humidityPct=140');
    expect(conditionsFrom(cold)).toMatchObject({ temperatureC: -3 });
    expect(conditionsFrom(cold)).not.toHaveProperty('humidityPct');
  });

  it('are set and taken away again', () => {
    expect(withChoice(withChoice(new URLSearchParams(), 'place', 'field'), 'place', null).toString()).toBe('');
  });
});

describe('words', () => {
  it.each([
    [{ material: 'lens-fluid', amount: { quantity: 2, unit: 'drop' } }, '2 drops of lens fluid'],
    [{ material: 'lens-tissue', amount: { quantity: 1, unit: 'sheet' } }, '1 sheet of lens tissue'],
    [{ material: 'cotton-swab', amount: { quantity: 2, unit: 'swab' } }, '2 × cotton swab'],
    [{ material: 'sealed-wipe', amount: { quantity: 1, unit: 'wipe' } }, '1 sealed wet wipe'],
    [{ material: 'water', amount: { quantity: 50, unit: 'mL' } }, 'fresh water'],
    [{ material: 'water', amount: { quantity: 0.5, unit: 'mL' } }, 'a little fresh water'],
    [{ material: 'adhesive-remover', amount: { quantity: 1, unit: 'mL' } }, '1 mL of plaster-glue remover'],
    [{ material: 'lens-fluid', amount: { quantity: 1, unit: 'spray' } }, '1 fine mist of lens fluid'],
  ] as [care.Use, string][])('%j reads "%s"', (use, text) => expect(amountWords(use)).toBe(text));

  it('name the tool before what it uses up', () => {
    const wet = care.planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      schools: { wipe: 'microfibre' },
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
    });
    expect(inHand(wet.steps[1]!)).toBe('microfibre kept for glass · 2 drops of lens fluid');
  });

  it('name the very cloth and pack where the drawer has a name for them', () => {
    const thing = (id: care.Tool | care.Material, label: string): care.OnHand => ({ id, thingId: `the ${id}`, label });
    const own = care.planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      schools: { wipe: 'microfibre' },
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
      onHand: [
        thing('bulb-blower', 'bulb blower'),
        thing('glass-cloth', 'microfibre kept for glass (Blue edge)'),
        thing('lens-fluid', 'lens fluid (Old bottle)'),
      ],
    });
    expect(inHand(own.steps[1]!)).toBe('microfibre kept for glass (Blue edge) · 2 drops of lens fluid (Old bottle)');
  });

  it('write money in the user’s currency', () => expect(money(0.21, 'EUR')).toBe('€0.21'));
});
