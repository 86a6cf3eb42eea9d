import type { ReactNode } from 'react';

type Choosing = { accept: string; onChoose: (file: File) => void };

/** A button that asks for one file; choosing the same file again is heard too. */
export function FileButton({
  filled = false,
  accept,
  capture,
  onChoose,
  children,
}: Choosing & { filled?: boolean; capture?: 'environment'; children: ReactNode }) {
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
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onChoose(file);
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
        const file = e.dataTransfer.files[0];
        if (file) choosing.onChoose(file);
      }}
    >
      <FileButton filled={!name} {...choosing}>
        {name ? 'Choose another file' : 'Choose a file'}
      </FileButton>
      <span className="text-soft">{name ?? 'or drop it here'}</span>
      {children}
    </div>
  );
}
