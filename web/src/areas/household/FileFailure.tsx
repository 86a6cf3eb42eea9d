import { Failure } from '../../ui/parts';
import { tableWords } from './tableWords';

/** Where in a file a fault lies, in words: its table, its row and what of it. */
function whereWords(path: string): string {
  const [table, row, ...rest] = path.split('.');
  const [at, column] = /^\d+$/.test(row ?? '') ? [`row ${row}`, rest.join('.')] : ['', [row, ...rest].filter(Boolean).join('.')];
  return [tableWords(table!), at, column].filter(Boolean).join(', ');
}

/** Why a household’s file is not taken: in short, and where it lies in the file. */
export const FileFailure = ({ error }: { error: unknown }) => <Failure error={error} whereWords={whereWords} />;
