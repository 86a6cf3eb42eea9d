import { gear } from '@bright-keeper/core';
import { useState } from 'react';
import { Button } from '../../ui/parts';
import { COLUMN_IDS, COLUMN_WORDS, GROUPING_WORDS, LAYOUTS, type Layout, type ShelfView } from './shelfView';

type Props = { view: ShelfView; onView: (view: ShelfView) => void };

/** How the shelf is laid out: rows or cards, in which groups, with which columns. It stays so on this device. */
export function ViewChoices({ view, onView }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <select
        aria-label="Groups"
        className="input md:w-auto md:max-w-44"
        value={view.by ?? ''}
        onChange={(e) => onView({ ...view, by: gear.GROUPINGS.find((by) => by === e.target.value) ?? null })}
      >
        <option value="">In one list</option>
        {gear.GROUPINGS.map((by) => (
          <option key={by} value={by}>
            By {GROUPING_WORDS[by]}
          </option>
        ))}
      </select>
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        Rows and columns
      </Button>
      {open && (
        <div role="group" aria-label="Rows and columns" className="sheet col-span-2 flex w-full flex-wrap items-center gap-x-5 px-4 py-1">
          <label className="flex items-center gap-2">
            <span className="text-sm text-soft">Laid out</span>
            <select className="input w-auto" value={view.layout} onChange={(e) => onView({ ...view, layout: e.target.value as Layout })}>
              {Object.entries(LAYOUTS).map(([layout, words]) => (
                <option key={layout} value={layout}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          {COLUMN_IDS.map((id) => (
            <label key={id} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="check"
                checked={view.columns.includes(id)}
                onChange={(e) =>
                  onView({ ...view, columns: e.target.checked ? [...view.columns, id] : view.columns.filter((other) => other !== id) })
                }
              />{' '}
              {COLUMN_WORDS[id]}
            </label>
          ))}
        </div>
      )}
    </>
  );
}
