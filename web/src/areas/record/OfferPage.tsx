import { record } from '@bright-keeper/core';
import { useChoices, withChoice } from '../../ui/choices';
import { ofTen } from '../../ui/chance';
import { Fold } from '../../ui/Fold';
import { Button, Notice, Page } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { useCurrency } from '../settings';
import {
  DEPTH_WORDS,
  END_WORDS,
  GUIDE,
  HANDS_WORDS,
  HOW_WORDS,
  type OfferAnswer,
  type OfferView,
  offerViewFrom,
  ODDS,
  ODDS_IDS,
  type OddsId,
  oddsNow,
  SUM_IDS,
  SUMS,
  TROUBLE_WORDS,
  WHERE_WORDS,
  withOdds,
  withOurOdds,
} from './offerView';
import { KeepOffer } from './KeepOffer';
import { KeptOfferList } from './KeptOfferList';

const waysOf = <T extends string>(words: Record<T, string>) => Object.entries(words) as [T, string][];
const whole = (sum: number): string => Math.round(sum).toLocaleString('en');

const VERDICTS: Record<record.OfferVerdict, { words: string; tone: 'good' | 'attention' | 'act' }> = {
  buy: { words: 'At this price the risk is bearable', tone: 'good' },
  bold: { words: 'Worth it on the average, but a gamble', tone: 'attention' },
  leave: { words: 'Leave it at this price', tone: 'act' },
};

function Answer({ answer, currency }: { answer: OfferAnswer | null; currency: string }) {
  if (!answer)
    return (
      <p role="status" className="sheet p-4">
        Say what a clean one costs and what is asked for this one: then it is said whether the risk is bearable.
      </p>
    );
  const { offer, clean, asked, chanceOfLoss, verdict } = answer;
  const { words, tone } = VERDICTS[verdict];
  return (
    <Notice tone={tone}>
      <p className="text-xl font-semibold">{words}</p>
      <p className="mt-1">
        As it is, it is worth about {whole(Math.max(0, offer.worth))} {currency} on the average of all that may come of it. For{' '}
        {whole(asked)} {currency} you lose {ofTen(chanceOfLoss)};{' '}
        {offer.boldestPrice > 0
          ? `up to ${whole(offer.boldestPrice)} ${currency} no more than one time in four.`
          : 'even as a gift it costs more than it brings, more often than one time in four.'}
      </p>
      {clean > asked && (
        <p className="mt-1">
          A clean one costs {whole(clean - asked)} {currency} more, and no afternoon.
        </p>
      )}
    </Notice>
  );
}

/** Every way it may end, the worst first. */
const Tree = ({ offer, trouble, currency }: { offer: record.Offer; trouble: record.OfferTrouble; currency: string }) => (
  <Fold title="All that may come of it" aside={`${offer.ends.length} ends`}>
    <div className="sheet overflow-x-auto p-4 text-sm">
      <table className="w-full">
        <thead>
          <tr className="text-left text-soft">
            <th className="pr-3">It lies</th>
            <th className="pr-3">and</th>
            <th className="pr-3 text-right">of 100</th>
            <th className="text-right">worth, {currency}</th>
          </tr>
        </thead>
        <tbody>
          {offer.ends.map(({ depth, end, chance, worth }) => (
            <tr key={`${depth}/${end}`}>
              <td className="pr-3">{DEPTH_WORDS[depth]}</td>
              <td className="pr-3">{END_WORDS[trouble][end]}</td>
              <td className="pr-3 text-right font-mono">{(chance * 100).toFixed(1)}</td>
              <td className="text-right font-mono">{whole(worth)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-soft">
        The chances are our choice, in order of magnitude, unless you set your own; a lens with a mark brings 70 % of a clean one here, one
        with harm for good 25 %. What a look in your own hand tells is worth more.
      </p>
    </div>
  </Fold>
);

const whatIsWrong = record.OFFER_TROUBLES;
/** How one trouble may show, in words. */
const howWays = (trouble: record.OfferTrouble) =>
  (Object.keys(whatIsWrong[trouble].how) as record.SeenHow[]).map((how) => [how, HOW_WORDS[how]] as [record.SeenHow, string]);

type OddsProps = { view: OfferView; onChoose: (id: OddsId, of100: number) => void; onOurs: () => void };
/** One's own odds in place of ours. */
function Odds({ view, onChoose, onOurs }: OddsProps) {
  const now = oddsNow(view);
  const isOwn = Object.keys(view.own).length > 0;
  return (
    <Fold title="Your own odds" aside={isOwn ? 'yours' : 'ours'}>
      <div className="space-y-3 pt-2">
        {ODDS_IDS.map((id) => (
          <label key={id} className="block">
            <span className="flex flex-wrap justify-between gap-2">
              {ODDS[id](view.trouble)} <b>{now[id]}</b>
            </span>
            <input
              type="range"
              className="range"
              min="0"
              max="100"
              step="1"
              value={now[id]}
              onChange={(e) => onChoose(id, Number(e.target.value))}
            />
          </label>
        ))}
        {isOwn && (
          <Button look="quiet" onClick={onOurs}>
            Take ours again
          </Button>
        )}
      </div>
    </Fold>
  );
}

/** A lens with a fault is offered: what it is worth, up to which price the risk is bearable, and the offers that were kept. */
export function OfferPage() {
  const [params, setParams] = useChoices();
  const currency = useCurrency();
  const view = offerViewFrom(params);
  const { trouble } = view;
  const go = (next: URLSearchParams) => setParams(next, { replace: true });
  const set = (key: string, value: string | null) => go(withChoice(params, key, value));
  return (
    <Page title="Worth buying?" sub="A lens with a fault is offered. What may come of it, and up to which price that is bearable.">
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet min-w-0 space-y-4 p-4 lg:col-span-6">
          <WayButtons
            legend="What is wrong with it?"
            ways={waysOf(TROUBLE_WORDS)}
            chosen={trouble}
            onChoose={(next) => go(withChoice(withChoice(params, 'trouble', next), 'how', null))}
          />
          <p className="text-soft">{GUIDE[trouble]}</p>
          {whatIsWrong[trouble].lies === null && (
            <WayButtons
              legend="A torch through it: where does it lie?"
              ways={waysOf(WHERE_WORDS)}
              chosen={view.where}
              onChoose={(way) => set('where', way)}
            />
          )}
          <WayButtons legend="How does it show?" ways={howWays(trouble)} chosen={view.how} onChoose={(way) => set('how', way)} />
          {trouble !== 'marks' && (
            <WayButtons
              legend="Whose hands would open it?"
              ways={waysOf(HANDS_WORDS)}
              chosen={view.hands}
              onChoose={(way) => set('hands', way)}
            />
          )}
          <div className="flex flex-wrap gap-3">
            {SUM_IDS.filter((id) => trouble !== 'marks' || id === 'clean' || id === 'asked').map((id) => (
              <label key={id} className="flex flex-col gap-1">
                {SUMS[id].label}, {currency}
                <input
                  type="number"
                  inputMode="decimal"
                  min="0"
                  className="input w-40"
                  placeholder={SUMS[id].usual === null ? '' : String(SUMS[id].usual)}
                  value={params.get(id) ?? ''}
                  onChange={(e) => set(id, e.target.value || null)}
                />
              </label>
            ))}
          </div>
          <Odds view={view} onChoose={(id, of100) => go(withOdds(params, id, of100))} onOurs={() => go(withOurOdds(params))} />
        </div>
        <div className="min-w-0 space-y-4 lg:col-span-6">
          <Answer answer={view.answer} currency={currency} />
          {view.seen && <KeepOffer key={params.get('offer') ?? 'new'} seen={view.seen} offerId={params.get('offer')} />}
          <p className="text-soft">
            {trouble === 'fungus' &&
              'Look at it in a bag or at arm’s length from your own things, and set it apart until it is clean: growth spreads. '}
            Suspected radioactive glass and anything with a flash are opened by nobody but a workshop.
          </p>
          {view.answer && <Tree offer={view.answer.offer} trouble={trouble} currency={currency} />}
        </div>
      </div>
      <KeptOfferList currency={currency} />
    </Page>
  );
}
