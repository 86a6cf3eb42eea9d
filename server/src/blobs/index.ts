export { BlobModule } from './blob.module.js';
export { BlobRepository, PART_BYTES } from './blob.repository.js';
export { FILE_TYPE, isWholePdf, KEPT_TYPES, type KeptType, PDF_TYPE, typeFits } from './fileType.js';
export { pictureBytes, pictureToKeep, smallPicture } from './picture.js';
