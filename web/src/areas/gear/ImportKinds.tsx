import type { ImportKinds, KindMeant } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { count } from '@bright-keeper/words';

type KindUnsaid = Pick<KindMeant, 'written' | 'guessed'>;

/** Every kind there is, to choose from. */
export const KindOptions = () =>
  care.ITEM_KINDS.map((k) => (
    <option key={k} value={k}>
      {care.kindFacts(k).name}
    </option>
  ));

/** Are these rows that are written alike? */
export const isOfSame = (one: KindUnsaid, other: KindUnsaid): boolean => one.written === other.written && one.guessed === other.guessed;

/** Which rows these are, by what is written where their kind should stand. */
const unsaidWords = ({ written, guessed, rows }: ImportKinds): string => {
  if (written !== '') return `Where the kind is “${written}” (${count(rows, 'row', 'rows')})`;
  return guessed
    ? `No kind; by its words: ${care.kindFacts(guessed).name} (${count(rows, 'row', 'rows')})`
    : `No kind, nor told by its words (${count(rows, 'row', 'rows')})`;
};

/** What all rows are that are written alike, said once for all of them. */
export const Kinds = ({ kinds, onMean }: { kinds: ImportKinds[]; onMean: (said: KindMeant) => void }) =>
  kinds.length > 0 && (
    <div role="group" aria-label="Kinds that are not plainly given" className="mt-4 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {kinds.map((told) => (
        <label key={`${told.written}/${told.guessed}`} className="block">
          <span className="mb-1 block text-sm font-medium">{unsaidWords(told)}</span>
          <select
            className="input"
            value={told.kind ?? ''}
            onChange={(e) => onMean({ written: told.written, guessed: told.guessed, kind: e.target.value as care.ItemKind })}
          >
            {told.kind === null && <option value="">Refused until you choose</option>}
            <KindOptions />
          </select>
        </label>
      ))}
    </div>
  );
