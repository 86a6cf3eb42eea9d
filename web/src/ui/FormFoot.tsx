import { ApiError } from '../api/http';
import { Button, Failure } from './parts';

/** How a form in a list ends: what was refused as a whole, and its two ways out. */
export const FormFoot = ({ error, verb, pending, onCancel }: { error: unknown; verb: string; pending: boolean; onCancel: () => void }) => (
  <>
    {error instanceof ApiError && !error.problem.fields && <Failure error={error} />}
    <div className="flex gap-2">
      <Button look="filled" type="submit" disabled={pending}>
        {verb}
      </Button>
      <Button onClick={onCancel}>Cancel</Button>
    </div>
  </>
);
