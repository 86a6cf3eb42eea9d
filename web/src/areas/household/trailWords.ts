import type { TrailAct, TrailEntry, TrailSubject } from '@bright-keeper/contract';

const SUBJECTS: Record<TrailSubject, string> = {
  thing: 'Thing',
  things: 'List of things',
  look: 'Look',
  cleaning: 'Clean',
  opening: 'Opening',
  outing: 'Outing',
  outings: 'Outings from pictures',
  place: 'Place',
  timer: 'Timer',
  duty: 'Duty',
  entry: 'Entry of the log',
  rhythm: 'Rhythm',
  'bench-times': 'Bench times',
  'calendar-address': 'Calendar address',
  'other-calendar': 'Other calendar',
  hygrometer: 'Hygrometer',
  key: 'Key of a hygrometer',
  'salt-test': 'Salt test',
  reading: 'Reading',
  readings: 'Readings',
  forecast: 'Forecast',
  log: 'Log of a hygrometer',
  frame: 'Test frame',
  'glare-test': 'Glare test',
  drawer: 'Drawer',
  supply: 'Supply',
  settings: 'Settings',
  backup: 'Backup',
  'backup-folder': 'Folder of the backups',
  household: 'Household',
  passphrase: 'Passphrase',
  network: 'Access from the network',
  'unencrypted-key': 'What a key may do unencrypted',
  'paired-device': 'Paired device',
  keeper: 'Keeper',
  broker: 'Broker of the hygrometers',
  alarms: 'Alarms that go out',
  offer: 'Offer',
  practice: 'Practice',
};

const ACTS: Record<TrailAct, string> = {
  added: 'added',
  begun: 'begun',
  changed: 'changed',
  noted: 'written about',
  moved: 'put elsewhere',
  finished: 'finished',
  dropped: 'given up',
  removed: 'removed',
  'put-away': 'put into the archive',
  'carried-over': 'carried over',
  'brought-back': 'brought back',
  'sent-away': 'sent away',
  'taken-in': 'taken in',
  restored: 'restored from a file',
  made: 'made',
  revoked: 'taken away',
  pushed: 'pushed',
  ticked: 'ticked off',
  'passed-over': 'passed over',
  'put-off': 'put off',
  planned: 'put on a day',
  'taken-back': 'taken back',
  washed: 'washed',
  bought: 'bought',
  declined: 'declined',
};

/** What was done, in a few words: “Look finished”. */
export const deedWords = ({ subject, act }: Pick<TrailEntry, 'subject' | 'act'>): string => `${SUBJECTS[subject]} ${ACTS[act]}`;

/** Who did it: a keeper as they were called then, a device as it is called now. @param areSeveral keepers, who have to be told apart. */
export function whoWords({ who }: Pick<TrailEntry, 'who'>, areSeveral: boolean): string {
  if (who.is === 'device') return who.name || 'A hygrometer that is gone';
  return who.name ?? (areSeveral ? 'Somebody at the machine, or before there were several' : 'You');
}
