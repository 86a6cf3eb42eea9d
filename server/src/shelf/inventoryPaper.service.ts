import type { Inventory, InventoryThing } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import {
  cameWords,
  count,
  FILE_ROLE_WORDS,
  goneGroups,
  INVENTORY_WORDS,
  inventoryFacts,
  inventorySub,
  inventorySum,
  type InventoryWay,
  isPicture,
  kindAndMaker,
  lineSum,
  papersWords,
  titleWords,
} from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { BlobRepository, smallPicture } from '../blobs/index.js';
import { Database } from '../db/index.js';
import { type Column, Paper } from '../paper/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { InventoryService } from './inventory.service.js';

const SHARES = [3.4, 1.8, 1.9, 2, 2];
const COLUMNS = INVENTORY_WORDS.heads.map((head, i): Column => ({ head, share: SHARES[i]!, isNumber: i > 2 }));

/** The inventory as a file to keep or to send: what the page prints, in the same words. */
@Injectable()
export class InventoryPaperService {
  constructor(
    private readonly database: Database,
    private readonly inventories: InventoryService,
    private readonly blobs: BlobRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async pdf(way: InventoryWay, on?: string): Promise<Buffer> {
    const [inventory, { currency }, today] = await Promise.all([
      this.inventories.inventory(on),
      this.settings.get(),
      this.settings.today(),
    ]);
    const paper = await Paper.begin('Inventory', this.clock.now());
    paper.text(inventorySub(way, on ?? today));
    if (way === 'table') await writeTable(paper, inventory, currency);
    else if (way === 'pages') await this.writeSheets(paper, inventory.things, currency);
    else
      for (const { title, things } of goneGroups(inventory.gone)) {
        paper.heading(title);
        await this.writeSheets(paper, things, currency);
      }
    return paper.end();
  }

  /** A page for each, the first where one stands. */
  private async writeSheets(paper: Paper, things: readonly InventoryThing[], currency: string): Promise<void> {
    for (const [i, thing] of things.entries()) {
      if (i > 0) paper.page();
      paper.heading(titleWords(thing));
      paper.facts(inventoryFacts(thing, currency));
      const papers = papersWords(thing.files);
      if (papers !== null) paper.note(papers);
      await paper.pictures(await this.picturesOf(thing));
    }
  }

  private async picturesOf({ files }: InventoryThing): Promise<{ jpeg: Buffer | null; words: string }[]> {
    const { db } = this.database;
    const pictures = [];
    for (const { blob: hash, role, name } of files.filter(isPicture)) {
      const blob = await this.blobs.find(db, hash);
      // One picture that breaks off takes nothing else away.
      const jpeg = blob ? await smallPicture(await this.blobs.whole(db, blob)).catch(() => null) : null;
      pictures.push({ jpeg, words: `${FILE_ROLE_WORDS[role]}: ${name}${jpeg ? '' : ' (cannot be drawn)'}` });
    }
    return pictures;
  }
}

async function writeTable(paper: Paper, { things }: Inventory, currency: string): Promise<void> {
  const sums = ({ paid, insured, items }: gear.InventoryGroup<InventoryThing>, words: string) => ({
    cells: [words, '', '', inventorySum(paid, items.length, currency), inventorySum(insured, items.length, currency)],
    isBold: true,
  });
  const lines = (n: number) => count(n, 'line', 'lines');
  for (const group of gear.inventoryBy(things)) {
    paper.heading(group.place ?? INVENTORY_WORDS.nowhere);
    await paper.table(COLUMNS, [
      ...group.items.map((item) => ({
        cells: [
          `${titleWords(item)}\n${kindAndMaker(item)}`,
          item.particulars.serial ?? '',
          cameWords(item),
          lineSum('paid', item, currency),
          lineSum('insuredFor', item, currency),
        ],
      })),
      sums(group, lines(group.items.length)),
    ]);
  }
  if (things.length > 0) {
    paper.heading(`${INVENTORY_WORDS.all}: ${lines(things.length)}`);
    await paper.table(COLUMNS, [sums(gear.inventoryTotal(things), '')]);
  }
  paper.note(INVENTORY_WORDS.sums);
}
