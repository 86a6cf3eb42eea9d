import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Button, Notice, Page, Section } from '../../ui/parts';
import { CautionLines } from '../care';
import { SearchField } from '../../ui/SearchField';
import { CHAPTERS, type Chapter, type Entry } from './entries';
import { ask, type Found } from './search';
import { useChoices } from '../../ui/choices';

function EntryCard({ entry, marked }: { entry: Entry; marked: boolean }) {
  return (
    <article id={entry.id} className={`sheet scroll-mt-4 p-4 ${marked ? 'outline-3 outline-lamp' : ''}`}>
      <h3 className="font-semibold">{entry.title}</h3>
      {entry.lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {(entry.hazards ?? []).length > 0 && (
        <div className="mt-2 space-y-1 text-sm">
          <CautionLines hazards={entry.hazards!} />
        </div>
      )}
      <p className="mt-1 text-sm text-soft">{entry.basis}</p>
      {entry.to && (
        <Link className="link inline-flex min-h-11 items-center" to={entry.to}>
          Go where it is done
        </Link>
      )}
    </article>
  );
}

/** A long chapter shows its beginning first. */
const FIRST = 12;

function Entries({ chapter: { id, entries }, marked }: { chapter: Chapter; marked: string }) {
  const [all, setAll] = useState(false);
  const short = id === 'situations' && !all && !entries.slice(FIRST).some((e) => e.id === marked);
  return (
    <>
      <div className="grid gap-3 md:grid-cols-2">
        {(short ? entries.slice(0, FIRST) : entries).map((e) => (
          <EntryCard key={e.id} entry={e} marked={e.id === marked} />
        ))}
      </div>
      {short && entries.length > FIRST && (
        <Button className="mt-3" onClick={() => setAll(true)}>
          Show all {entries.length}
        </Button>
      )}
    </>
  );
}

/** What answers a question, the best first, whichever chapter it stands in; or that nothing does, and what to do meanwhile. */
function Answers({ found: { hits, fits }, onAll }: { found: Found; onAll: () => void }) {
  const [all, setAll] = useState(false);
  return (
    <div className="space-y-6">
      {!fits && (
        <Notice tone="attention">
          <p className="font-semibold">Nothing here answers that.</p>
          <p>
            Meanwhile: stop, touch nothing, switch nothing on to try; cap it, keep it dry and apart from the rest. What the maker says of it
            decides; else a workshop.
          </p>
          <p>
            Write what you saw into a look at the thing (
            <Link className="link" to="/gear">
              Gear
            </Link>
            ): a note there is kept with its surface.
          </p>
          <Button className="mt-2" onClick={onAll}>
            Show everything
          </Button>
        </Notice>
      )}
      {hits.length > 0 && (
        <Section title={fits ? 'Answers' : 'Nearest to it'} aside={`${hits.length}`}>
          <ol className="grid gap-3 md:grid-cols-2">
            {(all ? hits : hits.slice(0, FIRST)).map(({ entry, chapter }) => (
              <li key={entry.id}>
                <p className="mb-1 text-sm text-soft">{chapter.title}</p>
                <EntryCard entry={entry} marked={false} />
              </li>
            ))}
          </ol>
          {!all && hits.length > FIRST && (
            <Button className="mt-3" onClick={() => setAll(true)}>
              Show all {hits.length}
            </Button>
          )}
        </Section>
      )}
    </div>
  );
}

/** Every method, material, soil, rule, hazard and school with where it is from. */
export function HandbookPage() {
  const [params, setParams] = useChoices();
  const { hash } = useLocation();
  const text = params.get('search') ?? '';
  const found = text.trim() ? ask(CHAPTERS, text) : null;
  const marked = hash.slice(1);
  // The router changes the address without a page load, so the browser does not jump to the entry by itself.
  useEffect(() => {
    if (marked) document.getElementById(marked)?.scrollIntoView();
  }, [marked]);
  return (
    <Page
      title="Handbook"
      sub="What Bright Keeper knows and decides by, with where each piece is from. Maker’s instructions and local rules come first."
    >
      <div className="mb-6 flex flex-wrap gap-3">
        <SearchField
          className="w-full md:w-96"
          label="Search the handbook"
          placeholder="washed overboard, sunscreen on the grip…"
          value={text}
          onChange={(next) => setParams(next ? { search: next } : {}, { replace: true })}
        />
        {!found && (
          <nav aria-label="Chapters" className="flex flex-wrap items-center gap-x-4">
            {CHAPTERS.map((c) => (
              <a key={c.id} className="link inline-flex min-h-11 items-center" href={`#${c.id}`}>
                {c.title}
              </a>
            ))}
          </nav>
        )}
      </div>
      {found ? (
        <Answers key={text} found={found} onAll={() => setParams({})} />
      ) : (
        <div className="space-y-8">
          {CHAPTERS.map((chapter) => (
            <div key={chapter.id} id={chapter.id} className="scroll-mt-4">
              <Section title={chapter.title} aside={`${chapter.entries.length}`}>
                <Entries chapter={chapter} marked={marked} />
              </Section>
            </div>
          ))}
        </div>
      )}
    </Page>
  );
}
