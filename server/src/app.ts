import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import express, { type RequestHandler } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import type { RequestListener } from 'node:http';
import { constants } from 'node:zlib';
import { AccessService, askerOf, beginPage, gate, isIn, slowGuesses, type NetworkOptions } from './access/index.js';
import { AppModule } from './app.module.js';
import type { Platform } from './db/index.js';
import {
  Acknowledge,
  addressedToUs,
  whileItCanBeKept,
  Ending,
  againstGuessing,
  checkRoutes,
  describeRoutes,
  guessedPaths,
  JSON_TYPES,
  keyedPaths,
  ProblemFilter,
  serveAssets,
  servePages,
  whoMayCome,
} from './http/index.js';
import { LIMITS } from './limits.js';
import { frameworkLog } from './platform/index.js';

/** An answer is packed for one reader, mostly on this machine: to pack it well takes longer than to send it. */
const QUICKLY = { level: 1, brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } } };

/** Served over plain http on this machine, so browsers must not be told to upgrade. */
const SECURED = helmet({
  contentSecurityPolicy: {
    directives: { 'upgrade-insecure-requests': null, 'script-src': ["'self'", "'wasm-unsafe-eval'"], 'worker-src': ["'self'", 'blob:'] },
  },
  strictTransportSecurity: false,
});

/** What a household holds lies in no cache on the way, and is asked for anew each time; a picture that never changes says otherwise. */
const heldByNobody: RequestHandler = (_, response, next) => {
  response.setHeader('Cache-Control', 'private, no-cache');
  next();
};

function serveDocs(app: NestExpressApplication): void {
  const config = new DocumentBuilder()
    .setTitle('Bright Keeper')
    .setDescription('Everything the application does, as an API. Errors are problem documents (RFC 9457).')
    .setVersion('1')
    .build();
  const document = () => {
    describeRoutes();
    return SwaggerModule.createDocument(app, config);
  };
  SwaggerModule.setup('api/docs', app, document, { jsonDocumentUrl: 'api/docs.json' });
}

export type AppOptions = {
  webDir?: string | undefined;
  ending?: Ending;
  /** How it can be opened to its network; without it, it answers its own machine only. */
  network?: NetworkOptions | null;
};

/** The application over an open database, ready to listen. */
export async function createApp(
  platform: Platform,
  { webDir, ending = new Ending(), network = null }: AppOptions = {},
): Promise<NestExpressApplication> {
  const module = AppModule.with(platform, network);
  const app = await NestFactory.create<NestExpressApplication>(module, { logger: frameworkLog, bodyParser: false });
  checkRoutes(app);
  const access = app.get(AccessService);
  const whoMay = whoMayCome(app);
  const web = webDir && existsSync(webDir) ? webDir : null;
  app.disable('x-powered-by');
  app.use(ending.takeLeave);
  app.use(addressedToUs(SECURED));
  app.use(beginPage({ access, whoMay, secured: SECURED, now: () => platform.clock.now() }));
  if (web) serveAssets(app, web);
  app.use(SECURED);
  app.use('/api', heldByNobody);
  app.use(gate(access, whoMay));
  app.use(guessedPaths(app), ...slowGuesses());
  app.use(whileItCanBeKept(platform.disk, platform.database));
  app.use(keyedPaths(app), ...againstGuessing());
  app.use(compression(QUICKLY));
  app.use(express.json({ limit: LIMITS.body.bytes, type: JSON_TYPES }));
  app.use(keyedPaths(app), express.text({ limit: LIMITS.access.keyBytes }));
  app.useGlobalFilters(new ProblemFilter());
  app.useGlobalInterceptors(new Acknowledge(platform.database));
  serveDocs(app);
  if (web) servePages(app, web, (request) => isIn(askerOf(request)));
  access.network.serve(app.getHttpAdapter().getInstance() as RequestListener);
  return app;
}
