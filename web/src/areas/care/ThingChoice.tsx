import type { Supply } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { capital } from '../../ui/words';
import { useDrawer } from '../supplies';

type Props = { step: care.Step; taken: care.BenchState['taken'][string]; act: (event: care.BenchEvent) => void };

/** What of a step can be taken from more than one thing in the drawer. */
const choicesOf = (step: care.Step, drawer: readonly Supply[]) =>
  step.takes
    .filter((t) => t.thingId)
    .map((t) => ({ ...t, others: supplies.alternativesFor(step, t.id, drawer) }))
    .filter(({ others, thingId }) => others.some((o) => o.id !== thingId));

/** This cloth or that one: wear is counted on the one that was really used. */
export function ThingChoice({ step, taken, act }: Props) {
  const drawer = useDrawer();
  return choicesOf(step, drawer.data?.supplies ?? []).map(({ id, thingId, others }) => (
    <label key={id} className="flex flex-wrap items-center gap-3">
      <span className="text-soft">Which {care.thingName(id)}?</span>
      <select
        className="input w-auto"
        value={taken[id] ?? thingId}
        onChange={(e) => act({ type: 'take', step: step.id, id, thingId: e.target.value })}
      >
        {others.map((o) => (
          <option key={o.id} value={o.id}>
            {capital(supplies.labelOf(o))}
          </option>
        ))}
      </select>
    </label>
  ));
}
