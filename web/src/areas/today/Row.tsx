import type { Today } from '@bright-keeper/contract';
import type { LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** One thing that wants the keeper, with its one action; on a phone the action stands below the words. */
export function Row({
  icon: Icon,
  tone,
  title,
  detail,
  action,
}: {
  icon: LucideIcon;
  tone: string;
  title: ReactNode;
  detail: ReactNode;
  action: ReactNode;
}) {
  return (
    <li className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 p-4 sm:flex-nowrap">
      <Icon size={24} className={`shrink-0 ${tone}`} aria-hidden="true" />
      <div className="min-w-0 flex-1 basis-60">
        <div className="flex flex-wrap items-center gap-2">{title}</div>
        <p className="text-sm text-soft">{detail}</p>
      </div>
      <div className="ml-auto">{action}</div>
    </li>
  );
}

export const ItemLink = ({ item }: { item: Today['open'][number]['item'] }) => (
  <Link to={`/gear/${item.id}`} className="font-semibold hover:underline">
    {item.name}
  </Link>
);
