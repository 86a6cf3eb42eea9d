import 'reflect-metadata';
import { restoreFrom, run } from './household.js';

const words = process.argv.slice(2);
await run(() =>
  restoreFrom(
    words.find((word) => !word.startsWith('--')),
    words.includes('--check'),
  ),
);
