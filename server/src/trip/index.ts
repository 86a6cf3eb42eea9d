export { outingFacts } from './outingFacts.js';
export { OutingRepository } from './outing.repository.js';
export { OutingService } from './outing.service.js';
export { TripModule } from './trip.module.js';
