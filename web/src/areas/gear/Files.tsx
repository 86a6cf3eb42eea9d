import { type ItemFile, type ItemPage, LARGEST_PICTURE_BYTES, PICTURE_TYPES, routes } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { FILE_ROLE_WORDS } from '@bright-keeper/words';
import { FileText, Paperclip } from 'lucide-react';
import { useState } from 'react';
import { refusalWords } from '../../api/http';
import { FileButton } from '../../ui/FilePicker';
import { Button, Failure, Notice, Section } from '../../ui/parts';
import { sizeWords } from '../../ui/size';
import { useAddFile, useRemoveFile, useUpdateFile } from './queries';

const ACCEPTED = [...PICTURE_TYPES, 'application/pdf'].join(',');
const isPicture = (file: ItemFile): boolean => file.type !== 'application/pdf';

/** A picture small, a paper by its sign; either opens as it is. */
const Shown = ({ file }: { file: ItemFile }) => (
  <a href={routes.blob(file.blob)} className="in-light flex h-28 items-center justify-center overflow-hidden rounded">
    {isPicture(file) ? (
      <img src={routes.smallPicture(file.blob)} alt={file.name} className="h-28 max-w-56 object-cover" />
    ) : (
      <span className="flex h-28 w-24 flex-col items-center justify-center gap-1 bg-well text-soft">
        <FileText size={32} aria-hidden="true" />
        <span className="sr-only">{file.name},</span> <span className="text-sm">PDF, {sizeWords(file.bytes)}</span>
      </span>
    )}
  </a>
);

/** What it is, whether the thing is known by it, and away with it, which is asked once more. */
function Changing({ itemId, file }: { itemId: string; file: ItemFile }) {
  const update = useUpdateFile(itemId);
  const remove = useRemoveFile(itemId);
  const [sure, setSure] = useState(false);
  const { id, name, role } = file;
  const error = update.error ?? remove.error;
  return (
    <div className="space-y-1">
      <select
        aria-label={`What ${name} is`}
        className="input w-full"
        value={role}
        disabled={update.isPending}
        onChange={(e) => update.mutate({ id, change: { name, role: e.target.value as gear.FileRole } })}
      >
        {gear.FILE_ROLES.filter((r) => gear.mayBe(r, isPicture(file))).map((r) => (
          <option key={r} value={r}>
            {FILE_ROLE_WORDS[r]}
          </option>
        ))}
      </select>
      {role === 'picture' && !file.isFace && (
        <Button disabled={update.isPending} onClick={() => update.mutate({ id, change: { name, role, isFace: true } })}>
          Known by this one
        </Button>
      )}
      {sure ? (
        <div role="group" aria-label={`Remove ${name} for good?`} className="flex flex-wrap items-center gap-2">
          <Button disabled={remove.isPending} onClick={() => remove.mutate(id)}>
            Remove for good
          </Button>
          <Button look="quiet" onClick={() => setSure(false)}>
            Keep it
          </Button>
        </div>
      ) : (
        <Button look="quiet" onClick={() => setSure(true)}>
          Remove…
        </Button>
      )}
      {error && <Failure error={error} />}
    </div>
  );
}

/** What became of files that were sent: those that could not be kept, and why. */
type Refused = { name: string; why: string };

/** Pictures and papers of a thing: several at once are kept one after the other, and each that cannot be is named. */
export function Files({ item: { id, files } }: { item: Pick<ItemPage, 'id' | 'files'> }) {
  const add = useAddFile(id);
  const [changing, setChanging] = useState(false);
  const [left, setLeft] = useState(0);
  const [refused, setRefused] = useState<Refused[]>([]);
  const keep = async (chosen: readonly File[]) => {
    const wrong: Refused[] = [];
    for (const [i, file] of chosen.entries()) {
      setLeft(chosen.length - i);
      if (file.size > LARGEST_PICTURE_BYTES) wrong.push({ name: file.name, why: 'It is larger than 64 MB.' });
      else await add.mutateAsync(file).catch((error: unknown) => wrong.push({ name: file.name, why: refusalWords(error) }));
    }
    setLeft(0);
    setRefused(wrong);
  };
  return (
    <Section title="Pictures and papers">
      <div
        className="sheet space-y-3 p-4"
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          e.preventDefault();
          void keep([...e.dataTransfer.files]);
        }}
      >
        {files.length > 0 && (
          <ul className="flex flex-wrap gap-4">
            {files.map((file) => (
              <li key={file.id} className="max-w-56 space-y-1">
                <Shown file={file} />
                <p className="truncate text-sm text-soft" title={file.name}>
                  {FILE_ROLE_WORDS[file.role]}
                  {file.isFace && files.filter((f) => f.role === 'picture').length > 1 && ', known by this one'}: {file.name}
                </p>
                {changing && <Changing itemId={id} file={file} />}
              </li>
            ))}
          </ul>
        )}
        {refused.length > 0 && (
          <Notice tone="attention">
            {refused.length === 1 ? 'One file was not kept.' : `${refused.length} files were not kept.`}
            <ul className="list-disc pl-5">
              {refused.map(({ name, why }) => (
                <li key={name}>
                  {name}: {why}
                </li>
              ))}
            </ul>
          </Notice>
        )}
        <div className="flex flex-wrap items-center gap-3">
          <FileButton accept={ACCEPTED} multiple onChoose={(_, all) => void keep(all)}>
            <Paperclip size={18} aria-hidden="true" /> {left > 0 ? `Keeping ${left} …` : 'Add a picture, receipt or manual'}
          </FileButton>
          {files.length > 0 && (
            <Button aria-pressed={changing} onClick={() => setChanging(!changing)}>
              {changing ? 'Done' : 'Sort them'}
            </Button>
          )}
        </div>
        {files.length === 0 && (
          <p className="text-sm text-soft">
            PDF, JPEG, PNG or WebP. A picture is kept without where it was taken; the first is its face on the shelf.
          </p>
        )}
      </div>
    </Section>
  );
}
