import { errorTable } from '../problem.js';

export const gearErrors = errorTable({
  'item-not-found': { status: 404, title: 'This thing is not on the shelf', remedy: 'It may have been removed; go back to the shelf.' },
  'item-archived': { status: 409, title: 'This thing is archived', remedy: 'Restore it first.' },
  'file-not-found': { status: 404, title: 'There is no such picture or paper', remedy: 'It may have been removed already.' },
  'file-unreadable': {
    status: 422,
    title: 'This is neither a whole PDF nor a picture that can be shown',
    remedy: 'Send a PDF, JPEG, PNG or WebP, whole and unchanged.',
  },
  'too-many-files': {
    status: 409,
    title: 'This thing has as many pictures and papers as one can have',
    remedy: 'Remove one of its 60 first.',
  },
  'belongs-to-itself': {
    status: 409,
    title: 'A thing cannot belong to itself',
    remedy: 'Choose another one: this one belongs to it already, or is the same. Nothing was changed.',
  },
  'too-few-to-split': {
    status: 422,
    title: 'There are not so many of them',
    remedy: 'Split off fewer than there are: one stays at least.',
  },
  'split-while-away': { status: 409, title: 'They are not here', remedy: 'Say that they are back first; then split them.' },
  'import-has-errors': {
    status: 422,
    title: 'None of it can be imported',
    remedy: 'Correct the rows named, or map the columns differently. Nothing was imported.',
  },
  'import-unreadable': {
    status: 422,
    title: 'This file cannot be read as a table',
    remedy: 'Save it as CSV in UTF-8, as XLSX or as ODS, with a line of headings, and try again.',
  },
  'cursor-unknown': { status: 400, title: 'This page mark is not one of ours', remedy: 'Start again from the first page.' },
});
