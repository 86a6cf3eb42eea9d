import { errorTable } from '../problem.js';

export const accessErrors = errorTable({
  'not-in': {
    status: 401,
    title: 'This device is not let in',
    remedy: 'Pair it with a code from the machine Bright Keeper runs on, or give the passphrase.',
  },
  'owner-only': {
    status: 403,
    title: 'The passphrase is asked for once more',
    remedy: 'Whoever lets others in gives it first. It counts for ten minutes.',
  },
  'owners-only': { status: 403, title: 'That is for an owner', remedy: 'Ask one: who they are stands in Settings, Access.' },
  'readers-only-read': {
    status: 403,
    title: 'You read this household and change nothing in it',
    remedy: 'Ask an owner to make you a keeper, in Settings, Access. What you typed is still here.',
  },
  'not-yours': { status: 403, title: 'That device is somebody else’s', remedy: 'Its keeper lets it go, or an owner does.' },
  'last-owner': {
    status: 409,
    title: 'A household has an owner',
    remedy: 'Make somebody else an owner first.',
  },
  'no-such-keeper': { status: 404, title: 'That keeper is not here any more', remedy: 'Somebody removed them meanwhile.' },
  'name-taken': { status: 409, title: 'Two keepers cannot have one name', remedy: 'Choose a name that tells them apart.' },
  'own-name-missing': {
    status: 409,
    title: 'You need a name as well',
    remedy: 'Say what you are called: the log tells from now on who did what.',
  },
  'too-many-keepers': { status: 409, title: 'No more keepers', remedy: 'Remove one first who does not come any more.' },
  'wrong-passphrase': { status: 401, title: 'That is not the passphrase', remedy: 'Look at capitals and spaces, and try again.' },
  'wrong-name-or-passphrase': {
    status: 401,
    title: 'That name and that passphrase do not belong together',
    remedy: 'Look at the name, at capitals and spaces, and try again.',
  },
  'no-passphrase-set': {
    status: 409,
    title: 'There is no passphrase yet',
    remedy: 'Choose one first: nobody is let in from the network without it.',
  },
  'wrong-code': {
    status: 401,
    title: 'That code opens nothing',
    remedy: 'It holds for ten minutes and for one device, and ends after a few wrong tries. Have a new one shown.',
  },
  'guessed-too-often': {
    status: 429,
    title: 'Too many wrong tries',
    remedy: 'Wait a quarter of an hour. Devices that are let in, and the machine itself, are not kept waiting.',
  },
  'too-many-devices': {
    status: 409,
    title: 'No more devices can be let in',
    remedy: 'Let one go in Settings, Access that is not used any more.',
  },
  'too-many-keys': { status: 409, title: 'No more keys may come unencrypted', remedy: 'Take one back first that is not used any more.' },
  'device-not-let-in': { status: 404, title: 'That device is not let in', remedy: 'It was let go already, or its time was over.' },
  'access-unreadable': {
    status: 409,
    title: 'Who may come in cannot be read',
    remedy: 'The file access/access.json in the data folder is damaged. Move it away: everybody comes in anew then.',
  },
  'no-network-here': {
    status: 409,
    title: 'This program answers its own machine only',
    remedy: 'It was started without a port for the network. Start it with npm start.',
  },
  'only-encrypted': {
    status: 403,
    title: 'Not unencrypted',
    remedy: 'Ask the address that begins with https.',
  },
  'unnamed-proxy': {
    status: 403,
    title: 'This came through a proxy that nobody has named',
    remedy: 'A proxy in front has a door of its own. How it is set up stands in docs/running.md.',
  },
});
