import { errorTable } from '../problem.js';

export const suppliesErrors = errorTable({
  'supply-not-found': { status: 404, title: 'This is not in the drawer', remedy: 'It may have been taken out; look at the drawer again.' },
  'not-washable': {
    status: 409,
    title: 'This is not washed',
    remedy: 'Only cloths and chamois are washed; replace the rest when it is worn.',
  },
  'never-promoted': { status: 409, title: 'Only a glass tool can be demoted', remedy: 'What is for the shell stays there.' },
  'stock-short': { status: 409, title: 'The drawer held less than was used', remedy: 'Count it as used up, or correct the stock first.' },
});
