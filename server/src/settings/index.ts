export { SettingsModule } from './settings.module.js';
export { SettingsService } from './settings.service.js';
