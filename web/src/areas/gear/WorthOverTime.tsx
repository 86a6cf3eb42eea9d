import { routes, type WorthOverTime as Told } from '@bright-keeper/contract';
import { longDate, money } from '@bright-keeper/words';
import { useQuery } from '@tanstack/react-query';
import { http } from '../../api/http';
import { keys } from '../../api/keys';
import { Section } from '../../ui/parts';
import { useCurrency } from '../settings';

const [WIDTH, HEIGHT, FOOT, HEAD, SIDE] = [640, 150, 22, 24, 8] as const;

/** What the shelf was worth at the end of each month: bars, with the first and the last in words. */
function Bars({ days, currency }: Told & { currency: string }) {
  const most = Math.max(...days.map(({ sum }) => sum), 1);
  const step = (WIDTH - 2 * SIDE) / days.length;
  const heightOf = (sum: number) => ((HEIGHT - FOOT - HEAD) * sum) / most;
  const said = (sum: number) => (currency === '' ? sum.toLocaleString('en') : money(Math.round(sum), currency));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={`Worth over time: ${days.map(({ day, sum }) => `${longDate(day)} ${said(sum)}`).join('; ')}`}
    >
      {days.map(({ day, sum }, i) => (
        <rect
          key={day}
          x={SIDE + i * step + step * 0.15}
          y={HEIGHT - FOOT - heightOf(sum)}
          width={step * 0.7}
          height={Math.max(1, heightOf(sum))}
          className={i === days.length - 1 ? 'fill-lamp' : 'fill-soft'}
        />
      ))}
      <text x={SIDE} y={HEIGHT - 4} fontSize={13} className="fill-soft">
        {days[0]!.day}
      </text>
      <text x={WIDTH - SIDE} y={HEIGHT - 4} fontSize={13} textAnchor="end" className="fill-soft">
        today
      </text>
      <text x={WIDTH - SIDE} y={14} fontSize={14} textAnchor="end" className="fill-ink">
        {said(days.at(-1)!.sum)}
      </text>
      <text x={SIDE} y={14} fontSize={14} className="fill-soft">
        {said(days[0]!.sum)} then
      </text>
    </svg>
  );
}

/** The worth of the shelf over time, from what was told of each thing then; nothing while there is but one day of it. */
export function WorthOverTime() {
  const currency = useCurrency();
  const worth = useQuery({ queryKey: keys.worth, queryFn: () => http.get<Told>(routes.gearWorth) });
  const days = worth.data?.days ?? [];
  const last = days.at(-1);
  if (!last || days.length < 2 || days.every(({ known }) => known === 0)) return null;
  return (
    <Section title="Worth over time" className="mt-6 print:hidden">
      <div className="sheet p-4">
        <Bars days={days} currency={currency} />
        <p className="mt-2 text-sm text-soft">
          By what each thing is insured for, else worth, else was paid, as it was told then; known of {last.known} of {last.things} lines
          today.
        </p>
      </div>
    </Section>
  );
}
