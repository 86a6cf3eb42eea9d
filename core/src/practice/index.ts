export {
  type Ask,
  type Choice,
  type PracticeCase,
  practiceCases,
  type PracticeChoice,
  type PracticeQuestion,
  type Why,
} from './questions.js';
export {
  comesBack,
  gradeOf,
  isOf,
  nextCase,
  type NextCase,
  type Practice,
  PRACTICES,
  type PracticeRun,
  practiceState,
  type PracticeState,
} from './when.js';
