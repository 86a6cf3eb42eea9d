import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Camera } from 'lucide-react';
import { useState } from 'react';
import { FileButton } from '../../ui/FilePicker';
import { Button, Failure } from '../../ui/parts';
import { useAddPhoto, useLookPhotos, useRemovePhoto } from './queries';

/** Photographs of what was seen on a surface: taken or chosen, kept without place and serial number unless those are wanted. */
export function SurfacePhotos({ lookId, surface }: { lookId: string; surface: care.Surface }) {
  const photos = useLookPhotos(lookId);
  const add = useAddPhoto(lookId);
  const remove = useRemovePhoto(lookId);
  const [keepAll, setKeepAll] = useState(false);
  const own = photos.data?.photos.filter((p) => p.surface === surface) ?? [];
  const error = add.error ?? remove.error;
  return (
    <div
      className="space-y-2"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const file = e.dataTransfer.files[0];
        if (file) add.mutate({ surface, keepAll, file });
      }}
    >
      {own.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {own.map((p) => (
            <li key={p.id} className="space-y-1">
              <a href={routes.blob(p.blob)} className="in-light block overflow-hidden rounded">
                <img src={routes.smallPicture(p.blob)} alt={`The ${care.surfaceFacts(surface).name} as it was seen`} className="h-24" />
              </a>
              <Button disabled={remove.isPending} onClick={() => remove.mutate(p.id)}>
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <FileButton
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          onChoose={(file) => add.mutate({ surface, keepAll, file })}
        >
          <Camera size={18} aria-hidden="true" /> {add.isPending ? 'Keeping it …' : 'Photograph'}
        </FileButton>
        <label className="flex min-h-11 items-center gap-2 text-sm text-soft">
          <input type="checkbox" className="check" checked={keepAll} onChange={(e) => setKeepAll(e.target.checked)} /> With place and serial
          number
        </label>
      </div>
      {error && <Failure error={error} />}
    </div>
  );
}
