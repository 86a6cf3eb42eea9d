import type { Access, NetworkState, PairingCode } from '@bright-keeper/contract';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { Button, Failure, Notice, Section } from '../../ui/parts';
import { shortInstant } from '../../ui/dates';
import { useZone } from '../../ui/zone';
import { Field } from '../gear';
import { inGroups, pairingLink } from './pairingLink';
import { useNewCode } from './queries';

/** On white in the dark theme too: cameras read nothing else reliably. */
const Square = ({ text, label }: { text: string; label: string }) => (
  <div className="w-fit rounded bg-white p-3">
    <QRCodeSVG value={text} size={168} level="M" role="img" aria-label={label} />
  </div>
);

const Step = ({ n, title, children }: { n: number; title: string; children: React.ReactNode }) => (
  <li className="sheet flex-1 basis-80 space-y-3 p-4">
    <h3 className="font-semibold">
      {n}. {title}
    </h3>
    {children}
  </li>
);

const PAIRS_A_LINE = 8;

/** In lines of eight, as it is compared with a phone held beside it. */
function Fingerprint({ text }: { text: string }) {
  const pairs = text.split(':');
  const lines = pairs.flatMap((_, i) => (i % PAIRS_A_LINE === 0 ? [pairs.slice(i, i + PAIRS_A_LINE).join(':')] : []));
  return (
    <p aria-label="Fingerprint" className="font-mono text-sm">
      {lines.map((line) => (
        <span key={line} className="block">
          {line}
        </span>
      ))}
    </p>
  );
}

function Trust({ network }: { network: NetworkState }) {
  const [begin] = network.beginAt;
  if (!begin || !network.fingerprint) return null;
  return (
    <Step n={1} title="Trust, once for each device">
      <Square text={begin} label={`Opens ${begin}`} />
      <p>
        Hold the phone’s camera to it, or open <span className="font-mono text-sm">{begin}</span>. It says how the certificate is installed.
      </p>
      <p className="text-sm text-soft">Its fingerprint has to be this one:</p>
      <Fingerprint text={network.fingerprint} />
    </Step>
  );
}

/** @param of whose device comes in by it, where there are several keepers. */
function Code({ code, address, of }: { code: PairingCode; address: string; of: string | undefined }) {
  const zone = useZone();
  return (
    <>
      <Square text={pairingLink(address, code.code)} label="Opens Bright Keeper with the code filled in" />
      <p aria-label="Code" className="font-mono text-3xl tracking-widest">
        {inGroups(code.code)}
      </p>
      <p>
        Hold the camera to it, or open <span className="font-mono text-sm">{address}</span> and type the code.
      </p>
      <p className="text-sm text-soft">
        For one device{of === undefined ? '' : ` of ${of}`}, until {shortInstant(Date.parse(code.endsAt), zone)}.
      </p>
    </>
  );
}

function Pair({ address, codeUntil, keepers }: { address: string } & Pick<Access, 'codeUntil' | 'keepers'>) {
  const newCode = useNewCode();
  const [chosen, setChosen] = useState<string | null>(null);
  const whose = keepers.find(({ id, isThis }) => (chosen === null ? isThis : id === chosen)) ?? keepers[0];
  const shownFor = keepers.find(({ id }) => id === newCode.variables?.keeperId)?.name;
  const isShown = newCode.data?.endsAt === codeUntil;
  return (
    <>
      {newCode.data && isShown && <Code code={newCode.data} address={address} of={shownFor} />}
      {newCode.data && !isShown && <Notice tone="good">That code is used up.</Notice>}
      {!isShown && (
        <p>
          Have a code shown, then open <span className="font-mono text-sm">{address}</span> on the device.
        </p>
      )}
      {keepers.length > 0 && (
        <Field label="For a device of" id="code-for">
          <select id="code-for" className="input" value={whose!.id} onChange={(e) => setChosen(e.target.value)}>
            {keepers.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {newCode.error && <Failure error={newCode.error} />}
      <Button
        look={isShown ? 'plain' : 'filled'}
        disabled={newCode.isPending}
        onClick={() => newCode.mutate(whose ? { keeperId: whose.id } : {})}
      >
        {isShown ? 'Show another code' : 'Show a code'}
      </Button>
    </>
  );
}

/** How a phone is brought in: trust, open, pair. */
export function Invite({ access: { network, codeUntil, keepers } }: { access: Access }) {
  const [address] = network.addresses;
  if (!address) return null;
  const isTrusted = network.beginAt.length === 0;
  return (
    <Section title="Let a device in">
      <ol className="flex flex-wrap gap-4">
        <Trust network={network} />
        <Step n={isTrusted ? 1 : 2} title="Open and pair">
          <Pair address={address} codeUntil={codeUntil} keepers={keepers} />
        </Step>
      </ol>
    </Section>
  );
}
