export { AirModule } from './air.module.js';
export { DeviceRepository, type EventRow } from './device.repository.js';
export { DeviceService, latestOf } from './device.service.js';
export { HouseAir, type KnownDevice, type Latest } from './houseAir.js';
export { IntakeService } from './intake/intake.service.js';
export { DAY_BYTES, packHours, READING_BYTES, SCALE, unpackReadings } from './packedDay.js';
export { ReadingRepository, type Span } from './reading.repository.js';
export { readingsCsv } from './readingsCsv.js';
export { SeriesService } from './series.service.js';
