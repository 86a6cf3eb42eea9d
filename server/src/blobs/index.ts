export { BlobModule } from './blob.module.js';
export { BlobRepository, PART_BYTES } from './blob.repository.js';
export { FILE_TYPE, KEPT_TYPES, type KeptType, typeFits } from './fileType.js';
export { pictureBytes, pictureToKeep } from './picture.js';
