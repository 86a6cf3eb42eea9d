import type { Device } from '@bright-keeper/contract';
import { At } from '../../ui/when';
import { brokerFaultWords, clockWords, INTAKE_WORDS, setAsideWords, vitalsWords } from './intakeWords';

/** What a device says of itself, and how it stands with taking it in. */
export function OwnWord({ device: { lastWord, intake, intakeState } }: { device: Device }) {
  const by = intake?.by;
  const vitals = lastWord ? vitalsWords(lastWord) : [];
  const clock = lastWord && clockWords(lastWord.clockOffS);
  const fault = intakeState?.fault ?? null;
  return (
    <>
      {vitals.length > 0 && (
        <p className="text-sm text-soft">
          Its own word: {vitals.join(' · ')}{' '}
          {lastWord!.lowSince && (
            <span className="rounded bg-lamp-tint px-2 py-0.5 font-semibold text-lamp">
              battery low since <At instant={lastWord!.lowSince} />
            </span>
          )}
        </p>
      )}
      {clock && <p className="text-sm text-lamp">{clock}</p>}
      {lastWord?.setAside && lastWord.setAside !== 'in-the-future' && fault !== 'not-understood' && (
        <p className="text-sm text-soft">{setAsideWords(lastWord.setAside)}</p>
      )}
      {fault && (
        <p className="text-sm text-lamp">
          {by === 'mqtt' ? brokerFaultWords(fault) : INTAKE_WORDS[fault]} Since <At instant={intakeState!.since} />.
        </p>
      )}
    </>
  );
}
