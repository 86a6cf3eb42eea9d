import { care } from '@bright-keeper/core';
import { surfaceTitle } from '../../ui/words';
import { BigButton } from './BigButton';
import { READING_WORDS } from './words';

type Props = { step: care.Step; act: (event: care.BenchEvent) => void };

/** Every rung was climbed and something is still there: what it is decides what comes next, so it is asked before it is said. */
export const Reading = ({ step, act }: Props) => (
  <div className="space-y-4">
    <p className="text-soft">
      <span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · after the last gentle way
    </p>
    <h2 className="text-2xl leading-none font-semibold">What is it that stays?</h2>
    <p className="text-lg">Turn it under the slanted lamp once more, without touching it.</p>
    <div className="grid gap-2 sm:grid-cols-2">
      {care.READINGS.map((reading) => (
        <BigButton
          key={reading}
          hint={READING_WORDS[reading].tell}
          onClick={() => act({ type: 'reading', surface: step.surface, reading })}
        >
          {READING_WORDS[reading].name}
        </BigButton>
      ))}
    </div>
  </div>
);

/** “I am out” came after the shutter had closed: whether anything was inside decides. */
export const Late = ({ step, act }: Props) => (
  <div className="space-y-4" role="alert">
    <h2 className="text-2xl leading-none font-semibold text-act">The shutter closed before you said so</h2>
    <p className="text-lg">Do not press the release again. Was anything inside when it closed?</p>
    <BigButton className="w-full" hint="then look at the sensor" onClick={() => act({ type: 'late', step: step.id, inside: false })}>
      Nothing was inside
    </BigButton>
    <BigButton className="w-full" hint="stop, and hand it over" onClick={() => act({ type: 'late', step: step.id, inside: true })}>
      Something was inside
    </BigButton>
  </div>
);
