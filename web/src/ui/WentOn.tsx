import { Button, Notice } from './parts';

/** A saved document has a newer version that was made in another window: offer it. */
export const WentOn = <Doc,>({ what, newer, onTake }: { what: string; newer: Doc | null; onTake: (doc: Doc) => void }) =>
  newer === null ? null : (
    <Notice tone="attention">
      This {what} went on in another window.{' '}
      <Button className="ml-2" onClick={() => onTake(newer)}>
        Take that state
      </Button>
    </Notice>
  );
