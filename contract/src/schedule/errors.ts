import { errorTable } from '../problem.js';

export const scheduleErrors = errorTable({
  'due-not-found': { status: 404, title: 'This is not due any more', remedy: 'It may have been done already; look at Today again.' },
  'done-by-looking': { status: 409, title: 'This is done by looking', remedy: 'Start the look; finishing it ticks this off.' },
});
