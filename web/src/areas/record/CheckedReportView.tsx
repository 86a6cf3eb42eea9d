import { fingerprintWords } from '@bright-keeper/words';
import type { ReactNode } from 'react';
import { Notice } from '../../ui/parts';
import type { CheckedReport } from './checkReport';
import { ReportSheet } from './ReportSheet';

type Tone = 'good' | 'attention' | 'act';
const Answer = ({ tone, title, children }: { tone: Tone; title: string; children: ReactNode }) => (
  <div className="mb-4">
    <Notice tone={tone}>
      <p className="text-xl font-semibold">{title}</p>
      <p className="mt-1">{children}</p>
    </Notice>
  </div>
);

/** What came of a check, and the report below it. @param ownKey the fingerprint of this household's key, where it is known. */
export function CheckedReportView({ checked, ownKey }: { checked: CheckedReport; ownKey: string | null }) {
  switch (checked.is) {
    case 'no-report':
      return (
        <Answer tone="act" title="This is no report">
          {checked.because}
        </Answer>
      );
    case 'edited':
      return (
        <>
          <Answer tone="act" title="It was edited, or is not whole">
            Its signature does not belong to what stands in it. Nothing below can be relied on: ask for the file anew.
          </Answer>
          <ReportSheet report={checked.report} />
        </>
      );
    case 'not-checkable':
      return (
        <>
          <Answer tone="attention" title="It could not be checked here">
            This browser has no Ed25519, or the page was not opened safely. Whether it was edited is not known; a current browser tells.
          </Answer>
          <ReportSheet report={checked.report} />
        </>
      );
    case 'whole':
      return (
        <>
          <Answer tone="good" title="As it was signed">
            Nothing in it was changed since.{' '}
            {checked.fingerprint === ownKey ? 'It is signed by this household’s key: ' : 'It is signed by the key '}
            <span className="font-mono">{fingerprintWords(checked.fingerprint)}</span>
            {checked.fingerprint === ownKey
              ? '.'
              : '. Whose key that is, the file cannot tell: have these groups told to you by another way. That what it tells is true, no signature can say.'}
          </Answer>
          <ReportSheet report={checked.report} />
        </>
      );
    default:
      return checked satisfies never;
  }
}
