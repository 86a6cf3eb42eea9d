import type { Intake } from '@bright-keeper/contract';
import { Button, Failure, Notice } from '../../ui/parts';
import { Field } from '../gear';
import { BrokerForm } from './BrokerForm';
import { seenWords, vitalsWords } from './intakeWords';
import { usePollTry, useTopics } from './queries';
import { WrittenHow } from './WrittenHow';

type By<B extends Intake['by']> = Extract<Intake, { by: B }>;
type Props<I extends Intake> = { intake: I; errors: Record<string, string>; onChange: (intake: I) => void };

/** A new intake of a way; null for those that need none. */
export function blankIntake(source: string): Intake | null {
  if (source === 'mqtt') return { by: 'mqtt', topic: '', humidityTopic: null, stateTopic: null, options: {} };
  return source === 'poll' ? { by: 'poll', address: '', options: {} } : null;
}

/** The messages that are about a part of something, by what is left of their names. */
const below = (errors: Record<string, string>, part: string): Record<string, string> =>
  Object.fromEntries(
    Object.entries(errors).flatMap(([name, text]) => (name.startsWith(`${part}.`) ? [[name.slice(part.length + 1), text]] : [])),
  );

/** The topics of a broker: heard and chosen, or typed. */
function MqttFields({ intake, errors, onChange }: Props<By<'mqtt'>>) {
  const hear = useTopics();
  const text = (key: 'topic' | 'humidityTopic' | 'stateTopic', label: string, hint: string) => (
    <Field label={label} id={`intake-${key}`} error={errors[key]} hint={hint}>
      <input
        id={`intake-${key}`}
        className="input font-mono"
        autoCapitalize="none"
        aria-invalid={!!errors[key]}
        value={intake[key] ?? ''}
        onChange={(e) => onChange({ ...intake, [key]: e.target.value || (key === 'topic' ? '' : null) })}
      />
    </Field>
  );
  return (
    <div className="space-y-4">
      <BrokerForm />
      <div className="space-y-2">
        <Button disabled={hear.isPending} onClick={() => hear.mutate()}>
          Hear what is said there
        </Button>
        {hear.isPending && (
          <span role="status" className="ml-3 text-soft">
            Listening for six seconds…
          </span>
        )}
        {hear.isError && <Failure error={hear.error} />}
        {hear.data && (
          <Notice tone={hear.data.offers.length > 0 ? 'good' : 'attention'}>
            {hear.data.offers.length === 0 ? (
              <p>
                {hear.data.topics === 0
                  ? 'Nobody said anything. Let the device send a reading, and listen again; or type its topic.'
                  : `${hear.data.topics === 1 ? 'One topic was' : `${hear.data.topics} topics were`} heard, and in none of them a reading is seen by itself. Type the topic, and say below where it lies.`}
              </p>
            ) : (
              <ul className="space-y-2" aria-label="What was heard">
                {hear.data.offers.map(({ topic, humidityTopic, reading }) => (
                  <li key={topic} className="flex flex-wrap items-center gap-3">
                    <Button aria-pressed={intake.topic === topic} onClick={() => onChange({ ...intake, topic, humidityTopic })}>
                      {topic}
                    </Button>
                    <span className="text-sm">
                      {seenWords(reading)}
                      {humidityTopic !== null && `, with ${humidityTopic}`}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </Notice>
        )}
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        {text('topic', 'Topic', 'One topic, without + and #.')}
        {text('humidityTopic', 'Topic of its humidity', 'Only where each number has a topic of its own.')}
        {text('stateTopic', 'Topic that says whether it is on', 'Where it has one: its last will says “offline” there.')}
      </div>
      <WrittenHow options={intake.options} errors={below(errors, 'options')} onChange={(options) => onChange({ ...intake, options })} />
    </div>
  );
}

function PollFields({ intake, errors, onChange }: Props<By<'poll'>>) {
  const attempt = usePollTry();
  const { address, options } = intake;
  const change = (next: By<'poll'>) => {
    attempt.reset();
    onChange(next);
  };
  const vitals = attempt.data ? vitalsWords(attempt.data.vitals) : [];
  return (
    <div className="space-y-4">
      <Field
        label="Its address on this network"
        id="intake-address"
        error={errors.address}
        hint="As in http://192.168.1.7/status; SenML, JSON or lines of a measurement each."
      >
        <input
          id="intake-address"
          type="url"
          className="input font-mono"
          aria-invalid={!!errors.address}
          value={address}
          onChange={(e) => change({ ...intake, address: e.target.value })}
        />
      </Field>
      <Button disabled={attempt.isPending || address === ''} onClick={() => attempt.mutate({ address, options })}>
        Ask it now
      </Button>
      {attempt.isError && <Failure error={attempt.error} />}
      {attempt.data && (
        <Notice tone={attempt.data.reading ? 'good' : 'attention'}>
          {attempt.data.reading
            ? `It says ${[seenWords(attempt.data.reading), ...vitals].join(' · ')}.`
            : 'It answers, and no reading is seen in that by itself: say below where its parts lie.'}
        </Notice>
      )}
      <WrittenHow options={options} errors={below(errors, 'options')} onChange={(next) => change({ ...intake, options: next })} />
    </div>
  );
}

/** Where a device’s readings are taken in from. */
export function IntakeFields({
  intake,
  errors,
  onChange,
}: {
  intake: Intake;
  errors: Record<string, string>;
  onChange: (intake: Intake) => void;
}) {
  switch (intake.by) {
    case 'mqtt':
      return <MqttFields intake={intake} errors={errors} onChange={onChange} />;
    case 'poll':
      return <PollFields intake={intake} errors={errors} onChange={onChange} />;
    case 'folder':
      return (
        <p className="text-sm text-soft">
          Files of the folder for logs whose names begin with <span className="font-mono">{intake.beginning}</span>, written like the one
          that was imported. To have others read, import one of them.
        </p>
      );
    default:
      return intake satisfies never;
  }
}
