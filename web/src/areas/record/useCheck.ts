import { useState } from 'react';
import { type CheckedReport, checkReport, LARGEST_REPORT_BYTES } from './checkReport';

type Check = { name: string; checked: CheckedReport | null };

/** A file that is checked; of several chosen one after another the last counts. */
export function useCheck(): { check: Check | null; choose: (file: File) => void } {
  const [check, setCheck] = useState<Check | null>(null);
  const choose = (file: File) => {
    const begun: Check = { name: file.name, checked: null };
    setCheck(begun);
    void checked(file).then((answer) => setCheck((now) => (now === begun ? { ...begun, checked: answer } : now)));
  };
  return { check, choose };
}

const checked = (file: File): Promise<CheckedReport> =>
  file.size > LARGEST_REPORT_BYTES
    ? Promise.resolve({ is: 'no-report', because: 'It is larger than any report that is made here.' })
    : file.text().then(checkReport);
