export {
  type DrawerIsAll,
  drawerIsAll,
  type StartDrawer,
  startDrawer,
  type SupplyInput,
  supplyInput,
  type SupplyUpdate,
  supplyUpdate,
  type SupplyWashed,
  supplyWashed,
} from './schema.js';
export type { Drawer, Supply } from './dto.js';
export { suppliesErrors } from './errors.js';
