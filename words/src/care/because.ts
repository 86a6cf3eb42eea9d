import { care, supplies } from '@bright-keeper/core';
import { fStop } from '../sensor/fStop.js';
import { capital } from '../text.js';
import { barWords } from './bars.js';
import { ruleWords } from './rules.js';

/** Why it matters there; what it does anywhere, where an earlier version did not keep on which surface. */
const whyThere = (soil: care.Soil, surface: care.Surface | undefined): string =>
  surface ? care.whyAct(soil, surface) : care.soilFacts(soil).why;

/** What is opened and taken out of a thing that got wet there, before it dries. */
function dryingWords(surface: care.Surface): string {
  if (surface === 'gimbal') return 'Motors off; nothing is switched on to try.';
  if (surface === 'body-shell') return 'Open what opens; what runs on cells gives them up first, and nothing is switched on to try.';
  if (surface === 'barrel' || ['inner', 'glass', 'thread'].includes(care.familyOf(surface)))
    return 'Open what opens without a tool, and leave it open.';
  return 'Switch off, cells and card out, doors open; nothing is switched on to try.';
}

/** “is” of one, “are” of several. */
const isOrAre = (surface: care.Surface): string => (care.surfaceFacts(surface).plural ? 'are' : 'is');
const surfaceName = (surface: care.Surface): string => care.SURFACES[surface].name;

/** Where it lies, and so who can reach it. */
export function reachWords(reach: care.InsideReach): string {
  switch (reach.by) {
    case 'open-thread':
      return 'The focus thread lies open: a drop of light oil may free it.';
    case 'owner':
      return 'It may lie behind one ring: weigh opening that ring yourself against a workshop, or accept it.';
    case 'workshop':
      return `${barWords(reach.bar)} A workshop reaches it: weigh its price against the value, or accept it.`;
    default:
      return reach satisfies never;
  }
}

type Saying = { [R in care.BecauseCode]: (because: Extract<care.Because, { reason: R }>) => string };

/** One sentence or two for every code. */
const SAYINGS: Saying = {
  'nothing-found': () => 'Nothing found.',
  'worth-a-touch': ({ soil, surface }) => care.whyAct(soil, surface),
  'little-enough': ({ soil, surface }) => care.whyLeave(soil, surface),
  'after-every-outing': () => 'Your school cleans after every outing, a trace included.',
  'behind-stuck-filter': () =>
    'It lies behind a stuck filter. It waits until the filter is off: a wide rubber band round the rim for grip.',
  damage: ({ soil, surface, grave, showsFrom }) =>
    [
      whyThere(soil, surface),
      showsFrom ? `One so large shows in skies from ${fStop(showsFrom)} on.` : grave ? 'Ask a workshop only if it shows in use.' : '',
    ]
      .filter(Boolean)
      .join(' '),
  'never-shows': ({ soil, sizeMm, focalMm, fNumber }) =>
    `${capital(care.soilFacts(soil).name)} of ${sizeMm} mm cannot show at ${focalMm} mm and ${fStop(fNumber)}, the smallest aperture in use: that is a reason to leave the glass alone.`,
  'worth-a-wash': ({ soil, surface }) =>
    `${soil ? whyThere(soil, surface) : 'So much is worth a wash.'} Follow the maker’s washing procedure, a bath of water with cotton, or give it to a workshop.`,
  'coat-anew': ({ soil, surface }) => `${care.whyAct(soil, surface)} A coating workshop does it; until then it may be used as it is.`,
  'not-known-there': ({ soil, surface }) => care.whyAct(soil, surface),
  'workshop-takes-it': ({ soil, surface }) => `${care.whyAct(soil, surface)} No gentle way of your own takes it.`,
  'lived-with': ({ soil, surface }) => `${care.whyAct(soil, surface)} You may live with it.`,
  renew: ({ soil, surface }) => care.whyAct(soil, surface),
  'no-water-may-stay': ({ soil, surface }) =>
    `${care.whyAct(soil, surface)} ${dryingWords(surface)} Dry it for days in moving room air: no heat, and rice is no cure.`,
  'salt-water-eats-on': ({ soil, surface }) =>
    `${care.whyAct(soil, surface)} ${dryingWords(surface)} To a workshop at once. Schools differ: some keep it wet in fresh water until then, some dry it; ask the workshop which.`,
  'after-it-cleared': ({ soil, surface }) =>
    `After the fog has cleared: ${care.soilFacts(soil).name} on the ${surfaceName(surface)}. Until then nothing touches it, and nothing is opened.`,
  'after-it-dried': ({ soil, surface }) =>
    `After the water is out and all of it is dry: ${care.soilFacts(soil).name} on the ${surfaceName(surface)}.`,
  'waits-with-the-rest': ({ soil, surface }) =>
    `${capital(care.soilFacts(soil).name)} on the ${surfaceName(surface)} waits, too: what lies beside it is not to be wiped here.`,
  'washing-costs-silver': () =>
    'It costs next to nothing in the picture, and each wash costs silver. The maker’s washing procedure, at long intervals, is the only way.',
  'polishes-out': () => 'A hairline in bare acrylic polishes out.',
  passes: ({ soil, surface }) =>
    `${whyThere(soil, surface)}${surface === 'port-inside' || (surface && care.familyOf(surface) === 'bath') ? '' : ' Keep it closed in its bag until it is as warm as the room, then let it air.'}`,
  growth: ({ soil, surface }) => whyThere(soil, surface),
  'mould-comes-off': ({ surface }) => care.whyAct('fungus-outside', surface),
  'sticky-is-removed': () => 'Your school removes it: about 20 minutes a pass, several passes; the lettering goes, the bare shell stays.',
  'sticky-is-aired': () =>
    'Air it, open on a shelf, for two to twelve months: it often stops, may stay a little tacky, and the old look does not return. Shut away, it turns again. The lettering stays.',
  inside: ({ soil, surface, reach }) => `${whyThere(soil, surface)} ${reachWords(reach)}`,
  'little-inside': ({ soil, surface }) => (surface ? care.whyLeave(soil, surface) : care.soilFacts(soil).why),
  'thread-lies-open': () => reachWords({ by: 'open-thread' }),
  'not-reached-from-outside': ({ surface, reach }) =>
    `The ${surfaceName(surface)} ${isOrAre(surface)} not reached from outside. ${reachWords(reach)}`,
  'corrosion-goes-deep': () => 'Corrosion has gone deep here: what leaked is caustic and the board behind may be hit.',
  'chamber-needs-a-workshop': () => 'So much in the mirror box is a workshop’s: no cloth goes in from outside.',
  'chamber-out-of-the-light': () => 'In the mirror box it lies out of the light: air only, and no cloth goes in.',
  'where-no-cloth-reaches': () => 'It lies where no cloth reaches. A workshop opens it, or you accept it and keep it apart.',
  'workshop-opens': ({ bar }) => `${barWords(bar)} A workshop opens it, or you accept it.`,
  rule: ({ rule, surface }) => ruleWords(rule, surface),
  'not-in-drawer': ({ thing }) => `No ${care.thingName(thing)} in the drawer.`,
  'not-clean': ({ thing }) =>
    `The ${care.thingName(thing)} is not clean: ${supplies.isWashable(thing) ? 'wash it, or take another' : 'wipe it clean, or take another'}.`,
  'kept-for': ({ thing, role, surface }) =>
    `The ${care.thingName(thing)} is kept for ${role}; it does not touch the ${surfaceName(surface)}.`,
  'swab-too-wide': () => 'Every swab in the drawer is wider than this sensor: it would not lie flat.',
  'until-the-drawer-has': ({ lack }) => `Leave it until the drawer has what it needs: ${becauseWords(lack)}`,
  'no-gentle-way': () => 'No gentle way takes this off.',
  'ring-may-leak': () => 'Where damp got in, look at the ring: run it over a fingertip, and look into its groove.',
  'finder-comes-with-it': () => 'A dirty mirror or screen usually comes with a dirty finder: look at its window and cup too.',
  'film-left': () => 'A film is left that another fluid may take. Let it rest, then try the next fluid or a finisher.',
  'lies-deeper': () => 'It lies behind this face, not on it: nothing from outside reaches it. Stop rubbing.',
  'is-damage': () => 'It is damage, not dirt: more wiping takes more with it. Leave it.',
  'did-not-come-off': () => 'It did not come off with all that is gentle. Stop rubbing.',
  'shutter-closed-on-it': () =>
    'The shutter closed while something was inside. Do not release it again: a workshop looks at blades and sensor.',
  'decided-then': () => 'So it was decided when it was last looked at; look again to know why.',
};

/** Why something is left, cleaned, kept apart, handed over, put off, refused or missing. */
export const becauseWords = (because: care.Because): string => (SAYINGS[because.reason] as (because: care.Because) => string)(because);
