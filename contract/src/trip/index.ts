export { tripErrors } from './errors.js';
export {
  fromPictures,
  outingInput,
  outingUpdate,
  type FromPictures,
  type Outing,
  type OutingInput,
  type OutingUpdate,
  type TakenFromPictures,
} from './schema.js';
