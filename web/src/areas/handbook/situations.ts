import { care } from '@bright-keeper/core';
import { becauseWords, summaryWords } from '@bright-keeper/words';
import { capital, findingsWords, surfaceTitle } from '../../ui/words';
import { basisWords } from '../care';
import type { Entry } from './entries';

/** What is done on each surface, in the order it is done. */
function stepsWords({ steps }: care.CleaningPlan): string[] {
  const surfaces = [...new Set(steps.map((s) => s.surface))];
  return surfaces.map((surface) => {
    const methods = steps.filter((s) => s.surface === surface).map((s) => care.METHODS[s.method].name.toLowerCase());
    return `${surfaceTitle(surface)}: ${methods.join(', ')}.`;
  });
}

/** Each reason once, in the order one would say it. */
function reasonsWords(plan: care.CleaningPlan): string[] {
  const said = [...plan.openings, ...plan.deferred, ...plan.handOver, ...plan.leaveAlone, ...plan.refused].map(
    (r) => `${surfaceTitle(r.surface)}: ${becauseWords(r)}`,
  );
  return [...new Set(said)].slice(0, MOST_REASONS);
}
const MOST_REASONS = 3;
/** Of what people say for a soil, only what they say most: the soil itself is found by all of it. */
const MOST_WORDS = 3;

const thingWords = ({ thing, place }: care.Situation): string =>
  `${care.kindFacts(thing.kind).name}${thing.traits.yearMade ? ` of ${thing.traits.yearMade}` : ''}, ${place === 'home' ? 'at home' : 'in the field'}`;

/** A situation with the answer the planner gives to it now. */
function entryOf(situation: care.Situation): Entry {
  const plan = care.planCleaning(care.requestOf(situation));
  const found = situation.found.map((f) => `${care.SURFACES[f.surface].name}: ${findingsWords([f])}`).join('; ');
  return {
    id: `situation-${situation.id}`,
    title: situation.told,
    lines: [
      `${capital(thingWords(situation))}${found ? `. Found: ${found}` : ''}.`,
      summaryWords(plan.summary),
      ...stepsWords(plan),
      ...reasonsWords(plan),
    ],
    basis: basisWords(situation.basis),
    words: [
      ...new Set(
        situation.found.flatMap((f) => [
          care.surfaceFacts(f.surface).name,
          ...(care.surfaceFacts(f.surface).words ?? []),
          care.SOILS[f.soil].name,
          ...care.soilFacts(f.soil).words.slice(0, MOST_WORDS),
        ]),
      ),
    ],
    hazards: [...new Set([...plan.cautions.map((c) => c.hazard), ...situation.found.flatMap((f) => care.soilFacts(f.soil).hazards)])],
  };
}

/** The book of situations, “what if…”, each answered afresh from the very planner. */
export const situationEntries = (): Entry[] => care.SITUATIONS.map(entryOf);
