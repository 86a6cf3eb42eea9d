import type { ReactNode } from 'react';

/** Told the first file, and all of them where several may be chosen. */
type Choosing = { accept: string; multiple?: boolean; onChoose: (file: File, all: File[]) => void };

function chosen({ onChoose, multiple }: Omit<Choosing, 'accept'>, files: FileList | null): void {
  const all = [...(files ?? [])].slice(0, multiple ? undefined : 1);
  if (all[0]) onChoose(all[0], all);
}

/** A button that asks for a file; choosing the same file again is heard too. */
export function FileButton({
  filled = false,
  accept,
  capture,
  folder = false,
  children,
  ...choosing
}: Choosing & { filled?: boolean; capture?: 'environment'; folder?: boolean; children: ReactNode }) {
  const look = filled ? 'bg-fill font-semibold text-on-fill hover:opacity-90' : 'border border-soft bg-sheet hover:bg-well';
  return (
    <label
      className={`relative inline-flex min-h-11 cursor-pointer items-center gap-2 rounded px-4 focus-within:outline-3 focus-within:outline-lamp ${look}`}
    >
      {children}
      <input
        type="file"
        className="sr-only"
        accept={accept}
        capture={capture}
        multiple={choosing.multiple}
        // Every browser knows it by this name; React's types do not.
        {...(folder ? { webkitdirectory: '' } : {})}
        onChange={(e) => {
          chosen({ ...choosing, multiple: folder || choosing.multiple }, e.target.files);
          e.target.value = '';
        }}
      />
    </label>
  );
}

/** A sheet to choose a file from or drop it on, with the name of the one that is chosen and what is said of it. */
export function FileDrop({ name, children, ...choosing }: Choosing & { name: string | undefined; children?: ReactNode }) {
  return (
    <div
      className="sheet flex flex-wrap items-center gap-4 p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        chosen(choosing, e.dataTransfer.files);
      }}
    >
      <FileButton filled={!name} {...choosing}>
        {name ? 'Choose another file' : choosing.multiple ? 'Choose files' : 'Choose a file'}
      </FileButton>
      <span className="text-soft">{name ?? (choosing.multiple ? 'or drop them here' : 'or drop it here')}</span>
      {children}
    </div>
  );
}
