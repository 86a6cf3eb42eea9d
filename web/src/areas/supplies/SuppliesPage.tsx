import type { Supply, SupplyInput } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useOpened } from '../../api/useOpened';
import { useChoices, withChoice } from '../../ui/choices';
import { DataTable, type Columns } from '../../ui/DataTable';
import { DoneEarlier } from '../../ui/DoneEarlier';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { useInSlices } from '../../ui/useInSlices';
import { WayButtons } from '../../ui/WayButtons';
import { capital } from '../../ui/words';
import { useAddSupply, useDemote, useDrawer, useRemoveSupply, useUpdateSupply, useWash } from './queries';
import { HowLong, ToBuy, useOutlook } from './HowLong';
import { IsThisAll } from './IsThisAll';
import { Starters } from './Starters';
import { SupplyForm } from './SupplyForm';
import { stockWords } from './words';

const NEW: SupplyInput = {
  thing: 'bulb-blower',
  state: 'clean',
  stock: null,
  packSize: null,
  packPrice: null,
  openedOn: null,
  widthMm: null,
  note: '',
  kit: null,
};

const AT_HOME = 'Drawer at home';
/** As the address says it: names of kits are trimmed, so that none begins with a space. */
const HOME = ' home';

const ROLES: { role: care.ToolRole; title: string; what: string }[] = [
  { role: 'glass', title: 'For glass', what: 'Touches glass and nothing else.' },
  { role: 'shell', title: 'For shells', what: 'Never comes near glass.' },
  { role: 'sensor', title: 'For the sensor', what: 'New each time.' },
  { role: 'any', title: 'For either', what: 'Air, fluids and swabs: what wipes decides.' },
];

/** Whether it can be used now, and if not why. */
function fitness({ thing, state, usesSinceWash, stock }: Supply): { words: string; fit: boolean } {
  if (stock === 0) return { words: 'used up', fit: false };
  if (stock !== null) return { words: `${stockWords(thing, stock)} left`, fit: true };
  if (!supplies.isTool(thing)) return { words: 'not counted', fit: true };
  if (state === 'dirty') return { words: 'dirty', fit: false };
  if (!supplies.isWashable(thing)) return { words: 'clean', fit: true };
  const fit = supplies.isFit({ thing, state, usesSinceWash });
  return { words: `${usesSinceWash} of ${supplies.USES_BEFORE_WASH} uses since its wash`, fit };
}

/** What a person may say of it, without what the drawer keeps by itself. */
const inputOf = ({ id: _, version: _v, role: _r, usesSinceWash: _u, ...input }: Supply): SupplyInput => input;

function Editing({ supply, kits, onDone }: { supply: Supply; kits: readonly string[]; onDone: () => void }) {
  const update = useUpdateSupply(supply.id);
  const { opened, saveOver } = useOpened(supply);
  return (
    <SupplyForm
      kits={kits}
      start={inputOf(opened)}
      verb="Save"
      save={(input) => saveOver((version) => update.mutateAsync({ ...input, version }))}
      onDone={onDone}
      error={update.error}
    />
  );
}

/** What one may do with a thing of the drawer. */
function Deeds({ supply, onEdit }: { supply: Supply; onEdit: () => void }) {
  const wash = useWash();
  const demote = useDemote();
  const update = useUpdateSupply(supply.id);
  const remove = useRemoveSupply();
  const [isEarlier, setEarlier] = useState(false);
  const { id, version, thing, state } = supply;
  const failure = wash.error ?? demote.error ?? remove.error ?? update.error;
  const fallen = () => update.mutate({ ...inputOf(supply), state: 'dirty', version });
  return (
    <>
      <div className="flex flex-wrap gap-x-4">
        {supplies.isWashable(thing) && (
          <>
            <Button look="quiet" onClick={() => wash.mutate({ id, version, at: null })}>
              Washed
            </Button>
            <Button look="quiet" onClick={() => setEarlier(true)}>
              Washed earlier…
            </Button>
          </>
        )}
        {supplies.isTool(thing) && state === 'clean' && (
          <Button look="quiet" onClick={fallen}>
            It fell, or got dirty
          </Button>
        )}
        {supplies.mayDemote(supply) && (
          <Button look="quiet" onClick={() => demote.mutate({ id, version })}>
            It touched a shell
          </Button>
        )}
        <Button look="quiet" onClick={onEdit}>
          Edit
        </Button>
        <Button look="quiet" onClick={() => remove.mutate(id)}>
          Take out
        </Button>
      </div>
      {isEarlier && (
        <DoneEarlier
          label="It was washed on"
          onLeave={() => setEarlier(false)}
          onDone={(at) => wash.mutate({ id, version, at }, { onSuccess: () => setEarlier(false) })}
        >
          {isDemoted(supply) && (
            <p className="w-full text-sm text-soft">
              It has touched a shell, before that wash or after it: it stays with shells until it is washed again.
            </p>
          )}
        </DoneEarlier>
      )}
      {failure && <Failure error={failure} />}
    </>
  );
}

/** It was sold for glass, and has touched a shell since. */
const isDemoted = ({ thing, role }: Supply): boolean => supplies.soldFor(thing) !== role;
const nameOf = ({ thing }: Supply): string => capital(care.thingName(thing));

function Named({ supply }: { supply: Supply }) {
  return (
    <>
      <span className="font-medium">
        {nameOf(supply)} {isDemoted(supply) && <span className="rounded bg-act-tint px-1.5 text-sm text-act">used on a shell</span>}
      </span>
      {supply.note && <span className="block text-sm text-soft">{supply.note}</span>}
    </>
  );
}

const State = ({ supply }: { supply: Supply }) => {
  const { words, fit } = fitness(supply);
  return <span className={`text-sm ${fit ? 'text-soft' : 'font-semibold text-act'}`}>{words}</span>;
};

/** Where it lies, and moving it to a kit or home with one tap. */
function LiesIn({ supply, kits }: { supply: Supply; kits: readonly string[] }) {
  const update = useUpdateSupply(supply.id);
  return (
    <>
      <select
        className="input w-auto"
        aria-label={`${nameOf(supply)} lies in`}
        value={kits.find((name) => supplies.sameKit(name, supply.kit)) ?? ''}
        disabled={update.isPending}
        onChange={(e) => update.mutate({ ...inputOf(supply), kit: e.target.value || null, version: supply.version })}
      >
        <option value="">{AT_HOME}</option>
        {kits.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
      {update.error && <Failure error={update.error} />}
    </>
  );
}

/** What is kept for one role, as a table; the row that is edited gives way to its form. */
function DrawerTable({ title, own, kits }: { title: string; own: Supply[]; kits: readonly string[] }) {
  const [editing, setEditing] = useState<string | null>(null);
  const columns: Columns<Supply> = [
    { id: 'thing', header: 'Thing', accessorFn: nameOf, cell: ({ row }) => <Named supply={row.original} /> },
    { id: 'state', header: 'How it is', accessorFn: (s) => fitness(s).words, cell: ({ row }) => <State supply={row.original} /> },
    ...(kits.length > 0
      ? [
          {
            id: 'kit',
            header: 'Lies in',
            accessorFn: (s: Supply) => s.kit ?? '',
            cell: ({ row }: { row: { original: Supply } }) => <LiesIn supply={row.original} kits={kits} />,
          },
        ]
      : []),
    {
      id: 'deeds',
      header: 'What happened',
      enableSorting: false,
      cell: ({ row }) => <Deeds supply={row.original} onEdit={() => setEditing(row.original.id)} />,
    },
  ];
  return (
    <DataTable
      caption={title}
      columns={columns}
      rows={own}
      rowKey={(s) => s.id}
      instead={(s) => (s.id === editing ? <Editing supply={s} kits={kits} onDone={() => setEditing(null)} /> : null)}
      stacks
    />
  );
}

/** The drawer, by what may be touched with it. A plan uses only what is here and fit. */
export function SuppliesPage() {
  const [params, setParams] = useChoices();
  const drawer = useDrawer();
  const drawing = useInSlices(drawer.isPending);
  const add = useAddSupply();
  const { rows, failed } = useOutlook(drawer.data?.supplies ?? []);
  const [adding, setAdding] = useState(false);
  if (drawing || drawer.isPending) return <Loading />;
  if (drawer.isError) return <Failure error={drawer.error} onRetry={() => void drawer.refetch()} />;
  const all = drawer.data.supplies;
  const kits = supplies.kitsOf(all);
  const ways: readonly (readonly [string, string])[] = [['', 'All of it'], [HOME, AT_HOME], ...kits.map((name) => [name, name] as const)];
  const asked = params.get('kit') ?? '';
  const shown = ways.some(([way]) => way === asked) ? asked : '';
  const isShown = ({ kit }: Supply) => shown === '' || supplies.sameKit(kit ?? HOME, shown);
  const addButton = (
    <Button look="filled" onClick={() => setAdding(true)}>
      <Plus size={18} aria-hidden="true" /> Put something in
    </Button>
  );
  return (
    <Page
      title="Supplies"
      sub={
        all.length > 0
          ? drawer.data.isAll
            ? 'Plans use only what is here and fit, and say what is missing.'
            : 'What is listed counts as it says; what is not listed is assumed at hand.'
          : 'No drawer is kept, so plans assume that everything is at hand.'
      }
      actions={
        <>
          <ButtonLink to="/costs">What care took</ButtonLink>
          {all.length > 0 && !adding && addButton}
        </>
      }
    >
      <div className="space-y-6">
        {adding && (
          <SupplyForm
            kits={kits}
            start={{ ...NEW, kit: kits.includes(shown) ? shown : null }}
            verb="Put it in the drawer"
            save={(input) => add.mutateAsync(input)}
            onDone={() => setAdding(false)}
            error={add.error}
          />
        )}
        {all.length === 0 && !adding && (
          <>
            <Empty title="The drawer is empty" action={addButton}>
              List what you have, and plans keep to it: no cloth that touched a shell comes near glass, and the bench counts drops and
              sheets.
            </Empty>
            <Starters />
          </>
        )}
        {all.length > 0 && <IsThisAll isAll={drawer.data.isAll} />}
        {kits.length > 0 && (
          <WayButtons
            legend={<span className="sr-only">Which kit</span>}
            ways={ways}
            chosen={shown}
            onChoose={(kit) => setParams(withChoice(params, 'kit', kit || null), { replace: true })}
          />
        )}
        <ToBuy rows={rows} />
        <div className="space-y-6">
          {ROLES.map(({ role, title, what }) => {
            const own = all.filter((s) => s.role === role && isShown(s));
            return (
              own.length > 0 && (
                <Section key={role} title={title} aside={what}>
                  <DrawerTable title={title} own={own} kits={kits} />
                </Section>
              )
            );
          })}
          {failed && <Failure error={failed.error} onRetry={() => void failed.refetch()} />}
          {rows.length > 0 && <HowLong rows={rows} />}
        </div>
      </div>
    </Page>
  );
}
