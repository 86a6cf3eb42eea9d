import {
  idParam,
  offerInput,
  offerUpdate,
  practiceRunInput,
  reportQuery,
  signedReport,
  versioned,
  type CausesTold,
  type Item,
  type KeptOffer,
  type KeptOffers,
  type OfferInput,
  type OfferUpdate,
  type PracticeRun,
  type PracticeRunInput,
  type PracticeRuns,
  type ReportKeyTold,
  type ReportQuery,
  type Versioned,
} from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { Controller, Delete, Get, Header, HttpCode, Post, Put, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, CheckedQuery, jsonSchemaOf, Route } from '../http/index.js';
import { CausesService } from './causes.service.js';
import { OfferService } from './offer.service.js';
import { PracticeService } from './practice.service.js';
import { ReportKey } from './reportKey.js';
import { reportPdf } from './reportPaper.js';
import { ReportService } from './report.service.js';

type ById = { id: string };

@ApiTags('record')
@Controller('api/record')
export class RecordController {
  constructor(
    private readonly reports: ReportService,
    private readonly key: ReportKey,
    private readonly offers: OfferService,
    private readonly practice: PracticeService,
    private readonly causes: CausesService,
  ) {}

  @Get('report')
  @Route({ summary: 'The condition of a thing, or of all on the shelf, by the parts that are chosen; signed', query: reportQuery })
  report(@CheckedQuery(reportQuery) query: ReportQuery): Promise<record.SignedReport> {
    return this.reports.signed(query);
  }

  @Get('report.json')
  @Header('Content-Disposition', 'attachment; filename="condition-report.json"')
  @Route({ summary: 'The same report as a file to keep or to hand over', query: reportQuery })
  reportFile(@CheckedQuery(reportQuery) query: ReportQuery): Promise<record.SignedReport> {
    return this.reports.signed(query);
  }

  @Get('report.pdf')
  @Header('Content-Type', 'application/pdf')
  @Header('Content-Disposition', 'attachment; filename="condition-report.pdf"')
  @Route({ summary: 'The same report as a PDF, which names the key of its signature', query: reportQuery })
  async reportPdf(@CheckedQuery(reportQuery) query: ReportQuery): Promise<StreamableFile> {
    return new StreamableFile(await reportPdf(await this.reports.signed(query), this.key.public().fingerprint));
  }

  @Get('report.schema.json')
  @Route({ summary: 'What a report looks like (JSON Schema 2020-12)' })
  schema(): object {
    return jsonSchemaOf(signedReport, { $id: 'urn:bright-keeper:condition-report', title: 'A signed condition report' });
  }

  @Get('key')
  @Route({ summary: 'The public key reports are signed by here, and its fingerprint' })
  publicKey(): ReportKeyTold {
    return this.key.public();
  }

  @Get('offers')
  @Route({ summary: 'Offers that are kept, the newest first' })
  allOffers(): Promise<KeptOffers> {
    return this.offers.all();
  }

  @Post('offers')
  @Route({ summary: 'Keep an offer', does: ['added', 'offer'], body: offerInput, answers: 201 })
  addOffer(@CheckedBody(offerInput) input: OfferInput): Promise<KeptOffer> {
    return this.offers.add(input);
  }

  @Put('offers/:id')
  @Route({ summary: 'Correct what is said of an offer', does: ['changed', 'offer'], body: offerUpdate, byId: true })
  updateOffer(@CheckedParams(idParam) { id }: ById, @CheckedBody(offerUpdate) change: OfferUpdate): Promise<KeptOffer> {
    return this.offers.update(id, change);
  }

  @Post('offers/:id/bought')
  @HttpCode(200)
  @Route({ summary: 'It was bought: on the shelf with what was seen of it', does: ['bought', 'offer'], body: versioned, byId: true })
  bought(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Item> {
    return this.offers.bought(id, version);
  }

  @Post('offers/:id/declined')
  @HttpCode(200)
  @Route({ summary: 'It was left where it was', does: ['declined', 'offer'], body: versioned, byId: true })
  declined(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<KeptOffer> {
    return this.offers.declined(id, version);
  }

  @Delete('offers/:id')
  @HttpCode(204)
  @Route({ summary: 'Forget an offer; what was bought stands on the shelf', does: ['removed', 'offer'], byId: true, answers: 204 })
  removeOffer(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.offers.remove(id);
  }

  @Get('causes')
  @Route({ summary: 'What goes before which dirt, by the looks of this household; only what stands above chance' })
  whatGoesBefore(): Promise<CausesTold> {
    return this.causes.told();
  }

  @Get('practice')
  @Route({ summary: 'Runs of the practice, oldest first' })
  practiceRuns(): Promise<PracticeRuns> {
    return this.practice.all();
  }

  @Post('practice')
  @Route({ summary: 'A run of the practice ended', does: ['finished', 'practice'], body: practiceRunInput, answers: 201 })
  addRun(@CheckedBody(practiceRunInput) run: PracticeRunInput): Promise<PracticeRun> {
    return this.practice.add(run);
  }
}
