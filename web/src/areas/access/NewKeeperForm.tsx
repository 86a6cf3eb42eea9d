import { JOI_OPTIONS, KEEPER_NAME_MAX, newKeeper, type NewKeeper } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { FormFoot } from '../../ui/FormFoot';
import { saveForm } from '../../ui/saveForm';
import { Field } from '../gear';
import { useAddKeeper } from './queries';
import { RoleOptions } from './RoleOptions';

/** One more keeper. @param isFirst whoever was alone until now says what they are called, too. */
export function NewKeeperForm({ isFirst, onDone }: { isFirst: boolean; onDone: () => void }) {
  const add = useAddKeeper();
  const { register, handleSubmit, setError, formState } = useForm<NewKeeper>({
    defaultValues: { name: '', role: 'keeper', ...(isFirst ? { ownName: '' } : {}) },
    resolver: joiResolver(newKeeper, JOI_OPTIONS),
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(saveForm((keeper) => add.mutateAsync(keeper), onDone, setError));
  const name = (field: 'name' | 'ownName', label: string, hint: string) => (
    <Field label={label} id={field} error={errors[field]?.message} hint={hint}>
      <input id={field} className="input max-w-md" maxLength={KEEPER_NAME_MAX} aria-invalid={!!errors[field]} {...register(field)} />
    </Field>
  );
  return (
    <form className="sheet space-y-4 p-4" noValidate onSubmit={(e) => void submit(e)}>
      {isFirst && name('ownName', 'What you are called', 'From now on the log tells who did what.')}
      {name('name', isFirst ? 'What the other one is called' : 'Name', '')}
      <Field label="What they may do" id="role" error={errors.role?.message}>
        <select id="role" className="input max-w-md" {...register('role')}>
          <RoleOptions />
        </select>
      </Field>
      <FormFoot verb="Add" error={add.error} pending={isSubmitting} onCancel={onDone} />
    </form>
  );
}
