import { ROLES } from '@bright-keeper/contract';
import { ROLE_WORDS } from './words';

/** What somebody may be let do, to choose from. */
export const RoleOptions = () =>
  ROLES.map((role) => (
    <option key={role} value={role}>
      {ROLE_WORDS[role].name}: {ROLE_WORDS[role].may}
    </option>
  ));
