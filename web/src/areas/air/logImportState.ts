import type { LogPreview } from '@bright-keeper/contract';

/** What the import screen remembers: the file, and how it was last read. */
export type LogImportState = { file: File | null; preview: LogPreview | null };
export type LogImportAction = { type: 'chosen'; file: File } | { type: 'read'; preview: LogPreview };

export const NOTHING_CHOSEN: LogImportState = { file: null, preview: null };

/** Another file is read anew; while the next reading of the same one is on its way, the last one stays on screen. */
export function logImportReducer(state: LogImportState, action: LogImportAction): LogImportState {
  switch (action.type) {
    case 'chosen':
      return { file: action.file, preview: null };
    case 'read':
      return state.file ? { ...state, preview: action.preview } : state;
    default:
      return action satisfies never;
  }
}

/** What was done with the whole file: checked, imported, or neither. */
export type Done = 'checked' | 'imported' | null;
/** The one button that leads on: the whole file is checked before anything of it is written. */
export const leadsOn = (done: Done): 'check' | 'import' => (done === 'checked' ? 'import' : 'check');
