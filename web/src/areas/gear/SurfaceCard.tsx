import type { ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { becauseWords, gentleWords } from '@bright-keeper/words';
import { FacePicture } from '../../ui/lightpath/SoilPicture';
import { surfaceLook, TONE_CLASSES } from '../../ui/lightpath/surfaceLook';
import { VerdictChip } from '../../ui/parts';
import { At } from '../../ui/when';
import { surfaceTitle, touchesWords } from '../../ui/words';

type Props = { item: ItemPage; surface: care.Surface; surfaces: readonly care.Surface[]; onSelect: (surface: care.Surface) => void };

/** What so many clean touches are beside the rub test that a hard coating is made to stand. */
const CoatingNote = ({ touches }: { touches: number }) => {
  const share = care.coatingShare({ touches }) * 100;
  return (
    <span
      title={`${care.RUB_TESTS.moderate.name}: ${care.RUB_TESTS.moderate.strokes} strokes at ${care.RUB_TESTS.moderate.forceN} N with ${care.RUB_TESTS.moderate.with}. ISO 9211-4, from memory.`}
    >
      {' '}
      Clean wipes that gentle are about {share < 1 ? 'one' : Math.round(share)} % of a rub test; one dragged grain is worse than all of
      them.
    </span>
  );
};

/** What is known of one surface, and a way to every other one. */
export function SurfaceCard({ item, surface, surfaces, onSelect }: Props) {
  const state = item.surfaces.find((s) => s.surface === surface);
  const touches = item.contacts[surface] ?? 0;
  const word = item.gentleWords[surface];
  const layers = (state?.findings ?? []).map((f) => ({ pattern: care.SOILS[f.soil].pattern, severity: f.severity }));
  return (
    <div className="sheet flex flex-col p-4">
      <div className="flex gap-4">
        <FacePicture layers={layers} className="size-24 shrink-0" />
        <div className="min-w-0">
          <h2 className="text-lg font-semibold">{surfaceTitle(surface)}</h2>
          <VerdictChip verdict={state?.verdict ?? null} />
          <p className="mt-1 text-sm text-soft">
            {state ? (
              <>
                As of <At instant={state.knownSince} />.
              </>
            ) : (
              'Not looked at yet.'
            )}{' '}
            {touches > 0 && `${touchesWords(touches)} in 12 months.`}
            {touches > 0 && care.familyOf(surface) === 'glass' && <CoatingNote touches={touches} />}
          </p>
        </div>
      </div>
      {word && <p className="mt-3 rounded bg-lamp-tint px-3 py-2">{gentleWords(word, surface)}</p>}
      {state && (
        <div className="mt-3">
          {state.findings.length === 0 && state.verdict === 'leave' ? (
            <p>{touches > 0 ? 'Nothing is on it that has to go.' : 'Nothing found. A good deed: it was left alone.'}</p>
          ) : (
            <>
              <ul>
                {state.findings.map((f) => (
                  <li key={f.soil}>
                    <span className="font-medium">{care.SOILS[f.soil].name}</span>, {care.SEVERITY_NAMES[f.severity]}
                  </li>
                ))}
              </ul>
              <p className="mt-1 text-sm text-soft">{becauseWords(state.because)}</p>
            </>
          )}
        </div>
      )}
      <ul className="mt-4 flex flex-wrap gap-1.5 border-t border-line pt-3" aria-label="All surfaces">
        {surfaces.map((s) => {
          const look = surfaceLook(
            s,
            item.surfaces.find((k) => k.surface === s),
          );
          const { ink } = TONE_CLASSES[look.tone];
          return (
            <li key={s}>
              <button
                type="button"
                onClick={() => onSelect(s)}
                aria-pressed={s === surface}
                title={look.words}
                className={`min-h-9 rounded border px-2 text-sm ${s === surface ? 'border-lamp bg-lamp-tint font-semibold text-ink' : `border-line bg-page ${ink}`}`}
              >
                {care.SURFACES[s].name}
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
