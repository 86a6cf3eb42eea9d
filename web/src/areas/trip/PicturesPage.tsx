import type { Outing, ShelfItem, TakenFromPictures } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';
import { useDeferredValue, useMemo, useState } from 'react';
import { FileButton } from '../../ui/FilePicker';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { useToday } from '../../ui/zone';
import { useWholeShelf } from '../gear';
import { useOutings, useTakeInPictures } from './queries';
import type { AllHeads } from './pictures/allHeads';
import { Cameras, type Counted } from './pictures/Cameras';
import { filesDropped } from './pictures/filesDropped';
import { Found } from './pictures/Found';
import { Habits } from './pictures/Habits';
import { bodiesOf, fewestOver, lensesOf, matchesFrom, PAUSES, PAUSE_WORDS, picturesOf, rangeOf, takenIn, type Matches, type Pause, type Said } from './pictures/picturesView'; // prettier-ignore
import { useHeads, type ReadingHeads } from './pictures/useHeads';
import { many } from './words';

/** Each camera or lens the files name, the most used first. */
function countedFrom(
  says: ReadonlyMap<string, trip.FileSays>,
  pictures: readonly trip.Picture[],
  of: 'body' | 'lens',
  today: string,
): Counted[] {
  const counts = new Map<string, Counted>();
  for (const picture of pictures) {
    const key = picture[of];
    if (key === null) continue;
    const before = counts.get(key) ?? { key, says: says.get(key)!, frames: 0, firstAt: picture.takenAt, oddDates: 0 };
    before.frames += 1;
    before.oddDates += Number(trip.clockIsOff(picture.takenAt.slice(0, 10), today) !== null);
    if (picture.takenAt < before.firstAt) before.firstAt = picture.takenAt;
    counts.set(key, before);
  }
  return [...counts.values()].sort((a, b) => b.frames - a.frames);
}

/** A folder, files, or a heap dropped here; how far it has come, and a stop that can be taken up. */
function Choosing({ heads }: { heads: ReadingHeads }) {
  const [withPlace, setWithPlace] = useState(false);
  const { state, done, total } = heads;
  return (
    <div
      className="sheet space-y-3 p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void filesDropped(e.dataTransfer).then((files) => heads.read(files, withPlace));
      }}
    >
      <label className="flex min-h-11 items-center gap-3">
        <input type="checkbox" className="check" checked={withPlace} onChange={(e) => setWithPlace(e.target.checked)} />
        <span>Read where they were taken, to tell home from away. Rounded to ten kilometres as it is read, and kept nowhere.</span>
      </label>
      <div className="flex flex-wrap items-center gap-3">
        <FileButton filled={state === 'none'} accept="" folder onChoose={(_, files) => heads.read(files, withPlace)}>
          Choose a folder
        </FileButton>
        <FileButton accept="image/*,.heic,.dng,.arw,.cr2,.nef,.pef" multiple onChoose={(_, files) => heads.read(files, withPlace)}>
          Choose pictures
        </FileButton>
        <span className="text-soft">
          or drop them here. Only their heads are read, on this device; nothing of them is kept but what is counted.
        </span>
      </div>
      {state !== 'none' && (
        <div className="flex flex-wrap items-center gap-4">
          <label className="min-w-48 flex-1">
            <span className="mb-1 block" role="status">
              {done} of {total} read{state === 'stopped' && ', stopped'}
            </span>
            <progress className="h-2 w-full" max={total} value={done} />
          </label>
          {state === 'reading' && <Button onClick={heads.stop}>Stop</Button>}
          {state === 'stopped' && <Button onClick={heads.goOn}>Go on</Button>}
          {state !== 'reading' && (
            <Button look="quiet" onClick={heads.clear}>
              Begin anew
            </Button>
          )}
        </div>
      )}
      {heads.fault && <Notice tone="act">Reading stopped: {heads.fault}. What was read so far is below.</Notice>}
    </div>
  );
}

/** What was passed over, by why. */
function PassedOver({ heads, left, aside }: { heads: AllHeads; left: number; aside: trip.SetAside }) {
  const said = [
    [aside.twice, 'there twice (raw beside JPEG, an edit, the same file again)', 'counted once'],
    [aside.atHome, 'taken at home', 'of no outing'],
    [left, 'of a camera that is left out or not told', ''],
    [aside.ahead + aside.neverSet, 'dated by a clock that was wrong', 'left out until it is set right'],
    [heads.untold, 'without a date in its head, or not readable', 'left out'],
    [heads.notPictures, 'no picture by its name', 'not read'],
  ] as const;
  const some = said.filter(([n]) => n > 0);
  if (some.length === 0) return null;
  return (
    <ul className="text-sm text-soft">
      {some.map(([n, what, then]) => (
        <li key={what}>
          {n} {what}
          {then && `: ${then}`}.
        </li>
      ))}
    </ul>
  );
}

/** Everything that hangs on what was read: cameras, lenses, outings, habits, and taking it in. */
function Told({ heads, shelf, noted }: { heads: AllHeads; shelf: readonly ShelfItem[]; noted: readonly Outing[] }) {
  const today = useToday();
  const [chosen, setChosen] = useState<{ bodies: Matches; lenses: Matches }>({ bodies: {}, lenses: {} });
  const [aheadMs, setAheadMs] = useState<Record<string, number>>({});
  const [pause, setPause] = useState<Pause>('16');
  const [homeEnds, setHomeEnds] = useState(true);
  const [said, setSaid] = useState<Record<string, Said>>({});
  const takeIn = useTakeInPictures();
  const bodies = { ...matchesFrom(heads.bodies, bodiesOf(shelf)), ...chosen.bodies };
  const lenses = { ...matchesFrom(heads.lenses, lensesOf(shelf)), ...chosen.lenses };
  const asked = JSON.stringify([bodies, lenses, aheadMs, pause, homeEnds]);
  const { pictures, told } = useMemo(() => {
    const ours = picturesOf({ ...heads, pictures: trip.withClocks(heads.pictures, aheadMs) }, bodies, lenses);
    return { pictures: ours, told: trip.tellPictures(ours, { pauseHours: Number(pause), today, homeEnds }) };
    // What is chosen is told by its text: the maps are made anew each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [heads, asked, today]);
  const ours = useMemo(() => new Set(shelf.map((t) => t.id)), [shelf]);
  const proposals = useMemo(() => trip.besideNoted(told.outings, noted, (id) => ours.has(id)), [told, noted, ours]);
  const changes = useMemo(
    () =>
      fewestOver(
        told.outings,
        pictures,
        lensesOf(shelf).flatMap((t) => rangeOf(t) ?? []),
      ),
    [told, pictures, shelf],
  );
  const taking = takenIn(proposals, said, noted, ours);
  const [adds, updates] = [taking.added.length, taking.changed.length];
  const allBodies = countedFrom(heads.bodies, heads.pictures, 'body', today);
  const ofOurs = heads.pictures.filter((p) => p.body !== null && bodies[p.body]);
  const allLenses = countedFrom(heads.lenses, ofOurs, 'lens', today);
  return (
    <div className="space-y-8">
      <PassedOver heads={heads} left={heads.pictures.length - pictures.length} aside={told.aside} />
      <Cameras
        title={`Cameras (${allBodies.length})`}
        aside="Which of your things each one is"
        all={allBodies}
        things={bodiesOf(shelf)}
        kinds={['mirrorless-body', 'slr-body', 'compact', 'drone', 'phone']}
        matches={bodies}
        nobodys="Leave its pictures out"
        choose={(key, id) => setChosen((was) => ({ ...was, bodies: { ...was.bodies, [key]: id } }))}
        clocks={{ aheadMs, set: (key, ms) => setAheadMs((was) => ({ ...was, [key]: ms })), twoBodies: told.twoBodies }}
      />
      {allLenses.length > 0 && (
        <Cameras
          title={`Lenses (${allLenses.length})`}
          aside="A camera with a lens of its own names it, too"
          all={allLenses}
          things={lensesOf(shelf)}
          kinds={['lens']}
          matches={lenses}
          nobodys="None of the shelf"
          choose={(key, id) => setChosen((was) => ({ ...was, lenses: { ...was.lenses, [key]: id } }))}
        />
      )}
      {pictures.length === 0 ? (
        <Empty title="No picture of a camera on your shelf yet">
          Say above which of your things each camera is, or put it on the shelf. Then its outings are found.
        </Empty>
      ) : (
        <>
          <div className="sheet space-y-3 p-4">
            <WayButtons
              legend="A pause this long ends an outing"
              ways={PAUSES.map((p) => [p, PAUSE_WORDS[p]] as const)}
              chosen={pause}
              onChoose={setPause}
            />
            {told.home && (
              <label className="flex min-h-11 items-center gap-3">
                <input type="checkbox" className="check" checked={homeEnds} onChange={(e) => setHomeEnds(e.target.checked)} />
                <span>
                  Pictures of {told.home.days} days come from one neighbourhood: that is home, and what was taken there is of no outing.
                </span>
              </label>
            )}
          </div>
          <Found proposals={proposals} noted={noted} shelf={shelf} said={said} say={(key, s) => setSaid((was) => ({ ...was, [key]: s }))} />
          <div className="space-y-3">
            {takeIn.error && <Failure error={takeIn.error} />}
            {takeIn.data && <TakenNotice taken={takeIn.data} />}
            {adds + updates > 0 ? (
              <Button look="filled" disabled={takeIn.isPending} onClick={() => takeIn.mutate(taking)}>
                {takeInWords(adds, updates)}
              </Button>
            ) : (
              !takeIn.data && <p className="text-soft">There is nothing to take in: all of it is noted, or left out above.</p>
            )}
          </div>
          <Habits told={told} shelf={shelf} changes={changes} />
        </>
      )}
    </div>
  );
}

const takeInWords = (adds: number, updates: number): string =>
  [
    adds > 0 && `Note ${many(adds, 'outing', 'outings')}`,
    updates > 0 && `${adds > 0 ? 'add to' : 'Add to'} ${many(updates, 'that is noted', 'that are noted')}`,
  ]
    .filter(Boolean)
    .join(', ');

const TakenNotice = ({ taken: { added, changed } }: { taken: TakenFromPictures }) => (
  <Notice tone="good">
    {[added > 0 && `${many(added, 'outing is', 'outings are')} noted`, changed > 0 && `${many(changed, 'is', 'are')} brought up to date`]
      .filter(Boolean)
      .map((words, i) => (i === 0 ? capital(String(words)) : words))
      .join(', ')}
    . The calendar counts them.
  </Notice>
);

/** Outings, use and habits from the heads of photographs: read on this device, shown first, then taken as a whole. */
export function PicturesPage() {
  const heads = useHeads();
  const shelf = useWholeShelf();
  const outings = useOutings();
  const shown = useDeferredValue(heads.heads);
  const failed = [outings, shelf].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  return (
    <Page
      title="From pictures"
      sub="Your photographs know when the gear was out, and which lens was on: choose them, and the outings are found."
      actions={<ButtonLink to="/outings">Outings</ButtonLink>}
    >
      <div className="space-y-8">
        <Choosing heads={heads} />
        {!outings.data || !shelf.data ? (
          <Loading />
        ) : (
          heads.state !== 'none' &&
          (shown.pictures.length > 0 ? (
            <Told heads={shown} shelf={shelf.data} noted={outings.data} />
          ) : (
            heads.state !== 'reading' && (
              <Empty title="None of these tells when it was taken">
                Take the files as the camera wrote them: what was sent through a messenger or saved for the web has lost its head.
              </Empty>
            )
          ))
        )}
      </div>
    </Page>
  );
}
