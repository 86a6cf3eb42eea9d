import { reportQuery, signedReport, type ReportKeyTold, type ReportQuery } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { Controller, Get, Header, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedQuery, jsonSchemaOf, Route } from '../http/index.js';
import { ReportKey } from './reportKey.js';
import { reportPdf } from './reportPaper.js';
import { ReportService } from './report.service.js';

@ApiTags('record')
@Controller('api/record')
export class RecordController {
  constructor(
    private readonly reports: ReportService,
    private readonly key: ReportKey,
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
}
