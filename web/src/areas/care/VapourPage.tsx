import { care } from '@bright-keeper/core';
import { capital, vapourVerdictWords, vapourWords } from '@bright-keeper/words';
import { useChoices, withChoice } from '../../ui/choices';
import { NumberEntry } from '../../ui/numberEntry';
import { Notice, Page } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { AIRING_WORDS, FIELD_IDS, FIELDS, vapourFrom, type VapourView } from './vapourView';

const TONES: Record<care.VapourVerdict, 'good' | 'attention' | 'act'> = { within: 'good', day: 'attention', quarter: 'act', danger: 'act' };

function Answer({ solvent, result }: { solvent: care.Solvent; result: NonNullable<VapourView['result']> }) {
  const { title, does } = vapourVerdictWords(result.verdict);
  return (
    <Notice tone={TONES[result.verdict]}>
      <p className="text-xl font-semibold">{title}</p>
      <p className="mt-1">{does}</p>
      <ul className="mt-2 space-y-1">
        {vapourWords(solvent, result).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </Notice>
  );
}

/** How much vapour a fluid makes in a room, against what may be in the air of a workplace. */
export function VapourPage() {
  const [params, setParams] = useChoices();
  const view = vapourFrom(params);
  const { solvent, airing, entries, result } = view;
  const set = (key: string, value: string) => setParams(withChoice(params, key, value), { replace: true });
  return (
    <Page
      title="Vapour in the room"
      sub="Of drops at the bench little comes into the air; of a bottle spilled in a small shut room it may be too much."
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 p-5 lg:col-span-6">
          <WayButtons
            legend="What goes into the air"
            ways={care.SOLVENT_IDS.map((id) => [id, capital(care.solventFacts(id).name)] as const)}
            chosen={solvent}
            onChoose={(id) => set('solvent', id)}
          />
          <div className="grid gap-4 sm:grid-cols-2">
            {FIELD_IDS.map((field) => (
              <NumberEntry key={field} label={FIELDS[field].label} entry={entries[field]} onChange={(text) => set(field, text)} />
            ))}
          </div>
          <WayButtons
            legend="How the room is aired"
            ways={(Object.keys(care.AIRINGS) as care.AiringOfRoom[]).map((way) => [way, AIRING_WORDS[way]] as const)}
            chosen={airing}
            onChoose={(way) => set('airing', way)}
          />
        </div>
        <div className="space-y-4 lg:col-span-6">
          {result && <Answer solvent={solvent} result={result} />}
          <p className="text-sm text-soft">
            Reckoned as if all of it were in the air at once and evenly. The limits are those of NIOSH for whoever works with it every day;
            the label, its safety sheet and the rules where you are decide. Who is pregnant, ill or young keeps away from it. Vapour of all
            of these takes fire. Methanol goes through the skin as well: gloves.
          </p>
        </div>
      </div>
    </Page>
  );
}
