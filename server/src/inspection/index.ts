export { InspectionModule } from './inspection.module.js';
export { InspectionService } from './inspection.service.js';
export { LookPhotoService } from './lookPhoto.service.js';
export { lookData } from './lookData.js';
