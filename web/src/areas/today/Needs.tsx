import type { Today } from '@bright-keeper/contract';
import { becauseWords } from '@bright-keeper/words';
import { Droplets, PlayCircle, ShieldAlert, Wrench, type LucideIcon } from 'lucide-react';
import { ButtonLink, VerdictChip } from '../../ui/parts';
import { At } from '../../ui/when';
import { findingsWords, surfaceTitle } from '../../ui/words';
import { ItemLink, Row } from './Row';

/** Work that was begun and not finished. */
export const OpenWork = ({ open }: { open: Today['open'] }) => (
  <>
    {open.map((o) => (
      <Row
        key={o.id}
        icon={PlayCircle}
        tone="text-lamp"
        title={<ItemLink item={o.item} />}
        detail={
          <>
            {o.kind === 'look' ? 'A look' : 'A cleaning'} begun <At instant={o.startedAt} /> is not finished.
          </>
        }
        action={<ButtonLink to={o.kind === 'look' ? `/look/${o.id}` : `/bench/${o.id}`}>Go on</ButtonLink>}
      />
    ))}
  </>
);

const LOOKS: Record<Today['needs'][number]['verdict'], { icon: LucideIcon; tone: string }> = {
  isolate: { icon: ShieldAlert, tone: 'text-act' },
  'hand-over': { icon: Wrench, tone: 'text-act' },
  clean: { icon: Droplets, tone: 'text-lamp' },
};

/** The gravest surface with what was found there and why it matters; how many more there are. */
function needReason({ surfaces }: Today['needs'][number]): string {
  const first = surfaces[0]!;
  const more = surfaces.length - 1;
  return `${surfaceTitle(first.surface)}: ${findingsWords(first.findings)}. ${becauseWords(first.because)}${more > 0 ? ` ${more} more ${more === 1 ? 'surface' : 'surfaces'}.` : ''}`;
}

/** Things whose last look asks for something. */
export const Needs = ({ needs }: { needs: Today['needs'] }) => (
  <>
    {needs.map((need) => (
      <Row
        key={need.item.id}
        {...LOOKS[need.verdict]}
        title={
          <>
            <ItemLink item={need.item} />
            <VerdictChip verdict={need.verdict} />
          </>
        }
        detail={needReason(need)}
        action={<ButtonLink to={`/gear/${need.item.id}/plan`}>See the plan</ButtonLink>}
      />
    ))}
  </>
);
