export { mayTouch } from './mayTouch.js';
