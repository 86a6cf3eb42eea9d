import { errorTable } from '../problem.js';

export const recordErrors = errorTable({
  'too-many-for-a-report': {
    status: 422,
    title: 'One report holds 2,000 things at most',
    remedy: 'Make reports of single things, or take off the shelf what is gone.',
  },
  'offer-not-found': { status: 404, title: 'There is no such offer', remedy: 'It may have been removed; go back to the offers.' },
  'offer-over': { status: 409, title: 'This offer is over', remedy: 'It was bought or declined already; begin another one.' },
});
