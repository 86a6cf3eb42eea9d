import type { care } from '@bright-keeper/core';

const LINES: Record<care.LineId, string> = {
  'still-table': 'A clear, still, dust-free table and a good slanted lamp. Hands washed; gloves if they sweat.',
  'air-over-touched-glass': 'Once more air over the glass you touched, facing down.',
  'seal-the-wipes': 'Seal the used wipes in a bag, throw them out, wash your hands. Keep it apart from the rest.',
  'dry-open-look-in-two-months':
    'Let it dry open. Look at it again in two months: a finish that was removed in part turns again where it is shut away.',
  'hands-off-the-glass': 'Hands off the glass.',
  'film-out-first': 'No film in it: wind it back and take it out before the door is opened.',
  'bellows-out-slowly': 'Open it by its own button and let the bed come by itself: nothing is pulled.',
  'door-shut-empty': 'Shut the door once without film and see that it closes all round.',
  'flash-off-cells-out':
    'Switch it off and wait ten minutes, then take the cells out. Never open it: its capacitor keeps its charge for days.',
  'cells-stay-out': 'Cells go back in when it is used; for storing they stay out.',
  'motors-off-propellers-off': 'Motors off, battery out, propellers off. The arm is held, never forced.',
  'arm-free-before-power': 'See that the arm swings free, then battery and propellers back on.',
  'eyecups-down': 'Fold the eyecups down.',
  'power-back-for-the-sensor': 'Charged battery back in, or mains: before the sensor is opened, and it stays in until the sensor is done.',
  'power-for-the-sensor': 'Battery full or on mains, and it stays in until the sensor is done.',
  'outside-before-the-lens-comes-off': 'Brush the outside round the mount and blow it before the lens comes off, so that nothing falls in.',
  'lens-off-body-capped': 'Lens off over the table, rear cap on it at once; body cap on until the mount’s turn.',
  'one-more-test-frame': 'Take one more test frame with the lens you will use next.',
  'lens-out-then-battery': 'Brush the shell first. Switch on so that the lens comes out, then take the battery out so that it stays out.',
  'eyecup-off': 'Eyecup off; it is washed by itself.',
  'blow-out-the-case': 'Blow out its case and put it away.',
  'off-the-camera': 'Clean the body cap, then take the lens off over the table and cap the body. Never stand the lens on its rear element.',
  'zoom-at-its-longest': 'Set the zoom where it is longest; for some that is the wide end.',
  'filter-off-in-turn': 'Unscrew the filter when its turn comes; it lies face up on a clean cloth.',
  'thread-laid-open': 'Draw the lens out to its nearest focus, so that the thread lies open.',
  'hood-off': 'Hood off; it is done by itself, before the glass.',
  'filter-back-on': 'A checked, clean filter goes back on.',
  'filter-for-harsh-places': 'The filter goes back on before sand, spray or a crowd; otherwise it may stay off.',
  'filter-stays-off': 'Your school leaves the filter off: keep it in its case.',
  'out-of-its-case': 'Out of its case, screen off.',
  'nothing-wet-near-openings': 'Nothing wet near the openings.',
  'rinse-and-dry': 'Rinse it in fresh water and let it dry.',
  'glass-or-acrylic': 'Glass or acrylic? Be sure before any fluid: it decides.',
  'look-at-the-lens-behind': 'Look at the lens behind it before it goes in.',
  'o-ring-back': 'O-ring back in its groove, without a hair or a twist.',
  'into-its-case': 'Into its case.',
  'wash-your-face': 'Wash your face: lashes and cheeks dirty an eye lens again at once.',
  'battery-out': 'Switch off and take the battery out before anything touches bay or contacts.',
  'battery-back': 'Battery back in; check that it runs.',
  'caps-on': 'Blow out the caps and put them on.',
  'washed-caps-on': 'Put the caps on when they are washed and wholly dry; until then cover the ends with something clean.',
  'both-ends-capped': 'Both ends capped while the outside is done.',
  'tube-level': 'Tube level or pointing a little down, so that dust falls away from the glass.',
  'mirror-box-first': 'Blow the mirror box first: mirror down, mount down. Then raise the mirror by the cleaning mode or a long exposure.',
  'off-camera-and-lens': 'Off the camera and off the lens, over the table; cap both at once.',
};

/** A line of what to do before or after the work, as one reads it. */
export function lineWords(said: care.SaidLine): string {
  switch (said.line) {
    case 'swab': {
      const strips = said.lanes > 1 ? `, in ${said.lanes} strips that overlap` : '';
      return `Swab ${said.widthMm} mm wide, drawn along the ${said.axis}${strips}. Keep the blower’s tip outside the mount.`;
    }
    case 'back-to-the-wind':
      return `Back to the wind, item low and close to you, or into the car.${said.caps ? ' Caps in a closed pocket, not in the sand.' : ''}`;
    default:
      return LINES[said.line];
  }
}
