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
  'no-broker': {
    status: 409,
    title: 'No broker is named',
    remedy: 'Say first at which address the broker of your network answers.',
  },
  'broker-unreadable': {
    status: 503,
    title: 'What is kept of the broker cannot be read',
    remedy: 'Look at the log of the program; move air/broker.json of the data folder away to begin anew.',
  },
  'metrics-key-unreadable': {
    status: 503,
    title: 'What is kept of the key cannot be read',
    remedy: 'Look at the log of the program; move the file metrics.json in the folder air of the data folder away to begin anew.',
  },
  'addresses-unreadable': {
    status: 503,
    title: 'Which addresses may be asked cannot be read',
    remedy: 'Look at the log of the program; move the file addresses.json in the folder air of the data folder away to begin anew.',
  },
  'broker-silent': {
    status: 422,
    title: 'The broker does not answer',
    remedy: 'Look whether it runs, and whether its address, name and password are right.',
  },
  'not-nearby': {
    status: 422,
    title: 'This is not on this network',
    remedy: 'Only this machine and the network it is in are asked. Check the address.',
  },
  'address-silent': {
    status: 422,
    title: 'Nothing that can be read came from there',
    remedy: 'Open the address in a browser on this machine, and compare.',
  },
  'log-unreadable': {
    status: 422,
    title: 'This file cannot be read as a log',
    remedy: 'Save it as CSV with a heading line and try again.',
  },
  'log-type': { status: 415, title: 'This is no CSV file', remedy: 'Send the log as it is, as text/csv.' },
  'log-format': { status: 400, title: 'How to read the file is not clear', remedy: 'Choose the columns and try again; nothing was saved.' },
});
