import {
  type ArchiveItem,
  archiveItem,
  idParam,
  importRequest,
  itemInput,
  itemUpdate,
  logQuery,
  shelfQuery,
  type SplitItem,
  splitItem,
  type Inventory,
  type WorthOverTime,
  groupQuery,
  inventoryAsOf,
  inventoryQuery,
  type GroupQuery,
  type InventoryAsOf,
  type InventoryQuery,
  type ShelfGroups,
  putTogether,
  type PutTogether,
  tagThings,
  type TagThings,
  statusChange,
  versioned,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type Item,
  type ItemInput,
  type ItemPage,
  type ItemUpdate,
  type Log,
  type LogQuery,
  type Shelf,
  type ShelfQuery,
  type StatusChange,
  type Versioned,
  type DoneToMany,
  type FitPage,
  type Vocabulary,
  manyThings,
  type ManyThings,
} from '@bright-keeper/contract';
import { Controller, Get, Header, HttpCode, Post, Put, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { FittingService } from './fitting.service.js';
import { GearService } from './gear.service.js';
import { ImportService } from './import.service.js';
import { TogetherService } from './together.service.js';
import { GroupsService } from './groups.service.js';
import { InventoryPaperService } from './inventoryPaper.service.js';
import { InventoryService } from './inventory.service.js';
import { WorthService } from './worth.service.js';
import { SeveralService } from './several.service.js';

type ById = { id: string };

@ApiTags('gear')
@Controller('api/gear')
export class GearController {
  constructor(
    private readonly gear: GearService,
    private readonly imports: ImportService,
    private readonly fitting: FittingService,
    private readonly several: SeveralService,
    private readonly together: TogetherService,
    private readonly groups: GroupsService,
    private readonly worth: WorthService,
    private readonly inventories: InventoryService,
    private readonly papers: InventoryPaperService,
  ) {}

  @Get()
  @Route({ summary: 'The shelf, filtered and sorted, a page at a time', query: shelfQuery })
  shelf(@CheckedQuery(shelfQuery) query: ShelfQuery): Promise<Shelf> {
    return this.gear.shelf(query);
  }

  @Post()
  @Route({ summary: 'Put a thing on the shelf', does: ['added', 'thing'], body: itemInput, answers: 201 })
  add(@CheckedBody(itemInput) input: ItemInput): Promise<Item> {
    return this.gear.add(input);
  }

  @Get('vocabulary')
  @Route({ summary: 'The words the shelf uses already: tags, makers, mounts, shops' })
  vocabulary(): Promise<Vocabulary> {
    return this.fitting.vocabulary();
  }

  @Get('groups')
  @Route({ summary: 'The shelf in groups, with counts and worth', query: groupQuery })
  inGroups(@CheckedQuery(groupQuery) query: GroupQuery): Promise<ShelfGroups> {
    return this.groups.groups(query);
  }

  @Get('worth')
  @Route({ summary: 'What the shelf was worth at the end of each month, and is today' })
  worthOverTime(): Promise<WorthOverTime> {
    return this.worth.overTime();
  }

  @Get('inventory')
  @Route({
    summary: 'Everything with its pictures and papers, and what is gone for good, as it stands or as it stood on a day',
    query: inventoryAsOf,
  })
  inventory(@CheckedQuery(inventoryAsOf) { on }: InventoryAsOf): Promise<Inventory> {
    return this.inventories.inventory(on);
  }

  @Get('inventory.pdf')
  @Header('Content-Type', 'application/pdf')
  @Header('Content-Disposition', 'attachment; filename="inventory.pdf"')
  @Route({ summary: 'The inventory as a PDF: a table, a page for each thing, or what is gone for good', query: inventoryQuery })
  async inventoryPdf(@CheckedQuery(inventoryQuery) query: InventoryQuery): Promise<StreamableFile> {
    return new StreamableFile(await this.papers.pdf(query.as, query.on));
  }

  @Get('fit')
  @Route({ summary: 'What goes on what by mount and thread, and the fewest step rings to add' })
  fit(): Promise<FitPage> {
    return this.fitting.page();
  }

  @Get('export.csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="gear.csv"')
  @Route({ summary: 'The shelf as CSV, safe to open in a spreadsheet' })
  export(): Promise<string> {
    return this.imports.export();
  }

  @Get('export.xlsx')
  @Header('Content-Type', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet')
  @Header('Content-Disposition', 'attachment; filename="gear.xlsx"')
  @Route({ summary: 'The shelf as a workbook' })
  async exportXlsx(): Promise<StreamableFile> {
    return new StreamableFile(await this.imports.exportSheet('xlsx'));
  }

  @Get('export.ods')
  @Header('Content-Type', 'application/vnd.oasis.opendocument.spreadsheet')
  @Header('Content-Disposition', 'attachment; filename="gear.ods"')
  @Route({ summary: 'The shelf as an OpenDocument spreadsheet' })
  async exportOds(): Promise<StreamableFile> {
    return new StreamableFile(await this.imports.exportSheet('ods'));
  }

  @Post('import/preview')
  @HttpCode(200)
  @Route({ summary: 'What a CSV file would put on the shelf, and which rows it cannot', does: 'asks', body: importRequest })
  preview(@CheckedBody(importRequest) request: ImportRequest): Promise<ImportPreview> {
    return this.imports.preview(request);
  }

  @Post('import')
  @Route({
    summary: 'Import a CSV file: what can come, comes, and what is there already is brought up to it',
    does: ['taken-in', 'things'],
    body: importRequest,
    answers: 201,
  })
  import(@CheckedBody(importRequest) request: ImportRequest): Promise<ImportResult> {
    return this.imports.confirm(request);
  }

  @Post('archive')
  @HttpCode(200)
  @Route({ summary: 'Take many things off the shelf in one go', does: ['put-away', 'things'], body: manyThings })
  archiveAll(@CheckedBody(manyThings) { itemIds }: ManyThings): Promise<DoneToMany> {
    return this.gear.archiveAll(itemIds, true);
  }

  @Post('tags')
  @HttpCode(200)
  @Route({ summary: 'Tag many things, or take a tag off them, in one go', does: ['changed', 'things'], body: tagThings })
  tagAll(@CheckedBody(tagThings) tagging: TagThings): Promise<DoneToMany> {
    return this.gear.tagAll(tagging);
  }

  @Post('together')
  @HttpCode(200)
  @Route({ summary: 'Have many things belong to one, or to nothing any more', does: ['changed', 'things'], body: putTogether })
  putTogether(@CheckedBody(putTogether) belonging: PutTogether): Promise<DoneToMany> {
    return this.together.put(belonging);
  }

  @Post('restore')
  @HttpCode(200)
  @Route({ summary: 'Put many archived things back in one go', does: ['brought-back', 'things'], body: manyThings })
  restoreAll(@CheckedBody(manyThings) { itemIds }: ManyThings): Promise<DoneToMany> {
    return this.gear.archiveAll(itemIds, false);
  }

  @Get(':id')
  @Route({ summary: 'One thing with its surfaces, contacts and what is due', byId: true })
  page(@CheckedParams(idParam) { id }: ById): Promise<ItemPage> {
    return this.gear.page(id);
  }

  @Put(':id')
  @Route({ summary: 'Edit a thing', does: ['changed', 'thing'], body: itemUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(itemUpdate) change: ItemUpdate): Promise<Item> {
    return this.gear.update(id, change);
  }

  @Put(':id/status')
  @Route({ summary: 'Move a thing into quarantine or back into use', does: ['changed', 'thing'], body: statusChange, byId: true })
  setStatus(@CheckedParams(idParam) { id }: ById, @CheckedBody(statusChange) change: StatusChange): Promise<Item> {
    return this.gear.setStatus(id, change);
  }

  @Post(':id/archive')
  @HttpCode(200)
  @Route({
    summary: 'Take a thing off the shelf, for now or because it is gone; its history and its papers stay',
    does: ['put-away', 'thing'],
    body: archiveItem,
    byId: true,
  })
  archive(@CheckedParams(idParam) { id }: ById, @CheckedBody(archiveItem) how: ArchiveItem): Promise<Item> {
    return this.gear.archive(id, how);
  }

  @Post(':id/split')
  @Route({
    summary: 'Make some of several equal things a line of their own',
    does: ['added', 'thing'],
    body: splitItem,
    byId: true,
    answers: 201,
  })
  split(@CheckedParams(idParam) { id }: ById, @CheckedBody(splitItem) how: SplitItem): Promise<Item> {
    return this.several.split(id, how);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @Route({ summary: 'Put an archived thing back', does: ['brought-back', 'thing'], body: versioned, byId: true })
  restore(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Item> {
    return this.gear.restore(id, version);
  }

  @Get(':id/log')
  @Route({ summary: 'What was done with a thing, newest first', query: logQuery, byId: true })
  log(@CheckedParams(idParam) { id }: ById, @CheckedQuery(logQuery) query: LogQuery): Promise<Log> {
    return this.gear.log(id, query);
  }
}
