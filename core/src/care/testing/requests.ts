import fc from 'fast-check';
import * as care from '../index.js';

/** Item descriptions that bring every surface and every fluid rule of the kinds into play. */
const ITEMS: { kind: care.ItemKind; traits: care.Traits }[] = [
  { kind: 'lens', traits: { filterFitted: true, weatherSealed: true, zoomExtends: true, helicoidExposed: true } },
  { kind: 'lens', traits: { makerForbidsFluids: true, radioactiveGlass: true } },
  { kind: 'lens', traits: { opticMaterial: 'acrylic' } },
  { kind: 'filter', traits: {} },
  { kind: 'filter', traits: { opticMaterial: 'acrylic' } },
  { kind: 'mirrorless-body', traits: { sensorFormat: 'aps-c' } },
  { kind: 'slr-body', traits: { yearMade: 1954, digital: false, electronicContacts: false } },
  { kind: 'slr-body', traits: { popupFlash: true, weatherSealed: true } },
  { kind: 'compact', traits: { viewfinder: true, rubberisedCoating: true } },
  { kind: 'phone', traits: {} },
  { kind: 'teleconverter', traits: { weatherSealed: true } },
  { kind: 'eyepiece', traits: {} },
  { kind: 'binocular', traits: {} },
  { kind: 'refractor', traits: {} },
  { kind: 'refractor', traits: { correctorFront: true } },
  { kind: 'reflector', traits: {} },
  { kind: 'port', traits: {} },
  { kind: 'port', traits: { opticMaterial: 'glass', coated: true, domed: false } },
  { kind: 'viewfinder-loupe', traits: { opticMaterial: 'acrylic' } },
  { kind: 'accessory', traits: { electronicContacts: true, rubberisedCoating: true } },
];

const SCHOOL_SETS: Partial<care.Schools>[] = care.CARE_SCHOOL_IDS.flatMap((school) =>
  care.schoolChoices(school).map((choice) => ({ [school]: choice })),
);

const SEVERITIES = [1, 2, 3, 4] as const;

/** Every surface, soil, severity and place of the kinds, under the default schools, then each other school in turn. */
export function* everySingleFinding(): Generator<care.PlanRequest> {
  let turn = 0;
  for (const item of ITEMS)
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

const anyConditions: fc.Arbitrary<care.Conditions> = fc.record({ wind: fc.boolean(), blowingSand: fc.boolean(), rain: fc.boolean() });

const THINGS = [...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS)] as (care.Tool | care.Material)[];
/** Any drawer, or none kept: clean and dirty things, glass cloths that went over to the shell, swabs of any width. */
const anyDrawer: fc.Arbitrary<care.OnHand[] | undefined> = fc
  .option(
    fc.array(
      fc.record({ id: fc.constantFrom(...THINGS), state: fc.constantFrom('clean' as const, 'dirty' as const), demoted: fc.boolean() }),
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
  .constantFrom(...ITEMS)
  .chain((item) =>
    fc.record({
      item: fc.constant(item),
      place: fc.constantFrom('home' as const, 'field' as const),
      schools: anySchools,
      conditions: anyConditions,
      drawer: anyDrawer,
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
