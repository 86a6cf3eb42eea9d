export { MoveService } from './move.service.js';
export { PlaceModule } from './place.module.js';
export { PlaceService } from './place.service.js';
export { StayModule } from './stay.module.js';
export { type Lying, type LyingIn, StayRepository } from './stay.repository.js';
