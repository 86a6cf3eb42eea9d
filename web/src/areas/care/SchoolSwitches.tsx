import { care } from '@bright-keeper/core';
import { schoolChangeWords } from '@bright-keeper/words';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';

type Props = {
  schools: care.Schools;
  /** What each other choice would change in this plan. */
  changes: readonly care.SchoolChange[];
  onChange: (school: care.SchoolId, choice: string) => void;
};

function Choice({ school, schools, changes, onChange }: Props & { school: care.SchoolId }) {
  const { question, name, choices } = care.schoolFacts(school);
  const mine = choices[schools[school]]!;
  return (
    <li className="px-4 py-3">
      <p className="font-medium">
        {name}: {mine.name}
      </p>
      <p className="text-sm text-soft">
        {question} {mine.reason}
      </p>
      <ul className="mt-2 space-y-2">
        {changes
          .filter((c) => c.school === school)
          .map((c) => (
            <li key={c.choice} className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <button
                type="button"
                className="min-h-11 rounded border border-soft bg-sheet px-3 hover:bg-well"
                onClick={() => onChange(school, c.choice)}
              >
                {choices[c.choice]!.name}
              </button>
              <span className="min-w-0 flex-1 basis-48 text-sm">{schoolChangeWords(c)}</span>
            </li>
          ))}
      </ul>
    </li>
  );
}

const Fold = ({ title, children }: { title: string; children: React.ReactNode }) => (
  <Disclosure>
    <DisclosureButton className="group flex min-h-11 items-center gap-2 font-medium">
      <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden="true" /> {title}
    </DisclosureButton>
    <DisclosurePanel className="pb-2">{children}</DisclosurePanel>
  </Disclosure>
);

/** The schools that change this plan, each choice with what it would change; the rest folded away. */
export function SchoolSwitches({ schools, changes, onChange }: Props) {
  const matter = care.CARE_SCHOOL_IDS.filter((id) => changes.some((c) => c.school === id));
  const rest = care.CARE_SCHOOL_IDS.filter((id) => !matter.includes(id));
  return (
    <div>
      {matter.length > 0 && (
        <Fold title={`Do it by another school (${matter.length})`}>
          <ul className="sheet divide-y divide-line">
            {matter.map((school) => (
              <Choice key={school} school={school} schools={schools} changes={changes} onChange={onChange} />
            ))}
          </ul>
        </Fold>
      )}
      <Fold title="Schools that change nothing here">
        <ul className="sheet divide-y divide-line text-sm">
          {rest.map((school) => (
            <li key={school} className="px-4 py-2">
              {care.schoolFacts(school).name}: <span className="text-soft">{care.schoolFacts(school).choices[schools[school]]!.name}</span>
            </li>
          ))}
        </ul>
      </Fold>
    </div>
  );
}
