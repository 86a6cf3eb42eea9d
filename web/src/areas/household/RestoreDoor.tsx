import { FileButton } from '../../ui/FilePicker';
import { Notice } from '../../ui/parts';
import { FileFailure } from './FileFailure';
import { useRestore } from './queries';

/** The way back into a household from its backup, where there is none yet. */
export function RestoreDoor() {
  const restore = useRestore();
  return (
    <section className="sheet space-y-3 p-4" aria-label="Restore a backup">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p className="max-w-prose">
          <strong className="font-semibold">You have kept a household before?</strong> Choose a backup of it, or the file with everything,
          and it is all here again.
        </p>
        <FileButton accept=".zip,application/zip" onChoose={(file) => restore.mutate(file)}>
          Restore a backup
        </FileButton>
      </div>
      {restore.isPending && <p role="status">Reading the file, and then every row of it…</p>}
      {restore.isError && <FileFailure error={restore.error} />}
      {restore.data && <Notice tone="good">Restored: {restore.data.rows} rows.</Notice>}
    </section>
  );
}
