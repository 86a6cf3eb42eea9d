import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { Button, Empty, Page, Section } from '../../ui/parts';
import { SearchField } from '../../ui/SearchField';
import { CHAPTERS, type Chapter, type Entry } from './entries';
import { search } from './search';
import { useChoices } from '../../ui/choices';

function EntryCard({ entry, marked }: { entry: Entry; marked: boolean }) {
  return (
    <article id={entry.id} className={`sheet scroll-mt-4 p-4 ${marked ? 'outline-3 outline-lamp' : ''}`}>
      <h3 className="font-semibold">{entry.title}</h3>
      {entry.lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p className="mt-1 text-sm text-soft">{entry.basis}</p>
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

/** Every method, material, soil, rule, hazard and school with where it is from. */
export function HandbookPage() {
  const [params, setParams] = useChoices();
  const { hash } = useLocation();
  const text = params.get('search') ?? '';
  const chapters = search(CHAPTERS, text);
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
          placeholder="print and sand on the front…"
          value={text}
          onChange={(next) => setParams(next ? { search: next } : {}, { replace: true })}
        />
        <nav aria-label="Chapters" className="flex flex-wrap items-center gap-x-4">
          {chapters.map((c) => (
            <a key={c.id} className="link inline-flex min-h-11 items-center" href={`#${c.id}`}>
              {c.title}
            </a>
          ))}
        </nav>
      </div>
      {chapters.length === 0 && (
        <Empty title="Nothing holds these words" action={<Button onClick={() => setParams({})}>Show everything</Button>}>
          Try one word less.
        </Empty>
      )}
      <div className="space-y-8">
        {chapters.map((chapter) => (
          <div key={chapter.id} id={chapter.id} className="scroll-mt-4">
            <Section title={chapter.title} aside={`${chapter.entries.length}`}>
              <Entries key={text} chapter={chapter} marked={marked} />
            </Section>
          </div>
        ))}
      </div>
    </Page>
  );
}
