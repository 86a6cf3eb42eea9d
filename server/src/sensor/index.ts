export { SensorModule } from './sensor.module.js';
export { SensorService } from './sensor.service.js';
