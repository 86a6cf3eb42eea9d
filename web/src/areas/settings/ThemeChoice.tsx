import { useState } from 'react';
import { outside } from '../../outside';
import { Section } from '../../ui/parts';

const THEMES = {
  day: { name: 'Day', what: 'Porcelain page, ink text.' },
  lamp: { name: 'Lamp', what: 'Dark and warm, for the bench in the evening.' },
  'night-red': { name: 'Night red', what: 'Only dim red light, for eyes used to the dark.' },
} as const;
type Theme = keyof typeof THEMES;

function light(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  outside.remember('theme', theme);
}

/** The theme belongs to this screen, not to the account: a phone in the field differs from the bench. */
export function ThemeChoice() {
  const [theme, setTheme] = useState(() => (document.documentElement.dataset.theme ?? 'day') as Theme);
  const choose = (next: Theme) => {
    light(next);
    setTheme(next);
  };
  return (
    <Section title="Light" aside="Kept on this device.">
      <div className="grid gap-3 sm:grid-cols-3">
        {(Object.keys(THEMES) as Theme[]).map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={theme === id}
            onClick={() => choose(id)}
            className={`min-h-11 rounded border px-4 py-3 text-left ${theme === id ? 'border-lamp bg-lamp-tint' : 'border-soft bg-sheet'}`}
          >
            <span className="block font-semibold">{THEMES[id].name}</span>
            <span className="text-sm text-soft">{THEMES[id].what}</span>
          </button>
        ))}
      </div>
    </Section>
  );
}
