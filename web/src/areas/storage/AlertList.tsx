import type { Alert } from '@bright-keeper/contract';
import { alertWords } from '@bright-keeper/words';
import { BatteryWarning, CircleHelp, Droplets, Hourglass, Luggage, Sprout, Sun, type LucideIcon } from 'lucide-react';
import { ButtonLink } from '../../ui/parts';
import { At } from '../../ui/when';

const ICONS: Record<Alert['cause'], LucideIcon> = {
  fungus: Sprout,
  damp: Droplets,
  'gel-spent': Hourglass,
  silent: BatteryWarning,
  'too-closed': Luggage,
  'too-dry': Sun,
};

/** What it is about: growth, damp, a log that cannot tell … */
const iconOf = (alert: Alert): LucideIcon => (alert.cause === 'fungus' && alert.threat === 'thin-log' ? CircleHelp : ICONS[alert.cause]);

/** Where the one action of an alert leads. */
export function alertRoute(alert: Alert): string {
  switch (alert.cause) {
    case 'fungus':
      return alert.threat === 'thin-log' ? '/hygrometers' : `/storage/${alert.placeId}/what-if`;
    case 'damp':
      return `/storage/${alert.placeId}/what-if`;
    case 'too-dry':
    case 'gel-spent':
      return `/storage/${alert.placeId}`;
    case 'too-closed':
      return `/gear/${alert.itemId}`;
    case 'silent':
      return `/hygrometers?device=${alert.deviceId}`;
    default:
      return alert satisfies never;
  }
}

/** What wants the keeper about air, one row a cause, each with its one action. */
export const AlertList = ({ alerts }: { alerts: readonly Alert[] }) => (
  <ul className="space-y-2">
    {alerts.map((alert) => {
      const Icon = iconOf(alert);
      const { title, why, action } = alertWords(alert);
      return (
        <li key={alert.id} className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 p-4 sm:flex-nowrap">
          <Icon size={24} className={`shrink-0 ${alert.tone === 'act' ? 'text-act' : 'text-lamp'}`} aria-hidden="true" />
          <div className="min-w-0 flex-1 basis-48">
            <p>
              <span className="font-semibold">{alert.placeName}</span>: {title}
            </p>
            <p className="text-sm text-soft">
              {why}{' '}
              {alert.since && (
                <>
                  Since <At instant={alert.since} />.
                </>
              )}
            </p>
          </div>
          <ButtonLink className="ml-auto" to={alertRoute(alert)}>
            {action}
          </ButtonLink>
        </li>
      );
    })}
  </ul>
);
