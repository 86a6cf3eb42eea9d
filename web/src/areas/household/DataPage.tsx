import { routes, type Health } from '@bright-keeper/contract';
import { Download } from 'lucide-react';
import { ButtonLink, Failure, Loading, Page, Section } from '../../ui/parts';
import { BackupSection } from './BackupSection';
import { sizeWords } from '../../ui/size';
import { TakeIn } from './TakeIn';
import { useBackups, useHealth } from './queries';

const KEPT_IN: Record<Health['database']['kind'], string> = {
  embedded: 'Kept in a database of its own, on this machine.',
  postgres: 'Kept on a PostgreSQL server.',
};

const HowItIsKept = ({ health: { version, database, disk } }: { health: Health }) => (
  <Section title="How it is kept">
    <div className="sheet space-y-2 p-4">
      <p>
        {KEPT_IN[database.kind]} What the program says is saved is on the disk by then: a power cut costs what was being typed, and nothing
        else.
      </p>
      {disk && (
        <p>
          {sizeWords(disk.freeBytes)} are free on the disk; below {sizeWords(disk.marginBytes)} nothing new is taken, so that what is there
          stays whole.
        </p>
      )}
      <p className="text-sm text-soft">Version {version}</p>
    </div>
  </Section>
);

const TakeOut = () => (
  <Section title="Everything in one file">
    <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
      <p className="max-w-prose">
        All there is, the archived too, in formats other programs read: JSON with its schema, tables for a spreadsheet, readings, calendar,
        photographs. It can be taken in again, here or elsewhere. Keys of hygrometers and calendar addresses are in it only as sums that
        open nothing.
      </p>
      <a
        href={routes.exportAll}
        download
        className="inline-flex min-h-11 items-center gap-2 rounded border border-soft bg-sheet px-4 hover:bg-well"
      >
        <Download size={18} aria-hidden="true" /> Save everything
      </a>
    </div>
  </Section>
);

const WhoChangedWhat = () => (
  <Section title="Who changed what">
    <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
      <p className="max-w-prose">Every change is noted before it is answered: by you, or by a hygrometer with its key.</p>
      <ButtonLink to="/settings/data/trail">See the changes</ButtonLink>
    </div>
  </Section>
);

/** Where everything is kept, how it is kept safe, and how it gets out and in. */
export function DataPage() {
  const backups = useBackups();
  const health = useHealth();
  if (backups.isPending || health.isPending) return <Loading />;
  if (backups.isError) return <Failure error={backups.error} onRetry={() => void backups.refetch()} />;
  if (health.isError) return <Failure error={health.error} onRetry={() => void health.refetch()} />;
  return (
    <Page title="Your data" sub="All of it is yours, and can leave whole.">
      <div className="space-y-8">
        <BackupSection backups={backups.data} />
        <TakeOut />
        <TakeIn />
        <WhoChangedWhat />
        <HowItIsKept health={health.data} />
      </div>
    </Page>
  );
}
