import { routes } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { fingerprintWords, REPORT_PART_WORDS } from '@bright-keeper/words';
import { Printer } from 'lucide-react';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Failure, Loading, Page } from '../../ui/parts';
import { useReport, useReportKey } from './queries';
import { ReportSheet } from './ReportSheet';
import { partsFrom, partsWith, reportQueryOf } from './reportView';

const FILE_CLASS = 'inline-flex min-h-11 items-center rounded px-4';
const PLAIN = `${FILE_CLASS} border border-soft bg-sheet hover:bg-well`;
const FILLED = `${FILE_CLASS} bg-fill font-semibold text-on-fill hover:opacity-90`;
/** Of the program's own files: it opens without a network and without this household. */
const CHECKER = '/check-report.html';

function Parts({ parts, onChoose }: { parts: readonly record.ReportPart[]; onChoose: (part: record.ReportPart, has: boolean) => void }) {
  return (
    <fieldset className="sheet p-4 print:hidden">
      <legend className="float-left mb-2 w-full font-semibold">Whoever reads it is shown</legend>
      <div className="clear-both flex flex-wrap gap-x-6">
        {record.REPORT_PARTS.map((part) => (
          <label key={part} className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="check" checked={parts.includes(part)} onChange={(e) => onChoose(part, e.target.checked)} />
            {REPORT_PART_WORDS[part]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** By what a later reader tells whether it was edited. */
function Signed({ signature }: Pick<record.SignedReport, 'signature'>) {
  const key = useReportKey();
  if (!key.data || key.data.publicKey !== signature.publicKey) return null;
  return (
    <p className="text-sm text-soft">
      Signed by this household’s key, <span className="font-mono">{fingerprintWords(key.data.fingerprint)}</span>: tell these groups to
      whoever gets the file, by another way than the file itself. What is changed in it afterwards shows at once where it is checked.
    </p>
  );
}

/** The condition of a thing, or of all on the shelf: what whoever reads it is shown is chosen, and signed. */
export function ReportPage() {
  const [params, setParams] = useChoices();
  const parts = partsFrom(params);
  const thing = params.get('thing');
  const query = reportQueryOf(thing, parts);
  const report = useReport(query);
  if (report.isError) return <Failure error={report.error} onRetry={() => void report.refetch()} />;
  if (!report.data) return <Loading />;
  const { things } = report.data.report;
  return (
    <Page
      title="Condition report"
      sub={thing !== null && things[0] ? things[0].name : 'Everything on the shelf'}
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <ButtonLink to={thing === null ? '/gear/inventory' : `/gear/${thing}`}>
            {thing === null ? 'Inventory' : 'Back to the thing'}
          </ButtonLink>
          <ButtonLink to="/report/check">Check a report</ButtonLink>
          <a className={PLAIN} href={routes.reportPdf(query)} download>
            As PDF
          </a>
          <Button onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
          <a className={FILLED} href={routes.reportJson(query)} download>
            Signed file
          </a>
        </div>
      }
    >
      <div className="space-y-4">
        <Parts
          parts={parts}
          onChoose={(part, has) => setParams(withChoice(params, 'parts', partsWith(parts, part, has)), { replace: true })}
        />
        <div className="print:hidden">
          <Signed signature={report.data.signature} />
          <p className="text-sm text-soft">
            Whoever has no Bright Keeper checks it with{' '}
            <a className="underline" href={CHECKER} download>
              a page to send along
            </a>
            , which opens in a browser without a network.
          </p>
        </div>
        <ReportSheet report={report.data.report} />
      </div>
    </Page>
  );
}
