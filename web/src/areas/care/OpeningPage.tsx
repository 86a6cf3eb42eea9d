import type { ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { beforeOpening, DEPTH_NAMES, money, openingWords } from '@bright-keeper/words';
import { useNavigate, useParams } from 'react-router';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { capital } from '../../ui/words';
import { useItem } from '../gear';
import { useSettings } from '../settings';
import { CautionLines } from './CautionLines';
import { WayButtons } from '../../ui/WayButtons';
import { useChoices, withChoice } from '../../ui/choices';
import { useStartTeardown } from './queries';
import { basisWords } from './words';

const EXPERIENCE_WORDS: Record<care.Experience, string> = {
  none: 'I never opened a lens',
  some: 'I opened others',
  'this-type': 'I opened this type before',
};
const ADVICE_WORDS: Record<care.OpeningAdvice['advice'], string> = {
  'answer-first': 'Two questions first',
  'free-filter': 'First free the filter',
  open: 'Go: undo that one ring, slowly',
  service: 'Hand it to a workshop',
  accept: 'Live with it',
};
/** What lies inside a thing, as far as a torch shows it. */
const INSIDE: readonly care.Soil[] = ['fungus', 'haze', 'oil', 'dried-grease', 'internal-dust', 'separation'];

const oneOf = <T extends string>(all: readonly T[], text: string | null): T | null => all.find((a) => a === text) ?? null;

/** What the last look saw inside, the gravest first; fungus where nothing was noted, the graver guess. */
function seenInside(item: ItemPage): { soil: care.Soil; severity: care.Severity } {
  const findings = item.surfaces.flatMap((s) => s.findings).filter((f) => INSIDE.includes(f.soil));
  return findings.sort((a, b) => INSIDE.indexOf(a.soil) - INSIDE.indexOf(b.soil))[0] ?? { soil: 'fungus', severity: 2 };
}

type ChoicesProps<T extends string> = { title: string; options: Record<T, string>; value: T | null; onChange: (value: T) => void };
const Choices = <T extends string>({ title, options, value, onChange }: ChoicesProps<T>) => (
  <WayButtons
    legend={<span className="font-semibold">{title}</span>}
    ways={Object.entries(options) as [T, string][]}
    chosen={value}
    onChoose={onChange}
  />
);

function Opening({ item, currency }: { item: ItemPage; currency: string }) {
  const navigate = useNavigate();
  const [params, setParams] = useChoices();
  const start = useStartTeardown();
  const set = (key: string, value: string) => setParams(withChoice(params, key, value), { replace: true });
  const seen = seenInside(item);
  const soil = oneOf(INSIDE, params.get('soil')) ?? seen.soil;
  const depth = oneOf(care.DEPTHS, params.get('depth'));
  const experience = oneOf(care.EXPERIENCES, params.get('experience'));
  const severity = soil === seen.soil ? seen.severity : 2;
  const advice = care.adviseOpening({ item: { kind: item.kind, traits: item.traits }, soil, severity, depth, experience });
  const begin = () => depth && start.mutate({ itemId: item.id, depth }, { onSuccess: (record) => void navigate(`/teardown/${record.id}`) });
  const { value, servicePrice } = item.traits;
  return (
    <Page title={<>Open it, or not? {item.name}</>} sub="One ring at most, mechanical things only, and only if you accept the risk.">
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-5 p-5 lg:col-span-6">
          <Choices
            title="What is inside?"
            options={Object.fromEntries(INSIDE.map((s) => [s, capital(care.SOILS[s].name)])) as Record<string, string>}
            value={soil}
            onChange={(v) => set('soil', v)}
          />
          <Choices
            title="Where does it lie?"
            options={Object.fromEntries(care.DEPTHS.map((d) => [d, capital(DEPTH_NAMES[d])])) as Record<care.Depth, string>}
            value={depth}
            onChange={(v) => set('depth', v)}
          />
          <Choices
            title="What have you opened before?"
            options={EXPERIENCE_WORDS}
            value={experience}
            onChange={(v) => set('experience', v)}
          />
          <p className="text-sm text-soft">
            Worth {value == null ? 'not noted' : money(value, currency)}, service{' '}
            {servicePrice == null ? 'not noted' : money(servicePrice, currency)}.{' '}
            <ButtonLink look="quiet" to={`/gear/${item.id}/edit`}>
              Correct these
            </ButtonLink>
          </p>
        </div>
        <div className="space-y-4 lg:col-span-6">
          <Notice tone={advice.advice === 'open' ? 'good' : advice.forbidden ? 'act' : 'attention'}>
            <p className="text-lg font-semibold">{ADVICE_WORDS[advice.advice]}</p>
            <ul className="mt-1 space-y-1">
              {advice.reasons.map((r) => (
                <li key={r.says}>{openingWords(r, (sum) => money(sum, currency))}</li>
              ))}
            </ul>
            <p className="mt-2 text-sm">{basisWords(advice.basis)}</p>
          </Notice>
          <CautionLines hazards={advice.cautions} />
          {start.error && <Failure error={start.error} />}
          {advice.advice === 'free-filter' && (
            <ButtonLink look="filled" to={`/gear/${item.id}/stuck-filter`}>
              Free the filter
            </ButtonLink>
          )}
          {!advice.forbidden && depth && experience && advice.advice !== 'free-filter' && (
            <Section title="Before the first ring">
              <ul className="sheet list-disc space-y-1 py-3 pr-4 pl-8">
                {beforeOpening(depth).map((l) => (
                  <li key={l}>{l}</li>
                ))}
              </ul>
              <Button
                look={advice.advice === 'open' ? 'filled' : 'plain'}
                className="mt-3"
                disabled={start.isPending}
                onClick={() => void begin()}
              >
                {advice.advice === 'open' ? 'Start the record' : 'Open it all the same, with a record'}
              </Button>
            </Section>
          )}
        </div>
      </div>
    </Page>
  );
}

export function OpeningPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const settings = useSettings();
  const failed = [item, settings].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!item.data || !settings.data) return <Loading />;
  return <Opening item={item.data} currency={settings.data.currency} />;
}
