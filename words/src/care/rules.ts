import { care } from '@bright-keeper/core';

/** What each rule says of a surface, whose name stands where `{surface}` is written. */
const MESSAGES: Record<care.RuleId, string> = {
  'put-away-in-sand-and-rain':
    'Sand or rain is in the air: cap it and put it away. Nothing is opened, brushed or wiped before you are in shelter.',
  'stay-closed-in-the-wind': 'What lies behind the mount ({surface}) stays closed in the wind. Into the car, or indoors.',
  'bench-work-waits': 'This is bench work, for a still and clean table at home ({surface}).',
  'no-open-fluid-in-the-field': 'No open fluid in the field: a sealed wipe does it, or it waits for home.',
  'no-water-out-here':
    'Fresh water is wanted on the {surface}, and there is none out here. That waits for home; nothing else goes over it.',
  'no-fluid-in-frost-or-dew':
    'Below freezing or while dew falls, fluid freezes or smears on the {surface}: that waits until you are indoors.',
  'field-air-and-brush':
    'In the field only air and brush on the {surface}; a wipe is for what spoils what you came for. This can wait for home.',
  'sensor-stays-closed-outdoors':
    'Opening the camera outdoors lets in more than a blower takes out. Retouch, and look at the {surface} at home.',
  'air-first': 'Air comes first: without a clean blower at hand nothing touches the {surface}.',
  'nothing-dry-on-a-sensor':
    'On the {surface} only air and a damp swab of its own width: a dry cloth or a brush that has touched anything leaves more than it takes.',
  'mirror-is-never-stroked':
    'The silver of the {surface} lies bare: air, a soft brush kept for glass, at most a damp dab. Never a dry wipe, never a stroke of cloth, and cotton swabs are coarse.',
  'only-air-on-a-focusing-screen': 'Only air on the {surface}: it is soft plastic or ground glass. Dust there never shows in the picture.',
  'mirror-box-by-air-only':
    'Only air in the {surface}, mirror and mount down, and again with the mirror up. No cloth, swab or brush goes in.',
  'soft-coating':
    'The {surface} bears no solvent and no carbon tip: it is bare, has one soft old layer, or is plastic. Fewer strokes, too.',
  'telescope-mirrors-are-bathed':
    'A telescope mirror ({surface}) is washed as its maker says, in a bath of water with cotton and at long intervals, or left. Nothing of this ladder touches it.',
  'no-canned-air-inside':
    'Canned air can spit liquid propellant: it stains coatings and damages sensors. Use a bulb blower on the {surface}.',
  'polish-bare-acrylic-only':
    'Polish takes hairlines out of uncoated acrylic only. On the {surface} it would take the coating, or do nothing to glass.',
  'no-household-wipes': 'Wood fibre and grit: neither shirt tails nor paper towels nor toilet or facial tissue on the {surface}.',
  'no-opening-of-radioactive-glass': 'Suspected radioactive glass is never opened or ground.',
  'no-opening-of-electronics': 'Flat cables and sensors sit behind the rings of an electronic lens: they tear, and it must be set up anew.',
  'no-opening-by-the-owner': 'It is not opened by its owner: what is inside can hurt, or is lost for good once it is undone.',
  'grit-in-the-field': 'Grains are seen on the {surface}: wiping would drag them across it. Blow, brush, cap it, and wait for home.',
  'no-alcohol-over-salt': 'Alcohol does not dissolve salt: with it one only drags the crystals across the {surface}. Fresh water first.',
  'dissolve-salt-first':
    'Dried salt is hard crystals. Fresh water comes first; a brush or a cloth before it drags them across the {surface}.',
  'no-dry-wipe-on-gritty-splash': 'A dried splash has a gritty heart: soak it, do not rub the {surface} dry.',
  'no-dry-wipe-on-heavy-film': 'A film as plain as this only spreads under a dry cloth: go on to the damp wipe on the {surface}.',
  'fog-is-left': 'Fog clears by itself: while it is there nothing touches the {surface}, neither brush nor cloth nor drop.',
  'air-spreads-it':
    'On the {surface} air, bristles and dry cloths would carry it about: it is taken damp, by a window, gloves on, and what took it is thrown away.',
  'no-bristles-over-grease': 'Grease and glue are not brushed: that spoils the brush for glass and only smears the {surface}.',
  'soft-finish-is-not-rubbed': 'A gluey or flaking finish sheds under bristles and dry cloths: air only on the {surface}.',
  'no-oil-over-grit': 'Oil or grease over grains makes a grinding paste: the grains come out of the {surface} first.',
  'leather-is-never-soaked': 'Leather is never soaked: the {surface} is wiped barely damp and dried away from heat.',
  'shutter-curtain-is-not-touched': 'The {surface} runs to a hundredth of a millimetre: it is neither touched nor blown at.',
  'converted-sensor-by-air': 'The {surface} was changed by a converter: its glue and filter bear less. Air, and the converter’s own word.',
  'no-fluid-near-a-joint': 'Fluid creeps into the motors of the {surface} and stays there: air, and a dry swab at most.',
  'growth-meets-what-is-thrown-away':
    'What took mould, splinters or a leak goes on to the next thing: on the {surface} only what is thrown away, sealed.',
  'no-solvent-on-plastic':
    'Plastic ({surface}): alcohol, acetone, ammonia and window cleaner craze it or take its coating. Eyeglass-type cleaner or the maker’s own.',
  'makers-cleaner-only': 'The maker of this coating names a cleaner: that and nothing else on the {surface}.',
  'barely-damp-near-the-mount': 'At the mount opening ({surface}) only a barely damp swab: nothing that can drip in.',
  'wash-only-what-comes-off': 'Only what comes off is washed: at the {surface} water would get in.',
  'no-solvent-on-rubber': 'Solvent takes the dressing out of rubber, which hardens and cracks ({surface}).',
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
