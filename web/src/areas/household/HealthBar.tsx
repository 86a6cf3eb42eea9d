import { HardDrive, TriangleAlert } from 'lucide-react';
import { sizeWords } from '../../ui/size';
import { useHealth } from './queries';

/** Stands above every page while nothing new can be kept, and says what to do; gone by itself when it can again. */
export function HealthBar() {
  const { data } = useHealth();
  const full = data?.disk && !data.disk.enough ? data.disk : null;
  if (!data || (!full && data.database.answers && data.database.ours)) return null;
  const Icon = full ? HardDrive : TriangleAlert;
  return (
    <div role="alert" className="bg-act-tint print:hidden">
      <p className="mx-auto flex max-w-[1200px] items-start gap-3 px-4 py-3 md:px-8">
        <Icon className="mt-0.5 shrink-0 text-act" size={20} aria-hidden="true" />
        {full ? (
          <span>
            <strong>The disk is nearly full: {sizeWords(full.freeBytes)} are left.</strong> Everything can be read, but nothing new is taken
            until {sizeWords(full.marginBytes)} are free. Make room on the disk; this goes on by itself then.
          </span>
        ) : !data.database.ours ? (
          <span>
            <strong>The data is not where it was.</strong> Its folder was removed, moved or replaced while the program ran, and nothing is
            kept from now on. Stop the program, put the folder back, and start it again.
          </span>
        ) : (
          <span>
            <strong>The database does not answer.</strong> Nothing can be read or saved until it does. Wait a moment before you go on.
          </span>
        )}
      </p>
    </div>
  );
}
