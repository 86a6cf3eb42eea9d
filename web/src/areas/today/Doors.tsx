import { CloudRain, ListPlus, SearchCheck, type LucideIcon } from 'lucide-react';
import { Link } from 'react-router';

const DOORS: readonly { to: string; title: string; what: string; icon: LucideIcon }[] = [
  {
    to: '/gear/new?then=look',
    title: 'One lens that bothers me now',
    what: 'Name it, tap what you see on it, and read what to do with it and what to leave alone.',
    icon: SearchCheck,
  },
  {
    to: '/gear/import',
    title: 'My shelf from a list',
    what: 'A CSV file with names and kinds: see every row before it is taken in.',
    icon: ListPlus,
  },
  {
    to: '/storage/new?then=hygrometer',
    title: 'My cupboard is damp',
    what: 'Say where things live, type in what the dial shows, and read whether it is safe against fungus.',
    icon: CloudRain,
  },
];

/** The three ways into an empty household. */
export const Doors = () => (
  <ul className="grid gap-4 md:grid-cols-3">
    {DOORS.map(({ to, title, what, icon: Icon }) => (
      <li key={to}>
        <Link to={to} className="sheet flex h-full flex-col gap-2 p-5 hover:bg-well">
          <Icon size={28} className="text-lamp" aria-hidden="true" />
          <span className="text-lg font-semibold">{title}</span>
          <span className="text-soft">{what}</span>
        </Link>
      </li>
    ))}
  </ul>
);
