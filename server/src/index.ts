import 'reflect-metadata';

export { createApp } from './app.js';
export { AppModule } from './app.module.js';
export { Database } from './db/index.js';
export { openInMemory } from './startup/index.js';
export { SeededIds, SetClock, SystemClock, SystemIds, DataFolder, Disk } from './platform/index.js';
export { CareService, FieldService } from './care/index.js';
export { GearService } from './shelf/index.js';
export { InspectionService } from './inspection/index.js';
export { SuppliesService } from './supplies/index.js';
export { MoveService, PlaceService } from './places/index.js';
export { ClimateService, KnownService, WhatIfService } from './storage/index.js';
export { DeviceService } from './air/index.js';
export { AgendaService } from './agenda/index.js';
export { DutyService } from './schedule/index.js';
export { SensorService } from './sensor/index.js';
export { OutingService } from './trip/index.js';
export { ArchiveReader, ArchiveWriter, ROW_CONTRACTS, tablesOf, writeArchive, restore, previewOf, takeIn } from './household/index.js';
