import type { KeptRhythm, SaveRhythm } from '@bright-keeper/contract';
import { schedule, type care } from '@bright-keeper/core';

/** What the editor of one duty's rhythm remembers. */
export type RhythmDraft = { code: schedule.DutyCode; scope: schedule.RhythmScope; rhythm: schedule.Rhythm; on: boolean };

export type RhythmAction =
  | { type: 'scope'; scope: schedule.RhythmScope; held: schedule.Rhythm | null }
  | { type: 'on'; on: boolean }
  | { type: 'trigger'; index: number; trigger: schedule.Trigger }
  | { type: 'add'; trigger: schedule.Trigger }
  | { type: 'drop'; index: number }
  | { type: 'window'; field: 'earlyDays' | 'lateDays' | 'minutes'; value: number };

export const standardOf = (code: schedule.DutyCode): schedule.Rhythm => schedule.dutyFacts(code).rhythm!;

export function draftOf(code: schedule.DutyCode, scope: schedule.RhythmScope, held: schedule.Rhythm | null): RhythmDraft {
  return { code, scope, rhythm: held ?? standardOf(code), on: held !== null };
}

export function reduceRhythm(draft: RhythmDraft, action: RhythmAction): RhythmDraft {
  const { rhythm } = draft;
  switch (action.type) {
    case 'scope':
      return draftOf(draft.code, action.scope, action.held);
    case 'on':
      return { ...draft, on: action.on };
    case 'trigger':
      return { ...draft, rhythm: { ...rhythm, triggers: rhythm.triggers.map((t, i) => (i === action.index ? action.trigger : t)) } };
    case 'add':
      return { ...draft, rhythm: { ...rhythm, triggers: [...rhythm.triggers, action.trigger] } };
    case 'drop':
      return { ...draft, rhythm: { ...rhythm, triggers: rhythm.triggers.filter((_, i) => i !== action.index) } };
    case 'window':
      return { ...draft, rhythm: { ...rhythm, [action.field]: action.value } };
    default:
      return action satisfies never;
  }
}

/** The change that is kept with just this scope, where there is one. */
export const keptFor = (kept: readonly KeptRhythm[], code: schedule.DutyCode, scope: schedule.RhythmScope): KeptRhythm | null =>
  kept.find((k) => k.code === code && schedule.sameScope(k.scope, scope)) ?? null;

/** The same with one of them as it is now, or without it where it is gone. */
export const nowKept = (
  kept: readonly KeptRhythm[],
  { code, scope }: Pick<KeptRhythm, 'code' | 'scope'>,
  now: KeptRhythm | null,
): readonly KeptRhythm[] => [...kept.filter((k) => !(k.code === code && schedule.sameScope(k.scope, scope))), ...(now ? [now] : [])];

/** What holds in a scope without a change of its own. */
export function heldIn(
  kept: readonly KeptRhythm[],
  code: schedule.DutyCode,
  scope: schedule.RhythmScope,
  kindOf: (id: string) => care.ItemKind | undefined,
): schedule.Rhythm | null {
  const own = keptFor(kept, code, scope);
  if (own) return own.rhythm;
  const changes = kept.filter((k) => k.scope.for === 'all' || (scope.for === 'subject' && k.scope.for === 'kind'));
  const kind = scope.for === 'kind' ? scope.kind : scope.for === 'subject' ? kindOf(scope.id) : undefined;
  return schedule.rhythmFor(code, standardOf(code), { id: '', ...(kind ? { kind } : {}) }, changes);
}

export const toSave = ({ code, scope, rhythm, on }: RhythmDraft, kept: KeptRhythm | null): SaveRhythm => ({
  code,
  scope,
  rhythm: on ? rhythm : null,
  version: kept?.version ?? null,
});

/** How often, as the plain-language editor offers it; a rule of any other form is edited as it is written. */
export type PlainRule =
  | { form: 'every'; count: number; unit: 'days' | 'weeks' | 'months' | 'years' }
  | { form: 'nth-weekday'; nth: number; weekday: string; months: number }
  | { form: 'each-month'; month: number }
  | { form: 'written'; rrule: string };

const NTH = /^FREQ=MONTHLY(?:;INTERVAL=(\d+))?;BYDAY=(-?\d)(MO|TU|WE|TH|FR|SA|SU)$/;
const EACH = /^FREQ=YEARLY;BYMONTH=(\d+);BYMONTHDAY=1$/;

export function plainRule(rrule: string): PlainRule {
  const every = schedule.plainEvery(rrule);
  if (every && 'days' in every)
    return every.days % 7 === 0
      ? { form: 'every', count: every.days / 7, unit: 'weeks' }
      : { form: 'every', count: every.days, unit: 'days' };
  if (every && 'months' in every)
    return every.months % 12 === 0
      ? { form: 'every', count: every.months / 12, unit: 'years' }
      : { form: 'every', count: every.months, unit: 'months' };
  const nth = NTH.exec(rrule);
  if (nth) return { form: 'nth-weekday', nth: Number(nth[2]), weekday: nth[3]!, months: Number(nth[1] ?? 1) };
  const each = EACH.exec(rrule);
  if (each) return { form: 'each-month', month: Number(each[1]) };
  return { form: 'written', rrule };
}

const FREQ = { days: 'DAILY', weeks: 'WEEKLY', months: 'MONTHLY', years: 'YEARLY' } as const;
export function rruleFrom(rule: PlainRule): string {
  switch (rule.form) {
    case 'every':
      return `FREQ=${FREQ[rule.unit]};INTERVAL=${rule.count}`;
    case 'nth-weekday':
      return `FREQ=MONTHLY;INTERVAL=${rule.months};BYDAY=${rule.nth}${rule.weekday}`;
    case 'each-month':
      return `FREQ=YEARLY;BYMONTH=${rule.month};BYMONTHDAY=1`;
    case 'written':
      return rule.rrule;
    default:
      return rule satisfies never;
  }
}

/** What a new trigger of each kind begins as. */
export const FRESH: Record<schedule.Trigger['on'], schedule.Trigger> = {
  calendar: { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=3', from: 'last-done' },
  use: { on: 'use', of: 'outings', count: 10 },
  exposure: { on: 'exposure', to: ['salt'], withinHours: 24 },
  climate: { on: 'climate', sign: 'gel', daysAhead: 14 },
  idleness: { on: 'idleness', after: { months: 3 } },
};
