export { playDemo, THINGS } from './play.js';
