import type { Device } from '@bright-keeper/contract';
import { clockJumpWords, dutyWords } from '@bright-keeper/words';
import { useState } from 'react';
import { useOpened } from '../../api/useOpened';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { useUpdateDevice } from './queries';
import { useAtHand } from '../schedule';
import { airWords } from '../storage';
import { DeviceForm, inputOf } from './DeviceForm';
import { DeviceKey } from './DeviceKey';
import { HandReadingForm } from './HandReadingForm';
import { useAddDevice, useDevices, useHandReading } from './queries';
import { SOURCE_WORDS } from './intakeWords';
import { OwnWord } from './OwnWord';
import { ReadByOthers } from './ReadByOthers';
import { SaltTest } from './SaltTest';
import { useChoices } from '../../ui/choices';

/** A reading of this hygrometer, typed in. */
function ByHand({ device }: { device: Device }) {
  const save = useHandReading(device);
  return <HandReadingForm id={device.id} verb="Note it" save={save.mutateAsync} />;
}

function Editing({ device, onDone }: { device: Device; onDone: () => void }) {
  const update = useUpdateDevice(device.id);
  const { opened, saveOver } = useOpened(device);
  return (
    <DeviceForm
      start={inputOf(opened)}
      verb="Save"
      save={(input) => saveOver((version) => update.mutateAsync({ ...input, version }))}
      onDone={onDone}
      error={update.error}
    />
  );
}

/** What it says now, and what its salt tests make of that. */
function Live({ device }: { device: Device }) {
  const { latest, silent } = device;
  if (!latest) return <p className="text-soft">Nothing heard of it yet.</p>;
  const corrected = Math.abs(latest.humidityPct - latest.rawHumidityPct) >= 0.05;
  return (
    <p>
      <span className="text-lg font-semibold">{airWords(latest)}</span>{' '}
      <span className="text-soft">
        {corrected && `(it says ${latest.rawHumidityPct.toFixed(1)} %) · `}dew point {latest.dewPointC.toFixed(1)} °C · heard{' '}
        <At instant={latest.at} />
      </span>{' '}
      {silent && <span className="rounded bg-lamp-tint px-2 py-0.5 text-sm font-semibold text-lamp">silent</span>}
    </p>
  );
}

function DeviceDetails({ device }: { device: Device }) {
  const [editing, setEditing] = useState(false);
  if (editing) return <Editing device={device} onDone={() => setEditing(false)} />;
  return (
    <div className="mt-3 space-y-4 border-t border-line pt-3">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setEditing(true)}>Edit or move</Button>
        <ButtonLink to={`/hygrometers/${device.id}/log`}>Import a log</ButtonLink>
        <a
          className="inline-flex min-h-11 items-center rounded border border-soft bg-sheet px-4 hover:bg-well"
          href={`/api/air/devices/${device.id}/readings.csv`}
        >
          Export as CSV
        </a>
      </div>
      <ByHand device={device} />
      {device.source === 'push' && <DeviceKey device={device} />}
      <SaltTest device={device} />
      {device.clockJumps.length > 0 && (
        <ul className="text-sm text-soft">
          {device.clockJumps.map((j) => (
            <li key={j.at}>
              {clockJumpWords(j.backMin)} <At instant={j.at} />
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function DeviceRow({ device, open, onToggle }: { device: Device; open: boolean; onToggle: () => void }) {
  const [saltTest] = useAtHand((d) => d.code === 'salt-test' && d.subject.id === device.id) ?? [];
  return (
    <li className="sheet p-4" aria-label={device.name}>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div className="min-w-0">
          <h2 className="text-lg font-semibold">{device.name}</h2>
          <p className="text-sm text-soft">
            {device.outdoor ? 'outdoors' : (device.placeName ?? 'in no place')} · {SOURCE_WORDS[device.source]} ·{' '}
            {device.readings === 1 ? '1 reading' : `${device.readings.toLocaleString('en-GB')} readings`}
            {device.driftPctPerYear !== null && ` · drifts ${device.driftPctPerYear.toFixed(1)} % a year`}
          </p>
          <Live device={device} />
          <OwnWord device={device} />
          {saltTest && <p className="text-sm text-lamp">A salt test is due: {dutyWords(saltTest).why}</p>}
        </div>
        <Button aria-expanded={open} onClick={onToggle}>
          {open ? 'Close' : 'Open'}
        </Button>
      </div>
      {open && <DeviceDetails device={device} />}
    </li>
  );
}

/** Everything that measures, what it says now, and how far it is to be trusted. */
export function HygrometersPage() {
  const [params, setParams] = useChoices();
  const devices = useDevices();
  const add = useAddDevice();
  const [adding, setAdding] = useState(false);
  if (devices.isPending) return <Loading />;
  if (devices.isError) return <Failure error={devices.error} onRetry={() => void devices.refetch()} />;
  const open = params.get('device');
  const all = devices.data.devices;
  return (
    <Page
      title="Hygrometers"
      sub="Raw values stay; what is shown is corrected by the last salt tests."
      actions={
        <>
          <ButtonLink to="/storage">Storage</ButtonLink>
          {!adding && (
            <Button look={all.length === 0 ? 'plain' : 'filled'} onClick={() => setAdding(true)}>
              Add one
            </Button>
          )}
        </>
      }
    >
      {adding && (
        <Section title="A hygrometer or a weather station" className="mb-6">
          <DeviceForm
            start={{ name: '', source: 'hand', outdoor: false, placeId: null, everyMinutes: 30, note: '', intake: null }}
            verb="Add it"
            save={async (input) => {
              const device = await add.mutateAsync(input);
              setParams({ device: device.id });
            }}
            onDone={() => setAdding(false)}
            error={add.error}
          />
        </Section>
      )}
      {all.length === 0 && !adding ? (
        <Empty
          title="Nothing measures yet"
          action={
            <Button look="filled" onClick={() => setAdding(true)}>
              Add a hygrometer
            </Button>
          }
        >
          One you read by hand is a good beginning; a log file or a device that pushes tells more.
        </Empty>
      ) : (
        <ul className="space-y-3">
          {all.map((device) => (
            <DeviceRow
              key={device.id}
              device={device}
              open={open === device.id}
              onToggle={() => setParams(open === device.id ? {} : { device: device.id }, { replace: true })}
            />
          ))}
        </ul>
      )}
      {all.length > 0 && <ReadByOthers />}
    </Page>
  );
}
