export { blobErrors, blobParam, blobQuery, LARGEST_PICTURE_BYTES, PICTURE_TYPES, type BlobParam, type BlobQuery } from './schema.js';
