import 'reflect-metadata';
import { restoreFrom, run } from './household.js';

const words = process.argv.slice(2);
await run(() =>
  restoreFrom(
    words.find((word) => !word.startsWith('--')),
    { check: words.includes('--check'), asItIs: words.includes('--as-it-is') },
  ),
);
