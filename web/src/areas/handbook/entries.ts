import { air, care, fungus, schedule, storage, trip } from '@bright-keeper/core';
import { beforeOpening, DEPTH_NAMES, gravityWords, rhythmWords, ruleInGeneral } from '@bright-keeper/words';
import { capital, wearWords } from '../../ui/words';
import { basisWords, LEVEL_WORDS } from '../care';
import { DOORS } from './doors';
import { situationEntries } from './situations';

/** One thing known: what one reads of it, what people say for it, its cautions, and the page that does it. */
export type Entry = {
  id: string;
  title: string;
  lines: string[];
  basis: string;
  words?: readonly string[];
  hazards?: readonly care.HazardId[];
  to?: string;
};
export type Chapter = { id: string; title: string; entries: Entry[] };

const keysOf = <K extends string>(table: Record<K, unknown>): K[] => Object.keys(table) as K[];

const methods = (): Entry[] =>
  care.METHOD_IDS.map((id) => {
    const { name, how, level, words, basis } = care.methodFacts(id);
    return {
      id: `method-${id}`,
      title: name,
      lines: [how, `Step ${level} of the ladder: ${LEVEL_WORDS[level].toLowerCase()}.`],
      words,
      basis: basisWords(basis),
    };
  });

const soils = (): Entry[] =>
  care.SOIL_IDS.map((id) => {
    const { name, nature, tell, why, on, actFrom, words, hazards, basis } = care.soilFacts(id);
    const acted = ['damage', 'passing', 'flooded', 'inside', 'worn'].includes(nature)
      ? []
      : [`Acted on from “${care.SEVERITY_NAMES[actFrom]}” on.`];
    return {
      id: `soil-${id}`,
      title: capital(name),
      lines: [tell, ...new Set([why, ...Object.values(on).map((lies) => lies.act)]), ...acted],
      basis: basisWords(basis),
      words,
      hazards,
    };
  });

const rules = (): Entry[] =>
  care.RULES.map(({ id, title, words = [], basis }) => ({
    id: `rule-${id}`,
    title,
    words,
    lines: [capital(ruleInGeneral(id))],
    basis: basisWords(basis),
  }));

const hazards = (): Entry[] =>
  keysOf(care.HAZARDS).map((id) => {
    const { name, caution, wear, words, basis } = care.hazardFacts(id);
    return {
      id: `hazard-${id}`,
      title: name,
      words,
      lines: [caution, wearWords(wear)].filter(Boolean),
      basis: basisWords(basis),
    };
  });

const ROLE_WORDS: Record<care.ToolRole, string> = {
  glass: 'Kept for glass.',
  shell: 'For shells only.',
  sensor: 'For sensors only.',
  any: 'For any surface its rules allow.',
};

const tools = (): Entry[] => [
  ...keysOf(care.TOOLS).map((id) => {
    const { name, role, words = [], basis } = care.toolFacts(id);
    return { id: `tool-${id}`, title: capital(name), lines: [ROLE_WORDS[role]], basis: basisWords(basis), words, to: '/supplies' };
  }),
  ...keysOf(care.MATERIALS).map((id) => {
    const { name, role, contains, hazards: dangers, words = [], basis } = care.materialFacts(id);
    const holds = contains.length > 0 ? [`Counts as holding ${contains.join(', ')}.`] : [];
    return {
      id: `tool-${id}`,
      title: capital(name),
      lines: [ROLE_WORDS[role], ...holds],
      words,
      hazards: dangers,
      to: '/supplies',
      basis: basisWords(basis),
    };
  }),
];

const schools = (): Entry[] =>
  care.SCHOOL_IDS.map((id) => {
    const { name, question, choices, words } = care.schoolFacts(id);
    return {
      id: `school-${id}`,
      title: name,
      lines: [
        question,
        ...Object.entries(choices).map(
          ([choice, c]) => `${capital(c.name)}${choice === care.schoolFacts(id).default ? ' (usual)' : ''}: ${c.reason}`,
        ),
      ],
      words,
      basis: 'Good practitioners disagree; you choose in Settings.',
    };
  });

const rhythms = (): Entry[] =>
  schedule.DUTY_CODES.map((id) => {
    const { name, what, rhythm, gravity, basis } = schedule.dutyFacts(id);
    const often = rhythm ? `${capital(rhythmWords(rhythm))}.` : 'Once, when there is cause for it.';
    return { id: `rhythm-${id}`, title: name, lines: [what, often, `${gravityWords(gravity)}.`], basis: basisWords(basis) };
  });

const happenings = (): Entry[] =>
  care.HAPPENING_IDS.map((id) => {
    const { name, now, never, atHome, words, hazards: dangers, basis } = care.happeningFacts(id);
    return {
      id: `happening-${id}`,
      title: name,
      lines: [...now, ...(never ? [never] : []), `At home: ${atHome.join(' ')}`],
      words,
      hazards: dangers,
      to: `/field?happened=${id}`,
      basis: basisWords(basis),
    };
  });

const PHASE_TITLES: Record<trip.Phase, string> = { before: 'Before', there: 'Out there', back: 'At home' };
const grounds = (): Entry[] =>
  trip.GROUND_IDS.map((id) => {
    const { name, words } = trip.groundFacts(id);
    const asked = (phase: trip.Phase) => trip.asksOf({ grounds: [id], weather: [] }, phase).map((ask) => trip.askFacts(ask).says);
    return {
      id: `ground-${id}`,
      title: `An outing: ${name.toLowerCase()}`,
      lines: trip.PHASES.map((phase) => `${PHASE_TITLES[phase]}: ${asked(phase).join(' ')}`),
      words: words.map((word) => `${word} trip`),
      to: '/outings?outing=new',
      basis: 'Common practice.',
    };
  });

const practices = (): Entry[] =>
  care.PRACTICE_IDS.map((id) => {
    const { name, lines, words, hazards: dangers, page, basis } = care.practiceFacts(id);
    return {
      id: `practice-${id}`,
      title: name,
      lines: [...lines],
      basis: basisWords(basis),
      words,
      hazards: dangers,
      ...(page ? { to: DOORS[page]!.to } : {}),
    };
  });

const doors = (): Entry[] =>
  keysOf(DOORS).map((id) => {
    const { title, what, to, words } = DOORS[id]!;
    return { id: `door-${id}`, title, lines: [what], basis: 'A page of this application.', words, to };
  });

const withTools = (): Entry[] => [
  ...care.FILTER_WAYS.map(({ id, name, how, caution, basis }) => ({
    id: `filter-${id}`,
    title: `Stuck filter: ${name.toLowerCase()}`,
    lines: [how, ...(caution ? [caution] : [])],
    basis: basisWords(basis),
    words: ['filter won’t come off', 'jammed filter', 'cannot unscrew'],
  })),
  ...care.DEPTHS.map((depth) => ({
    id: `opening-${depth}`,
    title: `Opening ${DEPTH_NAMES[depth]}`,
    words: ['open the lens myself', 'tools to open', 'disassemble', 'take apart', 'spanner wrench', 'rubber cup'],
    hazards: ['sharp-tip'] as const,
    lines: beforeOpening(depth),
    basis: 'Common practice.',
  })),
  ...Object.entries(care.RUB_TESTS).map(([id, { name, with: pad, strokes, forceN, basis }]) => ({
    id: `coating-${id}`,
    title: `What a coating stands: ${name.toLowerCase()}`,
    lines: [
      `${strokes} strokes with ${pad} at ${forceN} N leave no mark on a hard coating. A gentle wipe is about half a dozen strokes at a tenth of that, on clean glass; a grain under it is another matter.`,
    ],
    basis: basisWords(basis),
  })),
];

const storing = (): Entry[] => [
  ...air.ZONES.map(({ id, name, upTo, means }) => ({
    id: `zone-${id}`,
    title: `Humidity: ${name}`,
    lines: [upTo === Infinity ? 'Above 80 %.' : `Up to ${upTo} %.`, means],
    basis: basisWords(air.ZONES_BASIS),
  })),
  {
    id: 'model-mould-index',
    title: 'Mould index',
    lines: [
      '0 none, 1 under the microscope, 3 visible, 6 covered. It grows above a critical humidity of 80 to 100 %, the more so the warmer, and falls slowly when it is dry.',
      ...Object.values(fungus.SURFACE_STATES).map(
        ({ name, sensitivity }) => `${capital(name)} counts as ${fungus.CLASSES[sensitivity].name}.`,
      ),
    ],
    basis: 'Hukka & Viitanen 1999; classes Ojanen et al. 2010 (from memory). What counts as what is our choice.',
  },
  {
    id: 'model-early-warning',
    title: 'Early warning',
    lines: [
      'Fungi that like it dry grow on optics well below the mould index’s 80 %: about 100 days at 70 % and 25 °C, four weeks at 80 %, a week at 90 %, none at or below 60 %.',
      'The dose adds up while it is damp; at 1 growth is to be expected. Below 60 % it falls by a thousandth a day.',
    ],
    basis: 'Our choice, cautious, on conservation practice (from memory).',
  },
  {
    id: 'sizing-sealed-pack',
    title: 'Desiccant for a sealed pack',
    lines: ['Units = (volume × vapour + packing × its water + what comes through the barrier) / what a unit holds at the final humidity.'],
    basis: basisWords(storage.DIN_BASIS),
  },
  {
    id: 'indoor-from-outdoor',
    title: 'A room that was not measured',
    lines: ['20 °C up to 10 °C outside, 25 °C from 20 °C on; 30 to 60 % between -10 and 20 °C outside.'],
    basis: basisWords(storage.INDOOR_BASIS),
  },
  ...storage.DESICCANT_KINDS.map((kind) => ({
    id: `desiccant-${kind}`,
    title: capital(storage.DESICCANTS[kind].name),
    lines: [
      `Between 40 and 65 % it takes up ${(100 * (storage.desiccantUptake(kind, 25, 65) - storage.desiccantUptake(kind, 25, 40))).toFixed(1)} % of its dry weight.`,
      kind === 'rice'
        ? 'A buffer rather than a dryer, unless it comes dry from the oven.'
        : 'Dried again at 120 °C for an hour or two, within what its maker says.',
    ],
    basis: basisWords(storage.DESICCANTS[kind].basis),
  })),
];

const places = (): Entry[] =>
  storage.PLACE_KINDS.map((id) => {
    const { name, tradeOff, basis } = storage.placeFacts(id);
    return { id: `place-${id}`, title: capital(name), lines: [tradeOff], basis: basisWords(basis) };
  });

/** Everything the application knows, from the very tables it decides by. */
export const CHAPTERS: Chapter[] = [
  { id: 'situations', title: 'What if…', entries: situationEntries() },
  { id: 'practices', title: 'Good practice', entries: practices() },
  { id: 'happenings', title: 'Out in the field', entries: happenings() },
  { id: 'grounds', title: 'Where outings go', entries: grounds() },
  { id: 'methods', title: 'Methods, gentlest first', entries: methods() },
  { id: 'soils', title: 'Dirt and damage', entries: soils() },
  { id: 'rules', title: 'Rules that hold always', entries: rules() },
  { id: 'hazards', title: 'Hazards', entries: hazards() },
  { id: 'tools', title: 'Tools and materials', entries: tools() },
  { id: 'schools', title: 'Schools', entries: schools() },
  { id: 'with-tools', title: 'With tools', entries: withTools() },
  { id: 'places', title: 'Places to keep things', entries: places() },
  { id: 'storing', title: 'Air, fungus and desiccant', entries: storing() },
  { id: 'rhythms', title: 'Rhythms', entries: rhythms() },
  { id: 'doors', title: 'Pages that do it', entries: doors() },
];
