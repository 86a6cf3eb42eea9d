import { sensor } from '@bright-keeper/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useItem } from '../gear';
import { FacingMap } from './FacingMap';
import { factsOf, rowsOf, sensorOf, stopNear } from './framesView';
import { useFrames } from './queries';

/** Where the specks of the last frame lie, as one faces the sensor that is about to be cleaned. Nothing without a frame. */
export function SpecksAtTheBench({ itemId }: { itemId: string }) {
  const item = useItem(itemId);
  const frames = useFrames(itemId);
  const [view, setView] = useState<sensor.SensorView>('on-back-from-base');
  const last = frames.data?.frames.at(-1);
  if (!item.data || !frames.data || !last) return null;
  const story = sensor.storyOf(frames.data.frames.map(factsOf), frames.data.dismissed, 'self');
  const format = sensorOf(item.data.traits);
  const rows = rowsOf(story.chapters.at(-1)!, last, format, view, stopNear(last.workingAt));
  return (
    <section className="sheet space-y-2 p-4" aria-label="Where the specks lie">
      <h3 className="font-semibold">Where the specks of the last frame lie</h3>
      <FacingMap rows={rows} format={format} view={view} selected={null} onView={setView} />
      <Link className="link text-sm" to={`/gear/${itemId}/frames`}>
        A new frame afterwards tells whether it helped
      </Link>
    </section>
  );
}
