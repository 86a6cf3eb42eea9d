import type { FieldValues, Path, UseFormSetError } from 'react-hook-form';
import { ApiError } from '../api/http';

/** Puts the messages of a refusal beside the fields they are about; what was typed stays. */
export function showRefusal<Values extends FieldValues>(failure: unknown, setError: UseFormSetError<Values>): void {
  if (!(failure instanceof ApiError)) return;
  for (const [field, message] of Object.entries(failure.problem.fields ?? {})) setError(field as Path<Values>, { message });
}

/** Saves and goes on; a refusal is shown beside its fields instead. */
export const saveForm =
  <Values extends FieldValues>(save: (input: Values) => Promise<unknown>, onDone: () => void, setError: UseFormSetError<Values>) =>
  async (input: Values): Promise<void> => {
    try {
      await save(input);
      onDone();
    } catch (failure) {
      showRefusal(failure, setError);
    }
  };
