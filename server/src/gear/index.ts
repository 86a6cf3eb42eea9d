export { type FirstDue, GearRepository } from './gear.repository.js';
export { GearTablesModule } from './gearTables.module.js';
export { ItemFileRepository } from './itemFile.repository.js';
export { OpenWorkRepository } from './openWork.repository.js';
export { VerdictsService } from './verdicts.service.js';
