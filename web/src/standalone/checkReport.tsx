import { createRoot } from 'react-dom/client';
import { CheckedReportView } from '../areas/record/CheckedReportView';
import { useCheck } from '../areas/record/useCheck';
import { FileDrop } from '../ui/FilePicker';

/** The check of a report by itself, for whoever has nothing but this file and the report. */
function CheckReport() {
  const { check, choose } = useCheck();
  return (
    <main className="mx-auto max-w-4xl space-y-4 p-4">
      <h1 className="text-2xl font-semibold">Check a report</h1>
      <p className="text-soft">
        A condition report as a file: whether it is as it was signed, and by which key. Nothing of it leaves this browser.
      </p>
      <FileDrop name={check?.name} accept=".json,application/json" onChoose={choose} />
      {check?.checked && <CheckedReportView checked={check.checked} ownKey={null} />}
    </main>
  );
}

createRoot(document.getElementById('root')!).render(<CheckReport />);
