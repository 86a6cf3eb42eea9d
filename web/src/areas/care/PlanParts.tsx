import { care } from '@bright-keeper/core';
import { becauseWords, money } from '@bright-keeper/words';
import { ShieldAlert } from 'lucide-react';
import { Link } from 'react-router';
import { Section } from '../../ui/parts';
import { surfaceTitle, wearWords } from '../../ui/words';
import { VapourLines } from './VapourLines';
import { amountWords, minutesWords } from './words';

export const SurfaceTabs = ({
  surfaces,
  plan,
  selected,
  onSelect,
}: {
  surfaces: readonly care.Surface[];
  plan: care.CleaningPlan;
  selected: care.Surface;
  onSelect: (s: care.Surface) => void;
}) => (
  <ol aria-label="Surfaces in working order" className="mt-3 space-y-1">
    {surfaces.map((surface, i) => {
      const steps = plan.steps.filter((s) => s.surface === surface);
      const touches = steps.filter((s) => s.contact).length;
      return (
        <li key={surface}>
          <button
            type="button"
            aria-pressed={surface === selected}
            onClick={() => onSelect(surface)}
            className={`flex min-h-11 w-full items-center gap-3 rounded border px-3 text-left ${surface === selected ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line bg-sheet hover:bg-well'}`}
          >
            <span className="text-soft">{i + 1}</span>
            <span className="flex-1">{surfaceTitle(surface)}</span>
            <span className={`text-sm font-normal ${surface === selected ? '' : 'text-soft'}`}>
              {steps.length === 0 ? 'no steps' : `at most ${touches} ${touches === 1 ? 'touch' : 'touches'}`}
            </span>
          </button>
        </li>
      );
    })}
  </ol>
);

/** Until the drawer is all there is, what it does not list is assumed. */
export const DrawerNote = () => (
  <p className="text-sm text-soft">
    What the drawer does not list is assumed at hand.{' '}
    <Link className="link" to="/supplies">
      Is the drawer all you have?
    </Link>
  </p>
);

/** Before the first wet clean of a sensor: the same decisions where nothing lies open. */
export const PractiseFirst = () => (
  <p className="rounded bg-lamp-tint px-4 py-3">
    This would be your first wet clean of a sensor.{' '}
    <Link className="link" to="/practice?run=sensor">
      Practise it first, without a sensor
    </Link>
    : a few cases, with what each choice would have done.
  </p>
);

type Reasoned = { surface: care.Surface } & care.Because;
type ReasonListProps<E extends Reasoned> = { title: string; entries: readonly E[]; named?: (entry: E) => string };
export const ReasonList = <E extends Reasoned>({ title, entries, named = ({ surface }) => surfaceTitle(surface) }: ReasonListProps<E>) =>
  entries.length === 0 ? null : (
    <Section title={title}>
      <ul className="sheet divide-y divide-line">
        {entries.map((e, i) => (
          <li key={i} className="px-4 py-2">
            <span className="font-medium">{named(e)}</span>
            <span className="block text-sm text-soft">{becauseWords(e)}</span>
          </li>
        ))}
      </ul>
    </Section>
  );

export const Cautions = ({ cautions, uses }: { cautions: readonly care.Caution[]; uses: readonly care.Use[] }) =>
  cautions.length === 0 ? null : (
    <Section title="Take care">
      <ul className="space-y-2">
        {cautions.map(({ hazard }) => (
          <li key={hazard} className="flex gap-3 rounded bg-act-tint px-4 py-3">
            <ShieldAlert className="mt-0.5 shrink-0 text-act" size={20} aria-hidden="true" />
            <p>
              <span className="font-semibold">{care.HAZARDS[hazard].name}.</span> {care.HAZARDS[hazard].caution}{' '}
              <span className="font-medium">{wearWords(care.HAZARDS[hazard].wear)}</span>
            </p>
          </li>
        ))}
      </ul>
      <div className="mt-2 space-y-1">
        <VapourLines uses={uses} />
      </div>
    </Section>
  );

export const Missing = ({ missing }: { missing: readonly care.Missing[] }) =>
  missing.length === 0 ? null : (
    <Section title="Missing">
      <ul className="sheet divide-y divide-line">
        {missing.map((m, i) => (
          <li key={i} className="px-4 py-2">
            {becauseWords(m)}
            {m.substitute && <span className="text-soft"> Instead: {care.thingName(m.substitute)}.</span>}
          </li>
        ))}
      </ul>
    </Section>
  );

export function Totals({ plan, currency }: { plan: care.CleaningPlan; currency: string }) {
  const { minutes, contacts, materials, cost } = plan.totals;
  return (
    <div>
      <dl className="grid grid-cols-3 gap-4 text-center">
        {[
          ['At most', minutesWords(minutes)],
          ['Touches', `${contacts} at most`],
          ['Materials', money(cost, currency)],
        ].map(([term, value]) => (
          <div key={term} className="rounded bg-well py-2">
            <dt className="text-sm text-soft">{term}</dt>
            <dd className="text-lg font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      {materials.length > 0 && (
        <p className="mt-2 text-sm text-soft">Have ready: {materials.map((use) => amountWords(use)).join(' · ')}.</p>
      )}
    </div>
  );
}
