import type { Access, PairedDevice } from '@bright-keeper/contract';
import { MonitorSmartphone } from 'lucide-react';
import { useState } from 'react';
import { Button, Failure, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { useLetGo } from './queries';

const CAME_BY: Record<PairedDevice['cameBy'], string> = { code: 'by a code', passphrase: 'by the passphrase' };

function Row({ device, onLetGo, isPending }: { device: PairedDevice; onLetGo: () => void; isPending: boolean }) {
  const [isSure, setSure] = useState(false);
  const { name, isThis, keeper, cameBy, addedAt, seenAt, seenFrom, endsAt } = device;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3">
      <MonitorSmartphone size={22} className="shrink-0 text-soft" aria-hidden="true" />
      <div className="min-w-48 flex-1">
        <p className="font-medium">
          {name}
          {keeper !== null && <span className="font-normal text-soft"> of {keeper}</span>}{' '}
          {isThis && <span className="ml-1 rounded bg-glass-tint px-2 py-0.5 text-sm text-glass">this one</span>}
        </p>
        <p className="text-sm text-soft">
          Last seen <At instant={seenAt} /> from {seenFrom}. Let in <At instant={addedAt} /> {CAME_BY[cameBy]}; out <At instant={endsAt} />{' '}
          unless it comes before.
        </p>
      </div>
      {isSure ? (
        <div className="flex gap-2">
          <Button look="filled" disabled={isPending} onClick={onLetGo}>
            Let {name} go now
          </Button>
          <Button onClick={() => setSure(false)}>Keep it</Button>
        </div>
      ) : (
        <Button aria-label={`Let ${name} go`} onClick={() => setSure(true)}>
          {isThis ? 'Sign out' : 'Let go'}
        </Button>
      )}
    </li>
  );
}

/** Who is let in, and how one is let go: at once, in the middle of whatever it was doing. */
export function Devices({ devices, from }: Pick<Access, 'devices' | 'from'>) {
  const letGo = useLetGo();
  return (
    <Section title="Devices that are let in">
      {letGo.error && <Failure error={letGo.error} />}
      {devices.length === 0 ? (
        <p className="sheet p-4 text-soft">None yet. This machine itself needs none of it.</p>
      ) : (
        <ul className="sheet divide-y divide-line">
          {devices.map((device) => (
            <Row key={device.id} device={device} isPending={letGo.isPending} onLetGo={() => letGo.mutate({ ...device, from })} />
          ))}
        </ul>
      )}
      <p className="mt-2 text-sm text-soft">
        Lost a phone? Let it go here: what it shows opens nothing from that moment on. What it wrote stays.
      </p>
    </Section>
  );
}
