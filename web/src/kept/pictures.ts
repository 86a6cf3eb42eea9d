/** The cache that pictures are kept in; the service worker answers from it. */
export const PICTURES = 'pictures';
