import { errorTable } from '../problem.js';

export const airErrors = errorTable({
  'device-not-found': {
    status: 404,
    title: 'This hygrometer is not known',
    remedy: 'It may have been removed; look at Hygrometers again.',
  },
  'bad-token': {
    status: 401,
    title: 'This key is not one of ours',
    remedy: 'Make a new key on the page of the hygrometer and give it to the device.',
  },
  'push-type': {
    status: 415,
    title: 'Readings are not taken in this form',
    remedy: 'Send SenML or other JSON as application/json, or lines of a measurement each as text/plain.',
  },
  'not-outdoors': {
    status: 409,
    title: 'Only a weather station sends a forecast',
    remedy: 'Mark the device as outdoors, or send readings.',
  },
  'log-unreadable': {
    status: 422,
    title: 'This file cannot be read as a log',
    remedy: 'Save it as CSV with a heading line and try again.',
  },
  'log-type': { status: 415, title: 'This is no CSV file', remedy: 'Send the log as it is, as text/csv.' },
  'log-format': { status: 400, title: 'How to read the file is not clear', remedy: 'Choose the columns and try again; nothing was saved.' },
});
