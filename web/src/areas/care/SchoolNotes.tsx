import { care } from '@bright-keeper/core';
import { choiceWords } from '@bright-keeper/words';

/** Each school the steps followed, once, with what the others would do. */
export function SchoolNotes({ steps }: { steps: readonly care.Step[] }) {
  const notes = new Map(steps.flatMap((s) => s.schoolNotes).map((n) => [n.school, n]));
  if (notes.size === 0) return null;
  return (
    <details className="mt-3 text-sm">
      <summary className="min-h-9 cursor-pointer py-1.5 text-soft">
        Followed{' '}
        {[...notes.values()]
          .map((n) => `${care.schoolFacts(n.school).name.toLowerCase()}: ${care.schoolFacts(n.school).choices[n.followed]!.name}`)
          .join('; ')}
      </summary>
      <ul className="space-y-2 pt-1 pl-4">
        {[...notes.values()].map((note) => (
          <li key={note.school}>
            <span className="font-medium">{care.schoolFacts(note.school).name}.</span>{' '}
            {care.schoolFacts(note.school).choices[note.followed]!.reason}
            <ul className="pl-4 text-soft">
              {note.others.map((o) => (
                <li key={o.choice}>Others: {choiceWords(note.school, o.choice)}</li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </details>
  );
}
