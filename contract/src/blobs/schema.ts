import Joi from 'joi';
import { errorTable } from '../problem.js';

/** Photographs as they are shown; what else comes is turned away. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
/** More than any photograph as a camera writes it. */
export const LARGEST_PICTURE_BYTES = 64 * 1024 * 1024;

export type BlobParam = { hash: string };
/** A picture is called by what it is: the SHA-256 of its bytes. */
export const blobParam = Joi.object<BlobParam>({
  hash: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .messages({ 'string.pattern.base': 'This is not a picture of ours.' })
    .required(),
});
export type BlobQuery = { small: boolean };
export const blobQuery = Joi.object<BlobQuery>({ small: Joi.boolean().default(false) });

export const blobErrors = errorTable({
  'picture-not-found': { status: 404, title: 'There is no such picture', remedy: 'It may have been removed already.' },
  'picture-unreadable': {
    status: 422,
    title: 'This is no picture that can be shown',
    remedy: 'Send a JPEG, PNG or WebP of at most 100 megapixels, whole and unchanged.',
  },
  'picture-too-large': { status: 413, title: 'This file is too large', remedy: 'Send one of at most 64 MB.' },
});
