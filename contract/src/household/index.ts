export { householdErrors } from './errors.js';
export {
  backupFolder,
  backupName,
  type BackupFile,
  type BackupFolder,
  type Backups,
  type ByBackupName,
  type Health,
  type MergePreview,
  type TableMerge,
  type TakenIn,
} from './schema.js';
