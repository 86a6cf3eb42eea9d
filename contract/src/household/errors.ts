import { errorTable } from '../problem.js';

export const householdErrors = errorTable({
  'archive-unreadable': {
    status: 422,
    title: 'This file cannot be read',
    remedy: 'Choose a backup or an export of Bright Keeper, a file that ends in .zip, whole and unchanged.',
  },
  'archive-damaged': {
    status: 422,
    title: 'This file is damaged',
    remedy: 'Part of it is not as it was written. Nothing was taken in; try another backup.',
  },
  'archive-too-much': {
    status: 422,
    title: 'There is more in this file than a household holds',
    remedy: 'Nothing was taken in. Choose a backup or an export of Bright Keeper.',
  },
  'archive-unfit': {
    status: 422,
    title: 'Some of what is in this file cannot be taken in',
    remedy: 'What is listed is not as this program writes it. Nothing was taken in; try another backup.',
  },
  'archive-newer': {
    status: 422,
    title: 'This file was made by a newer version',
    remedy: 'Nothing was taken in. Bring Bright Keeper up to date first.',
  },
  'household-not-empty': {
    status: 409,
    title: 'There is a household here already',
    remedy: 'A backup is restored into an empty one only. To take a file into this one, use “Take in another household”.',
  },
  'archive-conflict': {
    status: 409,
    title: 'The two households do not go together',
    remedy: 'Something in the file contradicts what is here. Nothing was taken in.',
  },
  'holds-no-folder': { status: 404, title: 'This program holds no folder', remedy: 'Its household is kept by a PostgreSQL server.' },
  'no-such-backup': { status: 404, title: 'There is no such backup', remedy: 'It may have made room for a newer one.' },
  'folder-unusable': {
    status: 422,
    title: 'Backups cannot be put there',
    remedy: 'Name a folder that exists and that this program may write to.',
  },
  'backup-failed': {
    status: 507,
    title: 'The backup could not be made',
    remedy: 'See whether there is room where backups go, then try once more.',
  },
});
