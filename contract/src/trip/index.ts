export { tripErrors } from './errors.js';
export { outingInput, outingUpdate, type Outing, type OutingInput, type OutingUpdate } from './schema.js';
