import { routes, type Shelf, type ShelfItem } from '@bright-keeper/contract';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError, http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { wholeShelf } from '../../api/wholeShelf';
import { usePlaces } from '../storage';
import { useDrawer } from '../supplies';
import { foundBy, isFoundBy, type Found } from './found';

const MOST = 6;
const search = async (text: string, archived: boolean): Promise<ShelfItem[]> =>
  (await http.get<Shelf>(routes.gear + queryString({ search: text, archived, limit: MOST }))).items;

/** By whatever the household finds it: its name, number, tags, notes or place; what is off the shelf last. Out of reach, among what is kept. */
async function thingsBy(text: string): Promise<ShelfItem[]> {
  try {
    const here = await search(text, false);
    return here.length < MOST ? [...here, ...(await search(text, true))].slice(0, MOST) : here;
  } catch (error) {
    if (!(error instanceof ApiError && error.isOffline)) throw error;
    return (await wholeShelf()).filter((item) => isFoundBy(item, text)).slice(0, MOST);
  }
}

/** Anything, from anywhere: one types, goes through with the arrows, and is there. */
export function FindDialog({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const text = useDeferredValue(typed.trim());
  const things = useQuery({
    queryKey: keys.found(text),
    queryFn: () => thingsBy(text),
    enabled: text !== '',
    placeholderData: (previous) => previous,
  });
  const [places, drawer] = [usePlaces(), useDrawer()];
  const groups = foundBy(text, {
    things: things.data ?? [],
    places: places.data?.places ?? [],
    supplies: drawer.data?.supplies ?? [],
  });
  const go = (found: Found | null) => {
    if (!found) return;
    onClose();
    void navigate(found.to);
  };
  return (
    <Dialog open onClose={onClose} className="relative z-50">
      <div className="fixed inset-0 bg-ink/40" aria-hidden="true" />
      <div className="fixed inset-0 overflow-y-auto p-4 pt-[8vh]">
        <DialogPanel className="sheet mx-auto max-w-xl overflow-hidden bg-sheet">
          <DialogTitle className="sr-only">Find anything</DialogTitle>
          <Combobox<Found | null> value={null} onChange={go}>
            <ComboboxInput
              autoFocus
              className="w-full border-b border-line bg-sheet px-4 py-4 text-lg focus:outline-none"
              aria-label="Find anything"
              placeholder="A name, a number, a tag, a place, a page…"
              autoComplete="off"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
            />
            {groups.length > 0 && (
              <ComboboxOptions static className="max-h-[60vh] overflow-y-auto py-2">
                {groups.map(({ title, found }) => (
                  <div key={title} role="group" aria-label={title}>
                    <p className="px-4 pt-2 text-sm text-soft" aria-hidden="true">
                      {title}
                    </p>
                    {found.map((one) => (
                      <ComboboxOption
                        key={one.key}
                        value={one}
                        className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-4 data-[focus]:bg-lamp-tint"
                      >
                        <span className="min-w-0 truncate font-medium">{one.name}</span>
                        <span className="text-sm whitespace-nowrap text-soft">{one.aside}</span>
                      </ComboboxOption>
                    ))}
                  </div>
                ))}
              </ComboboxOptions>
            )}
          </Combobox>
          <p className="border-t border-line px-4 py-2 text-sm text-soft">
            {things.isError ? 'The household does not answer: things are not searched.' : 'Enter goes there, Esc closes.'}
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
