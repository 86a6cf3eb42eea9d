export { JournalModule } from './journal.module.js';
export { JournalRepository } from './journal.repository.js';
