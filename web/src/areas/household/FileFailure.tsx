import { ApiError } from '../../api/http';
import { Failure } from '../../ui/parts';
import { tableWords } from './tableWords';

/** Where in a file a fault lies, in words: its table, its row and what of it. */
function whereWords(path: string): string {
  const [table, row, ...rest] = path.split('.');
  const [at, column] = /^\d+$/.test(row ?? '') ? [`row ${row}`, rest.join('.')] : ['', [row, ...rest].filter(Boolean).join('.')];
  return [tableWords(table!), at, column].filter(Boolean).join(', ');
}

/** Why a household’s file is not taken: in short, and where it lies in the file. */
export function FileFailure({ error }: { error: unknown }) {
  const faults = Object.entries((error instanceof ApiError && error.problem.fields) || {});
  return (
    <>
      <Failure error={error} />
      {faults.length > 0 && (
        <ul aria-label="What is wrong with the file" className="max-h-80 list-disc space-y-1 overflow-y-auto pl-6 text-sm">
          {faults.map(([path, message]) => (
            <li key={path}>
              <span className="font-semibold">{whereWords(path)}:</span> {message}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
