export { changeVersion, staleNow, Versioned } from './versioned.js';
