import { PASSPHRASE_MAX } from '@bright-keeper/contract';
import { Eye, EyeOff } from 'lucide-react';
import { useId, useState } from 'react';
import { Field } from '../gear';

type PassphraseProps = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Whether it is being chosen, or given: so a password manager knows. */
  isNew?: boolean;
  error?: string | undefined;
  hint?: string;
};

/** A passphrase that may be looked at while it is typed, pasted, and kept by a password manager. */
export function Passphrase({ label, value, onChange, isNew = false, error, hint }: PassphraseProps) {
  const id = useId();
  const [isSeen, setSeen] = useState(false);
  const Icon = isSeen ? EyeOff : Eye;
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <div className="flex gap-2">
        <input
          id={id}
          className="input flex-1"
          type={isSeen ? 'text' : 'password'}
          autoComplete={isNew ? 'new-password' : 'current-password'}
          maxLength={PASSPHRASE_MAX}
          spellCheck={false}
          autoCapitalize="none"
          aria-invalid={!!error}
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
        <button
          type="button"
          className="inline-flex size-11 items-center justify-center rounded border border-soft bg-sheet hover:bg-well"
          aria-label={isSeen ? 'Hide it' : 'Show it'}
          onClick={() => setSeen(!isSeen)}
        >
          <Icon size={18} aria-hidden="true" />
        </button>
      </div>
    </Field>
  );
}
