import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { JournalModule } from '../journal/index.js';
import { AgendaModule } from '../agenda/index.js';
import { SettingsModule } from '../settings/index.js';
import { PlaceModule, StayModule } from '../places/index.js';
import { GearController } from './gear.controller.js';
import { FittingService } from './fitting.service.js';
import { GearService } from './gear.service.js';
import { GearTablesModule } from '../gear/index.js';
import { ImportService } from './import.service.js';
import { ItemFileController } from './itemFile.controller.js';
import { ItemFileService } from './itemFile.service.js';
import { ThingsTakenBackService } from './thingsTakenBack.service.js';
import { TogetherService } from './together.service.js';
import { GroupsService } from './groups.service.js';
import { InventoryPaperService } from './inventoryPaper.service.js';
import { InventoryService } from './inventory.service.js';
import { PastShelfService } from './pastShelf.service.js';
import { WorthService } from './worth.service.js';
import { SeveralService } from './several.service.js';

@Module({
  imports: [AgendaModule, BlobModule, GearTablesModule, JournalModule, PlaceModule, SettingsModule, StayModule],
  controllers: [GearController, ItemFileController],
  providers: [
    FittingService,
    GearService,
    GroupsService,
    InventoryPaperService,
    InventoryService,
    ImportService,
    ItemFileService,
    PastShelfService,
    WorthService,
    SeveralService,
    TogetherService,
    ThingsTakenBackService,
  ],
  exports: [GearTablesModule, GearService, ThingsTakenBackService],
})
export class GearModule {}
