export { CareModule } from './care.module.js';
export { CareService } from './care.service.js';
export { FieldService } from './field.service.js';
export { PlanRequestService } from './planRequest.service.js';
