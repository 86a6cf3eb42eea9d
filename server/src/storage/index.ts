export { ClimateService } from './climate.service.js';
export { HomesService } from './homes.service.js';
export { StorageModule } from './storage.module.js';
export { TimerService } from './timer.service.js';
export { KnownService } from './known.service.js';
export { WhatIfService } from './whatIf.service.js';
