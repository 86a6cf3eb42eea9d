import type { SoilSeen } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { useState } from 'react';
import { SoilPicture } from '../../ui/lightpath/SoilPicture';
import { Button } from '../../ui/parts';
import { capital } from '../../ui/words';

type Props = { mayShow: readonly care.Soil[]; findings: readonly SoilSeen[]; onSee: (soil: care.Soil, severity: care.Severity) => void };

const LIKELY = 8;
const USUAL: care.Severity = 2;
const SEVERITIES = [1, 2, 3, 4] as const satisfies readonly care.Severity[];

/** One soil that was seen: what it looks like from a trace to heavy, to compare and tap. */
function SeenSoil({ soil, severity, onSee }: { soil: care.Soil; severity: care.Severity; onSee: Props['onSee'] }) {
  const { name, tell } = care.SOILS[soil];
  return (
    <fieldset className="rounded border border-lamp p-3">
      <legend className="px-1 font-semibold">{capital(name)}</legend>
      <p className="mb-2 text-sm text-soft">{tell}</p>
      <div className="grid grid-cols-4 gap-2">
        {SEVERITIES.map((s) => (
          <button
            key={s}
            type="button"
            aria-pressed={s === severity}
            onClick={() => onSee(soil, s)}
            className={`rounded border p-1 text-sm ${s === severity ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line hover:bg-well'}`}
          >
            <SoilPicture soil={soil} severity={s} className="mx-auto w-full max-w-20" />
            {care.SEVERITY_NAMES[s]}
          </button>
        ))}
      </div>
      <Button look="quiet" className="mt-1" onClick={() => onSee(soil, 0)}>
        Not there after all
      </Button>
    </fieldset>
  );
}

/** Pattern pictures of what may lie here, likeliest first: tap what you see, then how much of it. */
export function FindingsPicker({ mayShow, findings, onSee }: Props) {
  const [all, setAll] = useState(false);
  const open = mayShow.filter((soil) => !findings.some((f) => f.soil === soil));
  const shown = all ? open : open.slice(0, Math.max(0, LIKELY - findings.length));
  return (
    <div className="space-y-3">
      {findings.map(({ soil, severity }) => (
        <SeenSoil key={soil} soil={soil} severity={severity} onSee={onSee} />
      ))}
      <div>
        <p className="mb-1.5 text-sm text-soft">{findings.length > 0 ? 'Anything else?' : 'What do you see?'}</p>
        <div className="grid grid-cols-3 gap-2 sm:grid-cols-4">
          {shown.map((soil) => (
            <button
              key={soil}
              type="button"
              title={care.SOILS[soil].tell}
              onClick={() => onSee(soil, USUAL)}
              className="rounded border border-line p-1.5 text-sm hover:bg-well"
            >
              <SoilPicture soil={soil} severity={USUAL} className="mx-auto mb-1 w-14" />
              {care.SOILS[soil].name}
            </button>
          ))}
        </div>
        {open.length > shown.length && (
          <Button look="quiet" onClick={() => setAll(true)}>
            Show {open.length - shown.length} more
          </Button>
        )}
      </div>
    </div>
  );
}
