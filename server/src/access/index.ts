export { AccessModule } from './access.module.js';
export { AccessService } from './access.service.js';
export { beginPage } from './beginPage.js';
export { broughtAlong, type CertificateSource, ownAuthority } from './certificate.js';
export { gate } from './gate.js';
export { slowGuesses } from './guesses.js';
export { namesHere } from './names.js';
export type { NetworkOptions } from './options.js';
