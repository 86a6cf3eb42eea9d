import type { Airing } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';
import { outside } from '../../outside';
import { Section } from '../../ui/parts';
import { useMoment } from '../../ui/when';

/** What opening does now, in a sentence. */
export function nowWords({ by, name, now }: Airing): string | null {
  if (!now) return null;
  const air = by === 'room' ? `the air of ${name}` : 'the air outside';
  const open = by === 'room' ? 'Opening it' : 'Opening the windows';
  const warmed = `${Math.round(now.toPct)} % once it is as warm as in here`;
  switch (now.effect) {
    case 'dries':
      return `${open} now dries it: ${air} is at ${warmed}.`;
    case 'wets':
      return `Keep it shut now: ${air} is at ${warmed}.`;
    case 'neither':
      return `${open} now changes little: ${air} is at ${warmed}.`;
    default:
      return now.effect satisfies never;
  }
}

const EFFECT: Record<storage.AiringSpan['effect'], string> = { dries: 'down to', wets: 'up to' };

/** When opening dries what is inside, and when it wets it. */
export function AiringCard({ airing }: { airing: Airing }) {
  const moment = useMoment();
  const present = outside.now().getTime();
  const ahead = airing.hours.filter((h) => Date.parse(h.to) > present);
  const now = nowWords(airing);
  const spans = (effect: storage.AiringSpan['effect']) => ahead.filter((h) => h.effect === effect);
  if (now === null && ahead.length === 0) return null;
  return (
    <Section title="When to open">
      <div className="sheet space-y-2 p-4">
        {now && <p>{now}</p>}
        {(['dries', 'wets'] as const).map(
          (effect) =>
            spans(effect).length > 0 && (
              <div key={effect}>
                <h3 className="text-sm font-semibold">{effect === 'dries' ? 'Opening dries' : 'Opening wets'}</h3>
                <ul className="text-sm text-soft">
                  {spans(effect).map(({ from, to, toPct }) => (
                    <li key={from}>
                      {moment(Math.max(present, Date.parse(from)))} to {moment(Date.parse(to))}, {EFFECT[effect]} {Math.round(toPct)} %
                    </li>
                  ))}
                </ul>
              </div>
            ),
        )}
        {ahead.length > 0 && (
          <p className="text-sm text-soft">
            By the forecast, and while the room holds as much water as now. Ten minutes wide open are enough.
          </p>
        )}
      </div>
    </Section>
  );
}
