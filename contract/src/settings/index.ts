export { type Settings, settingsUpdate } from './schema.js';
