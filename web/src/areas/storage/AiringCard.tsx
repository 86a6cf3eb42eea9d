import type { Airing } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';
import { outside } from '../../outside';
import { Section } from '../../ui/parts';
import { useMoment } from '../../ui/when';

/** What opening does now, in a sentence. */
export function nowWords({ by, name, now }: Airing): string | null {
  const air = by === 'room' ? `the air of ${name}` : 'the air outside';
  const open = by === 'room' ? 'Opening it' : 'Opening the windows';
  switch (now) {
    case 'dries':
      return `${open} now dries it: ${air} holds less water.`;
    case 'wets':
      return `Keep it shut now: ${air} holds more water than it does.`;
    case 'neither':
      return `${open} now changes little: ${air} holds about as much water.`;
    case null:
      return null;
    default:
      return now satisfies never;
  }
}

const EFFECT: Record<storage.AiringSpan['effect'], string> = { dries: 'drier', wets: 'damper' };

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
                  {spans(effect).map(({ from, to, byGm3 }) => (
                    <li key={from}>
                      {moment(Math.max(present, Date.parse(from)))} to {moment(Date.parse(to))}, up to {byGm3.toFixed(1)} g/m³{' '}
                      {EFFECT[effect]}
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
