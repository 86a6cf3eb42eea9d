import { useState, useSyncExternalStore } from 'react';
import { SavedDocument, type SavedDocumentOptions, type Versioned } from './SavedDocument';

/** A saved document on a screen: made once for what was loaded, and read whenever it moves. */
export function useSavedDocument<Doc extends Versioned, Draft>(options: SavedDocumentOptions<Doc, Draft>) {
  const [doc] = useState(() => new SavedDocument(options));
  const snapshot = useSyncExternalStore(doc.subscribe, doc.get);
  return { ...snapshot, change: doc.change, takeNewer: doc.takeNewer, settled: doc.settled };
}
