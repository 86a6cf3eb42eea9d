import { deviceUpdate, FILE_NAME_MAX, JOI_OPTIONS, fieldsOf, type Device, type LogFormat } from '@bright-keeper/contract';
import { useState } from 'react';
import { Button, Failure, Notice, Section } from '../../ui/parts';
import { Field } from '../gear';
import { inputOf } from './DeviceForm';
import { useIntakePlaces, useUpdateDevice } from './queries';

/** How the names of a device’s logs begin, as far as one tells: up to its first figure. */
export function beginningOf(fileName: string): string {
  const stem = fileName.replace(/\.\w+$/, '');
  return (/^\D*[^\d\s._-]/.exec(stem)?.[0] ?? stem).slice(0, FILE_NAME_MAX);
}

/** A log that could be read says how the next ones are read: they may be, by themselves. */
export function WatchNext({ device, file, format }: { device: Device; file: File; format: LogFormat }) {
  const places = useIntakePlaces();
  const update = useUpdateDevice(device.id);
  const [beginning, setBeginning] = useState(beginningOf(file.name));
  const folder = places.data?.logFolder;
  if (!folder) return null;
  const input = {
    ...inputOf(device),
    source: 'folder' as const,
    intake: { by: 'folder' as const, beginning, format },
    version: device.version,
  };
  const { error } = deviceUpdate.validate(input, JOI_OPTIONS);
  const message = error && fieldsOf(error)['intake.beginning'];
  return (
    <Section title="Have the next ones read by themselves">
      <div className="sheet space-y-4 p-4">
        <p>
          Put its logs into <span className="font-mono break-all select-all">{folder}</span> on this machine. Each file there whose name
          begins so is read the way this one was, also as it grows; what is there already counts once.
        </p>
        <Field label="Its files begin with" id="log-beginning" error={message}>
          <input
            id="log-beginning"
            className="input font-mono"
            aria-invalid={!!message}
            value={beginning}
            onChange={(e) => setBeginning(e.target.value)}
          />
        </Field>
        {update.isError && <Failure error={update.error} />}
        {update.isSuccess ? (
          <Notice tone="good">From now on they are read as they come.</Notice>
        ) : (
          <Button disabled={update.isPending || !!message} onClick={() => update.mutate(input)}>
            Read them as they come
          </Button>
        )}
      </div>
    </Section>
  );
}
