import { JOI_OPTIONS, settingsUpdate, type Settings } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { newerIn } from '../../api/http';
import { showRefusal } from '../../ui/saveForm';
import { useSaveSettings } from './queries';

/** The settings as they are edited: saved, refused beside their fields, or offered in a newer version. */
export function useSettingsForm(settings: Settings) {
  const save = useSaveSettings();
  const form = useForm<Settings>({ defaultValues: settings, resolver: joiResolver(settingsUpdate, JOI_OPTIONS) });
  const newer = newerIn<Settings>(save.error);
  const submit = form.handleSubmit((values) =>
    save.mutate(values, { onSuccess: (saved) => form.reset(saved), onError: (error) => showRefusal(error, form.setError) }),
  );
  const takeNewer = (row: Settings) => {
    form.reset(row);
    save.reset();
  };
  const keepMine = ({ version }: Settings) => {
    form.setValue('version', version);
    save.mutate({ ...form.getValues(), version }, { onSuccess: (saved) => form.reset(saved) });
  };
  return { form, save, newer, submit, takeNewer, keepMine };
}
