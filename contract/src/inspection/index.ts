export {
  correctLook,
  type CarriedLook,
  type CorrectLook,
  carriedLook,
  type FinishLook,
  finishLook,
  type LookAnswer,
  type LookPhoto,
  type LookPhotoParam,
  lookPhotoParam,
  type LookPhotoQuery,
  lookPhotoQuery,
  type LookPhotos,
  type SaveLook,
  findingsSeen,
  saveLook,
  type SoilSeen,
  type StartLook,
  startLook,
} from './schema.js';
export type { LookDoc } from './dto.js';
export { inspectionErrors } from './errors.js';
