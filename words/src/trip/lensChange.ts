import type { trip } from '@bright-keeper/core';

export const LENS_CHANGE_ANSWER: Record<trip.LensChangeAnswer, string> = {
  'go-ahead': 'Go ahead, quick.',
  'under-cover': 'Under the cover.',
  shelter: 'In the shelter.',
  wait: 'Wait. Finish with the lens that is on.',
};
export const WIND_SIGN: Record<trip.WindSign, string> = {
  still: 'Still',
  'leaves-rustle': 'Leaves rustle',
  'raises-dust': 'It raises dust',
  'branches-move': 'Branches sway',
};
export const IN_THE_AIR_WORDS: Record<trip.InTheAir, string> = {
  'blowing-sand': 'Blowing sand',
  'heavy-rain': 'Heavy rain',
  spray: 'Salt spray',
  'light-rain': 'Drizzle or snow',
  dew: 'Mist or dew',
};

const BECAUSE: Record<trip.LensChangeBecause, string> = {
  fogs: 'The camera is colder than the dew point of this air: opened, it fogs inside. It stays shut until it is as warm as the air.',
  'blowing-sand': 'In blowing sand nothing is opened: grains come in under any cover.',
  'heavy-rain': 'In heavy rain nothing is opened.',
  spray: 'Salt that falls on a contact or a mount eats on long after the spray is over.',
  'light-rain': 'A drop in the mount dries on a contact or on the sensor.',
  dew: 'Dew settles on a cold rear element within seconds.',
  'raises-dust': 'The wind carries dust, and an open mount is a funnel.',
  'branches-move': 'In this wind dust flies everywhere, and no cover stays where it is held.',
};
/** What speaks against going ahead, a sentence each. */
export const lensChangeBecause = ({ because }: Pick<trip.LensChangeAdvice, 'because'>): string[] => because.map((b) => BECAUSE[b]);

const STEP: Record<trip.LensChangeStepId, string> = {
  ready: 'The next lens to hand, its rear cap loosened and still on; a pocket open for the one that comes off.',
  'into-shelter': 'Into the car or indoors, doors and windows shut, no fan; a minute until the dust has settled.',
  'into-cover': 'A clean cover or large bag, shaken out first: camera and both lenses inside, both hands through the opening.',
  'back-to-wind': 'Back to the wind, over the open bag: you are the wall, the bag is the roof.',
  'no-breath': 'Do not breathe towards it: below freezing, breath freezes on glass and contacts.',
  'switch-off': 'Switch it off: a live sensor draws dust.',
  'mount-down': 'The mount faces down from here on.',
  off: 'Catch pressed, turned, off. It is held with its rear down, and laid with its rear away from the wind.',
  'uncap-and-on': 'The rear cap off the next lens, last of all; one look at its rear; on, straight, until it clicks.',
  cap: 'That rear cap on the lens that came off, before it goes into the pocket.',
  'frame-tonight': 'Tonight a frame of something plain at f/16 shows what fell in.',
};
export const lensChangeStep = ({ id }: trip.LensChangeStep): string => STEP[id];
export const STANDS_OPEN: Record<trip.StandsOpen, string> = { body: 'Camera', off: 'Old lens', on: 'Next lens' };
