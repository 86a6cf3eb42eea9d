import { errorTable } from '../problem.js';

export const gearErrors = errorTable({
  'item-not-found': { status: 404, title: 'This thing is not on the shelf', remedy: 'It may have been removed; go back to the shelf.' },
  'item-archived': { status: 409, title: 'This thing is archived', remedy: 'Restore it first.' },
  'import-has-errors': {
    status: 422,
    title: 'None of it can be imported',
    remedy: 'Correct the rows named, or map the columns differently. Nothing was imported.',
  },
  'import-unreadable': {
    status: 422,
    title: 'This file cannot be read as a table',
    remedy: 'Save it as CSV with a heading line, in UTF-8, and try again.',
  },
  'cursor-unknown': { status: 400, title: 'This page mark is not one of ours', remedy: 'Start again from the first page.' },
});
