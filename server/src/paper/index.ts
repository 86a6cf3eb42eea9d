export { type Column, Paper } from './paper.js';
