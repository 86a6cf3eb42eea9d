import { schedule } from '@bright-keeper/core';
import { MET, monthWords, USES } from '@bright-keeper/words';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/parts';
import { plainRule, rruleFrom, type PlainRule } from './rhythmState';

type Set<T> = (trigger: T) => void;
type Of<K extends schedule.Trigger['on']> = Extract<schedule.Trigger, { on: K }>;

const WEEKDAYS = [
  ['MO', 'Monday'],
  ['TU', 'Tuesday'],
  ['WE', 'Wednesday'],
  ['TH', 'Thursday'],
  ['FR', 'Friday'],
  ['SA', 'Saturday'],
  ['SU', 'Sunday'],
] as const;
const NTHS = [
  [1, 'first'],
  [2, 'second'],
  [3, 'third'],
  [4, 'fourth'],
  [-1, 'last'],
] as const;
const UNITS = ['days', 'weeks', 'months', 'years'] as const;
const FORMS: Record<PlainRule['form'], { words: string; fresh: PlainRule }> = {
  every: { words: 'every so often', fresh: { form: 'every', count: 3, unit: 'months' } },
  'nth-weekday': { words: 'on a weekday of the month', fresh: { form: 'nth-weekday', nth: 1, weekday: 'SA', months: 1 } },
  'each-month': { words: 'each year in a month', fresh: { form: 'each-month', month: 11 } },
  written: { words: 'by a written rule', fresh: { form: 'written', rrule: 'FREQ=MONTHLY;BYDAY=1SA' } },
};

const whole = (text: string): number => (text === '' ? 0 : Math.round(Number(text)));

function NumberField({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <input
      type="number"
      inputMode="numeric"
      className="input w-24"
      aria-label={label}
      value={value === 0 ? '' : value}
      onChange={(e) => onChange(whole(e.target.value))}
    />
  );
}
function Choose<T extends string | number>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) {
  return (
    <select
      className="input w-auto max-w-full"
      aria-label={label}
      value={value}
      onChange={(e) => onChange(options.find(([v]) => String(v) === e.target.value)![0])}
    >
      {options.map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** The rule itself, in the form it has. */
function RuleFields({ rule, set }: { rule: PlainRule; set: Set<PlainRule> }): ReactNode {
  switch (rule.form) {
    case 'every':
      return (
        <>
          <NumberField label="How many" value={rule.count} onChange={(count) => set({ ...rule, count })} />
          <Choose label="Unit" value={rule.unit} options={UNITS.map((u) => [u, u] as const)} onChange={(unit) => set({ ...rule, unit })} />
        </>
      );
    case 'nth-weekday':
      return (
        <>
          <Choose label="Which" value={rule.nth} options={NTHS} onChange={(nth) => set({ ...rule, nth })} />
          <Choose label="Weekday" value={rule.weekday} options={WEEKDAYS} onChange={(weekday) => set({ ...rule, weekday })} />
          <span>every</span>
          <NumberField label="Months" value={rule.months} onChange={(months) => set({ ...rule, months })} />
          <span>{rule.months === 1 ? 'month' : 'months'}</span>
        </>
      );
    case 'each-month':
      return (
        <Choose
          label="Month"
          value={rule.month}
          options={Array.from({ length: 12 }, (_, i) => [i + 1, monthWords(i + 1)] as const)}
          onChange={(month) => set({ ...rule, month })}
        />
      );
    case 'written':
      return (
        <input
          className="input min-w-0 flex-1 font-mono"
          aria-label="Rule (RFC 5545)"
          value={rule.rrule}
          onChange={(e) => set({ ...rule, rrule: e.target.value })}
        />
      );
    default:
      return rule satisfies never;
  }
}

function CalendarFields({ trigger, set, today }: { trigger: Of<'calendar'>; set: Set<schedule.Trigger>; today: string }) {
  // A rule that is being written may read as a plain one on the way: it stays written until another form is chosen.
  const [written, setWritten] = useState(plainRule(trigger.rrule).form === 'written');
  const rule: PlainRule = written ? { form: 'written', rrule: trigger.rrule } : plainRule(trigger.rrule);
  const change = (next: PlainRule) => set({ ...trigger, rrule: rruleFrom(next) });
  return (
    <>
      <Choose
        label="How it recurs"
        value={rule.form}
        options={(Object.keys(FORMS) as PlainRule['form'][]).map((f) => [f, FORMS[f].words] as const)}
        onChange={(form) => {
          setWritten(form === 'written');
          if (form !== 'written') change(FORMS[form].fresh);
        }}
      />
      <RuleFields rule={rule} set={change} />
      <Choose
        label="Counted from"
        value={trigger.from === 'last-done' ? 'last-done' : 'day'}
        options={[
          ['last-done', 'from when it was last done'],
          ['day', 'from a fixed day'],
        ]}
        onChange={(from) => set({ ...trigger, from: from === 'last-done' ? 'last-done' : today })}
      />
      {trigger.from !== 'last-done' && (
        <input
          type="date"
          className="input w-auto"
          aria-label="Fixed day"
          value={trigger.from}
          onChange={(e) => set({ ...trigger, from: e.target.value })}
        />
      )}
      <label className="flex min-h-11 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="check"
          checked={trigger.while === 'fungus-risk'}
          onChange={(e) => {
            const { while: _, ...rest } = trigger;
            set(e.target.checked ? { ...rest, while: 'fungus-risk' } : rest);
          }}
        />
        only while the fungus risk is raised
      </label>
    </>
  );
}

const SIGNS: readonly (readonly [schedule.ClimateSign, string])[] = [
  ['early-warning', 'growth is expected'],
  ['gel', 'the gel is spent'],
  ['damp', 'it turns damp'],
];

function OtherFields({ trigger, set }: { trigger: Exclude<schedule.Trigger, { on: 'calendar' }>; set: Set<schedule.Trigger> }) {
  switch (trigger.on) {
    case 'use':
      return (
        <>
          <span>after</span>
          <NumberField label="How many" value={trigger.count} onChange={(count) => set({ ...trigger, count })} />
          <Choose
            label="Of what"
            value={trigger.of}
            options={schedule.USE_UNITS.map((u) => [u, USES[u].many] as const)}
            onChange={(of) => set({ ...trigger, of })}
          />
        </>
      );
    case 'exposure':
      return (
        <>
          <span>within</span>
          <NumberField label="Hours" value={trigger.withinHours} onChange={(withinHours) => set({ ...trigger, withinHours })} />
          <span>hours of</span>
          {schedule.EXPOSURES.map((met) => (
            <label key={met} className="flex min-h-11 items-center gap-1">
              <input
                type="checkbox"
                className="check"
                checked={trigger.to.includes(met)}
                onChange={() =>
                  set({ ...trigger, to: trigger.to.includes(met) ? trigger.to.filter((m) => m !== met) : [...trigger.to, met] })
                }
              />
              {MET[met]}
            </label>
          ))}
        </>
      );
    case 'climate':
      return (
        <>
          <NumberField label="Days ahead" value={trigger.daysAhead} onChange={(daysAhead) => set({ ...trigger, daysAhead })} />
          <span>days before</span>
          <Choose label="What the air foretells" value={trigger.sign} options={SIGNS} onChange={(sign) => set({ ...trigger, sign })} />
        </>
      );
    case 'idleness': {
      const months = 'months' in trigger.after ? trigger.after.months : Math.max(1, Math.round(trigger.after.days / 30));
      return (
        <>
          <span>after</span>
          <NumberField label="Months" value={months} onChange={(m) => set({ ...trigger, after: { months: m } })} />
          <span>months without use</span>
        </>
      );
    }
    default:
      return trigger satisfies never;
  }
}

/** One thing that makes it due. */
export function TriggerFields({
  trigger,
  set,
  drop,
  error,
  today,
}: {
  trigger: schedule.Trigger;
  set: Set<schedule.Trigger>;
  drop: (() => void) | null;
  error: string | undefined;
  today: string;
}) {
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-center gap-2">
        {trigger.on === 'calendar' ? (
          <CalendarFields trigger={trigger} set={set} today={today} />
        ) : (
          <OtherFields trigger={trigger} set={set} />
        )}
        {drop && (
          <Button look="quiet" className="ml-auto" onClick={drop}>
            Remove
          </Button>
        )}
      </div>
      {error && <p className="text-sm text-act">{error}</p>}
    </li>
  );
}
