import { Search } from 'lucide-react';

type Props = { label: string; placeholder: string; value: string; onChange: (text: string) => void; className?: string };

/** A search field with its glass. */
export function SearchField({ label, placeholder, value, onChange, className = '' }: Props) {
  return (
    <label className={`relative ${className}`}>
      <Search size={18} className="pointer-events-none absolute top-3.5 left-3 text-soft" aria-hidden="true" />
      <input
        type="search"
        aria-label={label}
        placeholder={placeholder}
        className="input pl-10"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}
