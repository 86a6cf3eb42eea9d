import { errorTable } from '../problem.js';

export const tripErrors = errorTable({
  'outing-not-found': { status: 404, title: 'There is no such outing', remedy: 'It may have been removed already.' },
});
