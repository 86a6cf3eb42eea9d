export { householdErrors } from './errors.js';
export {
  backupFolder,
  backupName,
  nonceParam,
  type BackupFile,
  type BackupFolder,
  type Backups,
  type ByBackupName,
  type ByNonce,
  type Health,
  type Holder,
  type MergePreview,
  type TableMerge,
  type TakenIn,
} from './schema.js';
