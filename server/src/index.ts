import 'reflect-metadata';

export { createApp } from './app.js';
export { AppModule } from './app.module.js';
export { openDatabase, Database } from './db/database.js';
export { DirectoryInUse, lockDirectory } from './db/lock.js';
export { SeededIds, SetClock, SystemClock, SystemIds } from './platform/clock.js';
export { DEFAULT_PORT, portFromEnvironment, serve } from './serve.js';
export { CareService } from './care/care.service.js';
export { GearService } from './gear/gear.service.js';
export { InspectionService } from './inspection/inspection.service.js';
export { SuppliesService } from './supplies/supplies.service.js';
export { PlaceService } from './storage/place.service.js';
export { ClimateService } from './storage/climate.service.js';
export { DeviceService } from './air/device.service.js';
export { AgendaService } from './schedule/agenda.service.js';
export { DutyService } from './schedule/duty.service.js';
export { OutingService } from './trip/outing.service.js';
export { FieldService } from './care/field.service.js';
