import type { Alert } from '@bright-keeper/contract';
import { BatteryWarning, Droplets, PackageOpen, Sparkles, Sun, Wind, type LucideIcon } from 'lucide-react';
import { ButtonLink } from '../../ui/parts';
import { At } from '../../ui/when';

const ICONS: Record<Alert['cause'], LucideIcon> = {
  fungus: Sparkles,
  damp: Droplets,
  'gel-spent': PackageOpen,
  silent: BatteryWarning,
  'too-closed': Wind,
  'too-dry': Sun,
};

/** What wants the keeper about air, one row a cause, each with its one action. */
export const AlertList = ({ alerts }: { alerts: readonly Alert[] }) => (
  <ul className="space-y-2">
    {alerts.map((alert) => {
      const Icon = ICONS[alert.cause];
      return (
        <li key={alert.id} className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 p-4 sm:flex-nowrap">
          <Icon size={24} className={`shrink-0 ${alert.tone === 'act' ? 'text-act' : 'text-lamp'}`} aria-hidden="true" />
          <div className="min-w-0 flex-1 basis-48">
            <p>
              <span className="font-semibold">{alert.placeName}</span>: {alert.title}
            </p>
            <p className="text-sm text-soft">
              {alert.why}{' '}
              {alert.since && (
                <>
                  Since <At instant={alert.since} />.
                </>
              )}
            </p>
          </div>
          <ButtonLink className="ml-auto" to={alert.action.to}>
            {alert.action.label}
          </ButtonLink>
        </li>
      );
    })}
  </ul>
);
