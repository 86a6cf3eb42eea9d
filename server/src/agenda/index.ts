export { AgendaModule } from './agenda.module.js';
export { AgendaService, type ThingDuties } from './agenda.service.js';
export { RhythmRepository } from './rhythm.repository.js';
