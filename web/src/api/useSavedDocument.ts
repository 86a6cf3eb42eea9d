import { useEffect, useState, useSyncExternalStore } from 'react';
import { SavedDocument, type SavedDocumentOptions, type Versioned } from './SavedDocument';

/** A saved document on a screen: made once for what was loaded, read whenever it moves, and in step with what others change. */
export function useSavedDocument<Doc extends Versioned, Draft>(options: SavedDocumentOptions<Doc, Draft>) {
  const [doc] = useState(() => new SavedDocument(options));
  const { loaded } = options;
  useEffect(() => doc.follow(loaded), [doc, loaded]);
  const snapshot = useSyncExternalStore(doc.subscribe, doc.get);
  return { ...snapshot, change: doc.change, takeNewer: doc.takeNewer, settled: doc.settled };
}
