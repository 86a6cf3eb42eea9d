import type { Today } from '@bright-keeper/contract';
import { timerWords } from '@bright-keeper/words';
import { Hourglass } from 'lucide-react';
import { Button, Section } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import { useRemoveTimer } from '../storage';
import { Row } from './Row';

/** Things that warm up in their bags. */
export function Timers({ timers }: { timers: Today['timers'] }) {
  const remove = useRemoveTimer();
  const now = useNow(timers.length > 0 ? 1000 : null);
  if (timers.length === 0) return null;
  return (
    <Section title="Waiting">
      <ul className="space-y-2">
        {timers.map((timer) => {
          const leftMin = (Date.parse(timer.endsAt) - now.getTime()) / 60_000;
          const over = leftMin <= 0;
          return (
            <Row
              key={timer.id}
              icon={Hourglass}
              tone={over ? 'text-glass' : 'text-lamp'}
              title={<span className="font-semibold">{timerWords(timer)}</span>}
              detail={over ? 'The time is over: it may come out.' : `Leave it shut for ${Math.ceil(leftMin)} min more.`}
              action={
                <Button disabled={remove.isPending} onClick={() => remove.mutate(timer.id)}>
                  {over ? 'It is out' : 'Stop waiting'}
                </Button>
              }
            />
          );
        })}
      </ul>
    </Section>
  );
}
