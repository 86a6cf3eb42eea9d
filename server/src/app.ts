import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import express from 'express';
import helmet from 'helmet';
import sirv from 'sirv';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { AppModule } from './app.module.js';
import type { Platform } from './db/database.module.js';
import { Acknowledge } from './http/acknowledge.js';
import { whileThereIsRoom } from './http/diskRoom.js';
import { Ending } from './http/ending.js';
import { againstGuessing } from './http/guessing.js';
import { localOnly } from './http/origin.guard.js';
import { ProblemFilter } from './http/problem.filter.js';
import { frameworkLog } from './platform/log.js';

const BODY_LIMIT = '16mb';
const A_YEAR_S = 31_536_000;

function serveDocs(app: NestExpressApplication): void {
  const config = new DocumentBuilder()
    .setTitle('Bright Keeper')
    .setDescription('Everything the application does, as an API. Errors are problem documents (RFC 9457).')
    .setVersion('1')
    .build();
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, config), { jsonDocumentUrl: 'api/docs.json' });
}

/** The built web application: hashed files for ever, the page itself never from a cache; every other address is the page. */
function serveWeb(app: NestExpressApplication, webDir: string): void {
  // They were packed when they were built: no request waits for it.
  app.use('/assets', sirv(join(webDir, 'assets'), { immutable: true, maxAge: A_YEAR_S, brotli: true, gzip: true, etag: true }));
  app.use(
    '/assets',
    (_: express.Request, response: express.Response) => void response.status(404).type('text').send('There is no such file.'),
  );
  app.use(express.static(webDir, { index: false, setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') }));
  app.use((request: express.Request, response: express.Response, next: express.NextFunction) => {
    if (!['GET', 'HEAD'].includes(request.method) || request.path.startsWith('/api')) return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(webDir, 'index.html'));
  });
}

/** The application over an open database, ready to listen. */
export async function createApp(platform: Platform, webDir?: string, ending = new Ending()): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(platform), { logger: frameworkLog, bodyParser: false });
  app.use(ending.takeLeave);
  // Served over plain http on this machine, so browsers must not be told to upgrade.
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: { 'upgrade-insecure-requests': null, 'script-src': ["'self'"], 'worker-src': ["'self'", 'blob:'] },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(localOnly);
  app.use(whileThereIsRoom(platform.disk));
  app.use(['/api/air/readings', '/api/air/forecast', '/api/schedule/feed'], ...againstGuessing());
  app.use(compression());
  app.use(express.json({ limit: BODY_LIMIT, type: ['application/json', 'application/senml+json'] }));
  app.useGlobalFilters(new ProblemFilter());
  app.useGlobalInterceptors(new Acknowledge(platform.database));
  serveDocs(app);
  if (webDir && existsSync(webDir)) serveWeb(app, webDir);
  return app;
}
