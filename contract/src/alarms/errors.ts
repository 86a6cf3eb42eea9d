import { errorTable } from '../problem.js';

export const alarmErrors = errorTable({
  'alarms-unreadable': {
    status: 503,
    title: 'What is kept of the alarms cannot be read',
    remedy: 'Look at the log of the program; move alarms/alarms.json of the data folder away to begin anew.',
  },
});
