import { supplies } from '@bright-keeper/core';
import { Button, Failure, Section } from '../../ui/parts';
import { useStartDrawer } from './queries';

/** A drawer in one tap: what one who works like this usually has, to be corrected afterwards. */
export function Starters() {
  const start = useStartDrawer();
  return (
    <Section title="Or begin with what most have" aside="one tap; correct it afterwards">
      {start.error && <Failure error={start.error} />}
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {supplies.STARTER_IDS.map((id) => {
          const { name, what, things } = supplies.starterFacts(id);
          return (
            <li key={id} className="sheet flex flex-col justify-between gap-3 p-4">
              <p>
                <span className="block font-semibold">{name}</span>
                <span className="text-sm text-soft">
                  {what} {things.length} things.
                </span>
              </p>
              <Button disabled={start.isPending} onClick={() => start.mutate(id)}>
                Begin with this
              </Button>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
