import type { KeptRhythm } from '@bright-keeper/contract';
import { care, schedule } from '@bright-keeper/core';
import { capital, rhythmWords, subjectWords } from '@bright-keeper/words';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Failure, Loading, Page, Section } from '../../ui/parts';
import { useAgenda, useRhythms } from './queries';
import { RhythmEditor } from './RhythmEditor';

const scopeWords = (scope: schedule.RhythmScope, nameOf: (id: string) => string): string =>
  scope.for === 'all' ? 'For all' : scope.for === 'kind' ? `Every ${care.kindFacts(scope.kind).name}` : nameOf(scope.id);

/** What holds for all, and each exception from it. */
function RhythmLines({ code, kept, nameOf }: { code: schedule.DutyCode; kept: readonly KeptRhythm[]; nameOf: (id: string) => string }) {
  const own = kept.filter((k) => k.code === code);
  const forAll = own.find((k) => k.scope.for === 'all');
  const said = (rhythm: schedule.Rhythm | null) => (rhythm ? `${capital(rhythmWords(rhythm))}.` : 'Not asked for.');
  return (
    <div className="text-sm text-soft">
      <p>
        {said(forAll ? forAll.rhythm : schedule.dutyFacts(code).rhythm!)}
        {forAll && <span className="ml-2 rounded bg-lamp-tint px-1.5 text-lamp">yours</span>}
      </p>
      {own
        .filter((k) => k.scope.for !== 'all')
        .map((k) => (
          <p key={k.id}>
            {scopeWords(k.scope, nameOf)}: {said(k.rhythm)}
          </p>
        ))}
    </div>
  );
}

/** Every rhythm there is, and the one that is changed. */
export function RhythmsPage() {
  const [params, setParams] = useChoices();
  const rhythms = useRhythms();
  const agenda = useAgenda();
  const failed = [rhythms, agenda].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!rhythms.data || !agenda.data) return <Loading />;
  const { duties, today } = agenda.data;
  const open = schedule.RHYTHM_CODES.find((c) => c === params.get('duty')) ?? null;
  const subjectsOf = (code: schedule.DutyCode) =>
    [
      ...new Map(
        duties
          .filter((d) => d.code === code)
          .map(({ subject: { id, name, itemKind } }) => [id, { id, name, ...(itemKind ? { kind: itemKind } : {}) }]),
      ).values(),
    ].sort((a, b) => a.name.localeCompare(b.name));
  const nameOf = (id: string) => duties.find((d) => d.subject.id === id)?.subject.name ?? 'Something that is gone';
  const kinds = [...new Set(schedule.RHYTHM_CODES.map((c) => schedule.dutyFacts(c).about))];
  return (
    <Page
      title="Rhythms"
      sub="How often each kind of care comes round: the trade’s usual ones, and yours."
      actions={<ButtonLink to="/calendar">Calendar</ButtonLink>}
    >
      <div className="space-y-6">
        {kinds.map((kind) => (
          <Section key={kind} title={subjectWords(kind)}>
            <ul className="sheet divide-y divide-line">
              {schedule.RHYTHM_CODES.filter((c) => schedule.dutyFacts(c).about === kind).map((code) => (
                <li key={code} className="px-4 py-2.5">
                  <div className="flex flex-wrap items-center gap-3">
                    <div className="min-w-0 flex-1 basis-60">
                      <p className="font-medium">{schedule.dutyFacts(code).name}</p>
                      <RhythmLines code={code} kept={rhythms.data} nameOf={nameOf} />
                    </div>
                    <Button
                      aria-expanded={open === code}
                      aria-label={`${open === code ? 'Close' : 'Change'}: ${schedule.dutyFacts(code).name}`}
                      onClick={() =>
                        setParams(withChoice(withChoice(params, 'of', null), 'duty', open === code ? null : code), { replace: true })
                      }
                    >
                      {open === code ? 'Close' : 'Change'}
                    </Button>
                  </div>
                  {open === code && (
                    <div className="mt-3">
                      <RhythmEditor code={code} kept={rhythms.data} subjects={subjectsOf(code)} of={params.get('of')} today={today} />
                    </div>
                  )}
                </li>
              ))}
            </ul>
          </Section>
        ))}
      </div>
    </Page>
  );
}
