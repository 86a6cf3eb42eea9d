import type { ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { ButtonLink, Section } from '../../ui/parts';

/** What can be measured of a thing from pictures; nothing where nothing can. */
export function SensorDoors({ item }: { item: Pick<ItemPage, 'id' | 'kind' | 'traits' | 'archivedAt'> }) {
  const has = (surface: care.Surface) => care.hasSurface(item.kind, item.traits, surface);
  const isLens = has('front-glass') && has('lens-mount');
  if (item.archivedAt || !(has('sensor-cover') || isLens)) return null;
  return (
    <Section title="Measured from pictures">
      <div className="sheet flex flex-wrap gap-2 p-4">
        {has('sensor-cover') && <ButtonLink to={`/gear/${item.id}/frames`}>Dust on the sensor</ButtonLink>}
        {isLens && <ButtonLink to={`/gear/${item.id}/front-mark`}>Does a mark show?</ButtonLink>}
        {isLens && <ButtonLink to={`/gear/${item.id}/glare`}>Haze in numbers</ButtonLink>}
      </div>
    </Section>
  );
}
