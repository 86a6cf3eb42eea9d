import type { PlaceExplanation } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { cannotExplainWords, explainedWords, hindcastWords, longDate, somethingElseWords } from '@bright-keeper/words';
import { Failure, Loading, Section } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { AdviceWords } from './AdviceWords';
import { useExplanation } from './queries';

function Facts({ fit }: { fit: Exclude<PlaceExplanation['fit'], { cannot: string }> }) {
  const zone = useZone();
  const day = (instant: string) => longDate(schedule.localDay(instant, zone));
  return (
    <>
      <ul className="list-disc space-y-1 pl-5">
        {explainedWords(fit).map((fact) => (
          <li key={fact}>{fact}</li>
        ))}
      </ul>
      <p className="text-sm text-soft">
        {hindcastWords(fit.hindcast)} Fitted to the {Math.round(fit.fittedDays)} days before them.
      </p>
      {fit.somethingElse.map((span) => (
        <p key={span.from} className="text-sm text-lamp">
          {somethingElseWords(span, day)}
        </p>
      ))}
    </>
  );
}

/** What the past of a place says it is, and what would help it; or why its past does not say. */
export function Explained({
  placeId,
  isOpen,
}: {
  placeId: string;
  /** It has no seal: its advice stands nowhere else. */ isOpen: boolean;
}) {
  const explanation = useExplanation(placeId);
  if (explanation.isPending) return <Loading />;
  if (explanation.isError) return <Failure error={explanation.error} onRetry={() => void explanation.refetch()} />;
  const { fit, advice } = explanation.data;
  return (
    <Section title="What its past says">
      <div className="sheet space-y-2 p-4">
        {'cannot' in fit ? <p>{cannotExplainWords(fit)}</p> : <Facts fit={fit} />}
        {isOpen && advice && <AdviceWords advice={advice} />}
      </div>
    </Section>
  );
}
