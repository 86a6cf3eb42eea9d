import { schedule } from '@bright-keeper/core';
import { gravityWords, subjectWords } from '@bright-keeper/words';

type Choice = { key: string; label: string; all: string; options: readonly (readonly [string, string])[] };
const CHOICES: readonly Choice[] = [
  { key: 'subject', label: 'About', all: 'Everything', options: schedule.SUBJECT_KINDS.map((k) => [k, subjectWords(k)] as const) },
  { key: 'gravity', label: 'If it waits', all: 'Whatever', options: schedule.GRAVITIES.map((g) => [g, gravityWords(g)] as const) },
  { key: 'duty', label: 'What', all: 'All tasks', options: schedule.DUTY_CODES.map((c) => [c, schedule.dutyFacts(c).name] as const) },
];

/** What of the agenda is shown, kept in the address. */
export function Filters({ params, choose }: { params: URLSearchParams; choose: (key: string, value: string | null) => void }) {
  return (
    <div className="flex flex-wrap gap-3 print:hidden">
      {CHOICES.map(({ key, label, all, options }) => (
        <label key={key} className="flex items-center gap-2 text-sm whitespace-nowrap">
          {label}
          <select className="input max-w-44" value={params.get(key) ?? ''} onChange={(e) => choose(key, e.target.value || null)}>
            <option value="">{all}</option>
            {options.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}
