import { FileDrop } from '../../ui/FilePicker';
import { ButtonLink, Page } from '../../ui/parts';
import { CheckedReportView } from './CheckedReportView';
import { useReportKey } from './queries';
import { useCheck } from './useCheck';

/** Whether a report that was handed over is as it was signed. */
export function ReportCheckPage() {
  const { check, choose } = useCheck();
  const key = useReportKey();
  return (
    <Page
      title="Check a report"
      sub="A condition report as a file: whether it is as it was signed, and by which key. Nothing of it leaves this browser."
      actions={<ButtonLink to="/report">Make a report</ButtonLink>}
    >
      <div className="space-y-4">
        <FileDrop name={check?.name} accept=".json,application/json" onChoose={choose} />
        {check?.checked && <CheckedReportView checked={check.checked} ownKey={key.data?.fingerprint ?? null} />}
      </div>
    </Page>
  );
}
