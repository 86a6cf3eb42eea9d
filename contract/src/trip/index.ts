export { tripErrors } from './errors.js';
export { OUTING_PLACES, outingInput, outingUpdate, type Outing, type OutingInput, type OutingPlace, type OutingUpdate } from './schema.js';
