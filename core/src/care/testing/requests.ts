import fc from 'fast-check';
import * as care from '../index.js';

type Thing = { kind: care.ItemKind; traits: care.Traits };

/** A kind with every tick set, or none, and every choice at one of its ends: between them every surface and fluid rule comes into play. */
const withAll = (kind: care.ItemKind, on: boolean): Thing => ({
  kind,
  traits: Object.fromEntries(
    care.traitsOf(kind).flatMap((trait): [care.TraitId, boolean | string | undefined][] => {
      const facts: care.TraitFacts = care.TRAITS[trait];
      if (facts.input === 'yes-no') return [[trait, on]];
      if (facts.input === 'choice') return [[trait, on ? facts.choices.at(-1) : facts.choices[0]]];
      return [];
    }),
  ),
});

/** Every kind of the registry, as it is usually, with all its ticks, and with none. */
export const THINGS: Thing[] = care.ITEM_KINDS.flatMap((kind) => [
  { kind, traits: {} },
  withAll(kind, true),
  withAll(kind, false),
  ...(care.traitsOf(kind).includes('yearMade') ? [{ kind, traits: { yearMade: 1954 } }] : []),
]);

const SCHOOL_SETS: Partial<care.Schools>[] = care.CARE_SCHOOL_IDS.flatMap((school) =>
  care.schoolChoices(school).map((choice) => ({ [school]: choice })),
);

const SEVERITIES = [1, 2, 3, 4] as const;

/** Each kind as it is usually and with all its ticks: every surface stands there once at least. */
const PLAIN_AND_FULL: Thing[] = care.ITEM_KINDS.flatMap((kind) => [{ kind, traits: {} }, withAll(kind, true)]);

/** Every surface, soil, severity and place of the kinds, under the default schools, then each other school in turn. */
export function* everySingleFinding(): Generator<care.PlanRequest> {
  let turn = 0;
  for (const item of PLAIN_AND_FULL)
    for (const surface of care.surfacesOf(item.kind, item.traits))
      for (const soil of care.SOIL_IDS)
        for (const severity of SEVERITIES)
          for (const place of ['home', 'field'] as const) {
            // The schools take turns: over the whole space each meets every surface and soil many times.
            const schools = SCHOOL_SETS[turn++ % SCHOOL_SETS.length]!;
            yield { item, place, schools, findings: [{ surface, soil, severity }] };
          }
}

const anySchools: fc.Arbitrary<Partial<care.Schools>> = fc.record(
  Object.fromEntries(care.CARE_SCHOOL_IDS.map((id) => [id, fc.constantFrom(...care.schoolChoices(id))])),
) as fc.Arbitrary<Partial<care.Schools>>;

const sometimes = fc.integer({ min: 0, max: 3 }).map((n) => n === 0);
const anyConditions: fc.Arbitrary<care.Conditions> = fc.record({
  wind: fc.boolean(),
  blowingSand: sometimes,
  rain: sometimes,
  freshWater: fc.boolean(),
  temperatureC: fc.integer({ min: -10, max: 35 }),
  humidityPct: fc.integer({ min: 20, max: 100 }),
});

const SUPPLIES = [...care.TOOL_IDS, ...care.MATERIAL_IDS];
/** Any drawer, or none kept: clean and dirty things, glass cloths that went over to the shell, swabs of any width. */
const anyDrawer: fc.Arbitrary<care.OnHand[] | undefined> = fc
  .option(
    fc.array(
      fc.record({ id: fc.constantFrom(...SUPPLIES), state: fc.constantFrom('clean' as const, 'dirty' as const), demoted: fc.boolean() }),
      { maxLength: 40 },
    ),
    { nil: undefined },
  )
  .map((drawer) =>
    drawer?.map(({ id, state, demoted }) => ({
      id,
      state,
      ...(demoted && id in care.TOOLS ? { role: 'shell' as const } : {}),
      ...(id === 'sensor-swab' ? { widthMm: demoted ? 24 : 16 } : {}),
    })),
  );

/** Random mixtures: up to nine findings on one thing, any schools, place and weather. */
export const anyRequest: fc.Arbitrary<care.PlanRequest> = fc
  .constantFrom(...THINGS)
  .chain((item) =>
    fc.record({
      item: fc.constant(item),
      place: fc.constantFrom('home' as const, 'field' as const),
      schools: anySchools,
      conditions: anyConditions,
      drawer: anyDrawer,
      moreOnHand: fc.boolean(),
      findings: fc.array(
        fc.record({
          surface: fc.constantFrom(...care.surfacesOf(item.kind, item.traits)),
          soil: fc.constantFrom(...care.SOIL_IDS),
          severity: fc.constantFrom(0 as const, ...SEVERITIES),
        }),
        { maxLength: 9 },
      ),
    }),
  )
  .map(({ drawer, ...request }) => (drawer ? { ...request, onHand: drawer } : request));
