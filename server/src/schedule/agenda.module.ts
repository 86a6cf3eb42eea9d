import { Module } from '@nestjs/common';
import { AirModule } from '../air/air.module.js';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { SensorModule } from '../sensor/sensor.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { StayModule } from '../storage/stay.module.js';
import { StorageModule } from '../storage/storage.module.js';
import { SuppliesModule } from '../supplies/supplies.module.js';
import { TripModule } from '../trip/trip.module.js';
import { AgendaService } from './agenda.service.js';
import { RhythmRepository } from './rhythm.repository.js';

/** The one agenda, for the areas that read it. */
@Module({
  imports: [
    AirModule,
    GearTablesModule,
    JournalModule,
    SensorModule,
    SettingsModule,
    StayModule,
    StorageModule,
    SuppliesModule,
    TripModule,
  ],
  providers: [AgendaService, RhythmRepository],
  exports: [AgendaService, RhythmRepository],
})
export class AgendaModule {}
