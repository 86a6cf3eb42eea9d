/* What other areas may use of this one. */
export { HealthBar } from './HealthBar';
export { LastBackup } from './LastBackup';
export { RestoreDoor } from './RestoreDoor';
