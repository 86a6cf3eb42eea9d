import { care } from '@bright-keeper/core';

/** What each rule says of a surface, whose name stands where `{surface}` is written. */
const MESSAGES: Record<care.RuleId, string> = {
  'put-away-in-sand-and-rain':
    'Sand or rain is in the air: cap it and put it away. Nothing is opened, brushed or wiped before you are in shelter.',
  'stay-closed-in-the-wind': 'The {surface} lies behind the mount: in the wind it stays closed. Into the car, or indoors.',
  'bench-work-waits': 'This is bench work: the {surface} is done at home, on a still and clean table.',
  'no-open-fluid-in-the-field': 'No open fluid in the field: a sealed wipe does it, or it waits for home.',
  'no-water-out-here': 'The {surface} wants fresh water, and there is none out here. It waits for home; nothing else goes over it.',
  'no-fluid-in-frost-or-dew':
    'Below freezing or while dew falls, fluid freezes or smears on the {surface}: it waits until you are indoors.',
  'field-air-and-brush':
    'In the field only air and brush on the {surface}, and a wipe only where the picture is spoilt. This can wait for home.',
  'sensor-stays-closed-outdoors':
    'Opening the camera outdoors lets in more than a blower takes out. Retouch, and look at the {surface} at home.',
  'air-first': 'Air comes first: without a clean blower at hand nothing touches the {surface}.',
  'nothing-dry-on-a-sensor':
    'On the {surface} only air and a damp swab of its own width: a dry cloth or a brush that has touched anything leaves more than it takes.',
  'mirror-is-never-stroked':
    'The silver of the {surface} lies bare: air, a soft brush kept for glass, at most a damp dab. Never a dry wipe, never a stroke of cloth, and cotton swabs are coarse.',
  'only-air-on-a-focusing-screen': 'The {surface} is soft plastic or ground glass: only air. Dust on it never shows in the picture.',
  'mirror-box-by-air-only':
    'The {surface} is blown out with mirror and mount down, and again with the mirror up. No cloth, swab or brush goes in.',
  'soft-coating':
    'The {surface} is soft, by its one old layer or by being plastic: no carbon tip, no alcohol for a plain film, and fewer strokes.',
  'telescope-mirrors-are-bathed':
    'The {surface} is washed as its maker says, in a bath of water with cotton and at long intervals, or left. Nothing of this ladder touches it.',
  'no-canned-air-inside':
    'Canned air can spit liquid propellant: it stains coatings and damages sensors. Use a bulb blower on the {surface}.',
  'polish-bare-acrylic-only':
    'Polish takes hairlines out of uncoated acrylic only. On the {surface} it would take the coating, or do nothing to glass.',
  'no-household-wipes': 'Wood fibre and grit: neither shirt tails nor paper towels nor toilet or facial tissue on the {surface}.',
  'no-opening-of-radioactive-glass': 'Suspected radioactive glass is never opened or ground.',
  'no-opening-of-electronics': 'Flat cables and sensors sit behind the rings of an electronic lens: they tear, and it must be set up anew.',
  'no-opening-by-the-owner':
    'It is not opened by its owner: what may hold a charge or a glued battery can hurt, and a front centred on a bench is lost.',
  'grit-in-the-field': 'Grains are seen on the {surface}: wiping would drag them across it. Blow, brush, cap it, and wait for home.',
  'no-alcohol-over-salt': 'Alcohol does not dissolve salt: with it one only drags the crystals across the {surface}. Fresh water first.',
  'dissolve-salt-first':
    'Dried salt is hard crystals. Fresh water comes first; a brush or a cloth before it drags them across the {surface}.',
  'no-dry-wipe-on-gritty-splash': 'A dried splash has a gritty heart: soak it, do not rub the {surface} dry.',
  'no-dry-wipe-on-heavy-film': 'A film as plain as this only spreads under a dry cloth: go on to the damp wipe on the {surface}.',
  'fog-is-left': 'Fog clears by itself; wiping the {surface} now only moves dirt about.',
  'growth-meets-what-is-thrown-away':
    'Spores stay in a brush or cloth and go on to the next thing: on the {surface} only what is thrown away, sealed.',
  'no-solvent-on-plastic':
    'The {surface} is plastic: alcohol, acetone, ammonia and window cleaner craze it or take its coating. Eyeglass-type cleaner or the maker’s own.',
  'makers-cleaner-only': 'The maker of this coating names a cleaner: that and nothing else on the {surface}.',
  'barely-damp-near-the-mount': 'At the mount opening ({surface}) only a barely damp swab: nothing that can drip in.',
  'wash-only-what-comes-off': 'The {surface} does not come off, so it cannot be washed without water getting in.',
  'no-solvent-on-rubber': 'Solvent takes the dressing out of rubber: the {surface} would harden and crack.',
  'tool-roles': 'This tool is not kept for that: what has touched a shell never touches the {surface}.',
  'school-no-breath': 'Your school says never: breath is wet and not clean.',
  'school-no-glass-brush': 'Your school keeps bristles off glass.',
  'school-mirror-air-and-brush':
    'Your school leaves the {surface} at air and brush: loose dirt on it never shows in the picture, and a film is dabbed from “light” on.',
  'school-sensor-service': 'Your school hands the sensor over: a scratched sensor is final.',
};

/** The rule's message for this surface. */
export const ruleWords = (rule: care.RuleId, surface: care.Surface): string =>
  MESSAGES[rule].replaceAll('{surface}', care.SURFACES[surface].name);

/** The rule's message, of whatever surface. */
export const ruleInGeneral = (rule: care.RuleId): string => MESSAGES[rule].replaceAll('{surface}', 'surface');
