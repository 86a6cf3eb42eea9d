import { care } from '@bright-keeper/core';
import { Section } from '../../ui/parts';
import { InHand } from './InHand';
import { TouchLadder } from './TouchLadder';
import { money } from '@bright-keeper/words';
import { minutesWords } from './words';

type Props = {
  request: care.PlanRequest;
  schools: care.Schools;
  changes: readonly care.SchoolChange[];
  surface: care.Surface;
  currency: string;
  /** The school that is compared, from the address. */
  compared: care.SchoolId | null;
  onCompare: (school: care.SchoolId | null) => void;
};

function Side({
  name,
  reason,
  plan,
  surface,
  currency,
}: {
  name: string;
  reason: string;
  plan: care.CleaningPlan;
  surface: care.Surface;
  currency: string;
}) {
  const { minutes, contacts, cost } = plan.totals;
  return (
    <div className="min-w-0">
      <h3 className="font-semibold">{name}</h3>
      <p className="mb-2 text-sm text-soft">{reason}</p>
      <div className="sheet p-3">
        <TouchLadder surface={surface} plan={plan} />
      </div>
      <p className="mt-2 text-sm">
        Whole plan: at most {contacts} {contacts === 1 ? 'touch' : 'touches'}, {minutesWords(minutes)}, {money(cost, currency)}.
      </p>
    </div>
  );
}

/** Two and more schools side by side for the same findings: what each would do and why. */
export function CompareSchools({ request, schools, changes, surface, currency, compared, onCompare }: Props) {
  const matter = care.CARE_SCHOOL_IDS.filter((id) => changes.some((c) => c.school === id));
  if (matter.length === 0) return null;
  const facts = compared ? care.schoolFacts(compared) : null;
  return (
    <Section title="Schools side by side" className="mt-8">
      <label className="mb-4 block max-w-sm">
        <span className="mb-1 block text-sm text-soft">Where practitioners disagree about this plan</span>
        <select
          className="input"
          aria-label="Compare schools"
          value={compared ?? ''}
          onChange={(e) => onCompare((e.target.value || null) as care.SchoolId | null)}
        >
          <option value="">Do not compare</option>
          {matter.map((id) => (
            <option key={id} value={id}>
              {care.schoolFacts(id).name}
            </option>
          ))}
        </select>
      </label>
      {compared && facts && (
        <div className="grid gap-6 lg:grid-cols-2">
          {Object.entries(facts.choices).map(([choice, { name, reason }]) => (
            <Side
              key={choice}
              name={`${facts.name}: ${name}${choice === schools[compared] ? ' (this plan)' : ''}`}
              reason={reason}
              plan={care.planCleaning({ ...request, schools: { ...schools, [compared]: choice } })}
              surface={surface}
              currency={currency}
            />
          ))}
        </div>
      )}
      {compared && <InHand of={compared} />}
    </Section>
  );
}
