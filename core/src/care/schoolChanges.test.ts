import { describe, expect, it } from 'vitest';
import * as care from './index.js';

const request = (findings: care.PlanRequest['findings'], schools?: Partial<care.Schools>): care.PlanRequest => ({
  item: { kind: 'lens', traits: {} },
  place: 'home',
  findings,
  ...(schools ? { schools } : {}),
});
const print = request([{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }]);
const changes = care.schoolChanges(print);

describe('what another school would change in a plan', () => {
  it('tells only of choices that make another plan, and never of the one that is followed', () => {
    const shape = (plan: care.CleaningPlan) => JSON.stringify({ ...plan, steps: plan.steps.map(({ schoolNotes: _, ...s }) => s) });
    const mine = shape(care.planCleaning(print));
    for (const school of care.CARE_SCHOOL_IDS)
      for (const choice of care.schoolChoices(school).filter((c) => c !== care.DEFAULT_SCHOOLS[school])) {
        const theirs = shape(care.planCleaning({ ...print, schools: { ...care.DEFAULT_SCHOOLS, [school]: choice } }));
        expect(
          changes.some((c) => c.school === school && c.choice === choice),
          `${school} ${choice}`,
        ).toBe(theirs !== mine);
      }
  });

  it('has nothing to say of a mirror or a sensor where a lens is cleaned', () => {
    expect(changes.map((c) => c.school)).not.toContain('mirror');
    expect(changes.map((c) => c.school)).not.toContain('sensor');
  });

  it('names the way that breath adds or leaves out, with its touches', () => {
    expect(changes.find((c) => c.school === 'breath' && c.choice === 'never')).toMatchObject({ drops: ['breath'], adds: [] });
  });

  it('names the fluid that would be taken instead', () => {
    const alcohol = changes.find((c) => c.school === 'solvent' && c.choice === 'alcohol-free')!;
    expect([alcohol.takes, alcohol.lays]).toEqual(
      [['alcohol-free-fluid'], ['lens-fluid']].map((m) => expect.arrayContaining(m) as string[]),
    );
  });

  it('has nothing to tell where nothing was found', () => {
    expect(care.schoolChanges(request([])).filter((c) => c.adds.length + c.drops.length > 0)).toEqual([]);
  });
});
