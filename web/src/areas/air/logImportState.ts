import type { LogFormat, LogPreview } from '@bright-keeper/contract';

/** What the import screen remembers: the file, how it was last read, and how it is to be read where that is still to come. */
export type LogImportState = { file: File | null; preview: LogPreview | null; asked: LogFormat | null };
export type LogImportAction =
  { type: 'chosen'; file: File } | { type: 'corrected'; format: LogFormat } | { type: 'read'; preview: LogPreview };

export const NOTHING_CHOSEN: LogImportState = { file: null, preview: null, asked: null };

/** Another file is read anew; while the next reading of the same one is on its way, the last one stays on screen. */
export function logImportReducer(state: LogImportState, action: LogImportAction): LogImportState {
  switch (action.type) {
    case 'chosen':
      return { ...NOTHING_CHOSEN, file: action.file };
    // A second correction is one of the first, however long that one takes.
    case 'corrected':
      return { ...state, asked: action.format };
    case 'read':
      return state.file ? { ...state, preview: action.preview, asked: null } : state;
    default:
      return action satisfies never;
  }
}

/** What was done with the whole file: checked, imported, or neither. */
export type Done = 'checked' | 'imported' | null;
/** The one button that leads on: the whole file is checked before anything of it is written. */
export const leadsOn = (done: Done): 'check' | 'import' => (done === 'checked' ? 'import' : 'check');
