import { errorTable } from '../problem.js';

export const sensorErrors = errorTable({
  'frame-not-found': { status: 404, title: 'There is no such frame', remedy: 'It may have been removed already.' },
  'no-sensor': { status: 422, title: 'This thing has no sensor', remedy: 'Choose a body with one.' },
  'glare-not-found': { status: 404, title: 'There is no such test', remedy: 'It may have been removed already.' },
  'dismissal-not-found': { status: 404, title: 'Nothing was dismissed there', remedy: 'It may have been taken back already.' },
});
