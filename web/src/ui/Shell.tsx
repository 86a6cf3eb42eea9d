import { Aperture, Archive, BookOpen, CalendarCheck, CalendarDays, PackageOpen, Settings, SprayCan, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { Guarded } from './Guarded';
import { ButtonLink, Empty, Page } from './parts';

type Station = { to: string; name: string; icon: LucideIcon };

/** The stations in the order the work goes; Settings at the far end. */
const STATIONS: Station[] = [
  { to: '/', name: 'Today', icon: CalendarCheck },
  { to: '/gear', name: 'Gear', icon: Aperture },
  { to: '/clean', name: 'Clean', icon: SprayCan },
  { to: '/storage', name: 'Storage', icon: Archive },
  { to: '/calendar', name: 'Calendar', icon: CalendarDays },
  { to: '/supplies', name: 'Supplies', icon: PackageOpen },
  { to: '/handbook', name: 'Handbook', icon: BookOpen },
  { to: '/settings', name: 'Settings', icon: Settings },
];

/** On a phone the first five lie at the bottom edge; the rest stands at the top. */
const AT_THE_FOOT = 5;
const AT_THE_TOP = STATIONS.slice(AT_THE_FOOT);

const railLink = ({ isActive }: { isActive: boolean }) =>
  `flex min-h-11 items-center gap-2 border-b-2 px-3 ${isActive ? 'border-lamp font-semibold' : 'border-transparent text-soft hover:text-ink'}`;
const footLink = ({ isActive }: { isActive: boolean }) =>
  `flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 border-t-2 text-sm ${isActive ? 'border-lamp font-semibold' : 'border-transparent text-soft'}`;

/** A lens on the light's axis, in the colours of the theme. */
const Mark = () => (
  <svg viewBox="0 0 32 32" className="size-6" aria-hidden="true">
    <rect width="32" height="32" rx="6" className="fill-fill" />
    <path d="M11 5c-4 6-4 16 0 22h10c4-6 4-16 0-22zM3 16h26" fill="none" className="stroke-on-fill" strokeWidth="2" />
  </svg>
);

type ShellProps = { bar?: ReactNode; mark?: ReactNode; onApproach: (to: string) => void };

/** The rail above every page; on a phone it lies along the bottom edge. */
export function Shell({ bar, mark, onApproach }: ShellProps) {
  const approach = (to: string) => ({ onPointerEnter: () => onApproach(to), onFocus: () => onApproach(to) });
  return (
    <div className="min-h-dvh bg-page">
      <a href="#work" className="sr-only focus:not-sr-only focus:absolute focus:bg-sheet focus:p-3">
        Skip to the work
      </a>
      <header className="border-b border-line bg-sheet print:hidden">
        <div className="mx-auto flex max-w-[1200px] items-center px-4 md:px-8">
          <span className="flex items-center gap-2 py-3 pr-2 font-semibold md:pr-8">
            <Mark /> Bright Keeper
          </span>
          <nav aria-label="Stations" className="hidden flex-1 gap-1 md:flex">
            {STATIONS.map(({ to, name, icon: Icon }) => (
              <NavLink
                key={to}
                to={to}
                end={to === '/'}
                {...approach(to)}
                className={(s) => `${railLink(s)} ${to === '/settings' ? 'ml-auto' : ''}`}
              >
                <Icon size={18} aria-hidden="true" /> {name}
              </NavLink>
            ))}
          </nav>
          <div className="ml-auto flex items-center md:ml-2">{mark}</div>
          <div className="flex md:hidden">
            {AT_THE_TOP.map(({ to, name, icon: Icon }) => (
              <NavLink key={to} to={to} aria-label={name} {...approach(to)} className="flex size-11 items-center justify-center">
                <Icon size={20} aria-hidden="true" />
              </NavLink>
            ))}
          </div>
        </div>
      </header>
      {bar}
      <div id="work">
        <Guarded />
      </div>
      <nav
        aria-label="Stations"
        className="fixed inset-x-0 bottom-0 z-10 flex border-t border-line bg-sheet pb-[env(safe-area-inset-bottom)] md:hidden print:hidden"
      >
        {STATIONS.slice(0, AT_THE_FOOT).map(({ to, name, icon: Icon }) => (
          <NavLink key={to} to={to} end={to === '/'} {...approach(to)} className={footLink}>
            <Icon size={20} aria-hidden="true" /> {name}
          </NavLink>
        ))}
      </nav>
    </div>
  );
}

export const NotHere = () => (
  <Page title="Nothing here">
    <Empty
      title="This address leads nowhere"
      action={
        <ButtonLink to="/gear" look="filled">
          Go to the shelf
        </ButtonLink>
      }
    >
      The thing may have been renamed or the link cut short.
    </Empty>
  </Page>
);
