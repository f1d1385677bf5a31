import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import { Logger } from 'nestjs-pino';
import { describeApi } from './api/description';
import { PROGRESS_TYPE } from './api/progress';
import { AppModule } from './app.module';
import { answerBadRequests } from './common/badRequests';
import { requestGate } from './common/requestGate';
import { Config } from './config/config';

const CSP =
  "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; worker-src 'self' blob:; frame-src 'self' blob: http:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/** Of 1 to 9: answers are made once and sent once, so it is not worth a processor's time to make them smallest. */
const COMPRESSION = 3;

/** What is told bit by bit must not wait in a compressor. */
const STREAMS: readonly unknown[] = ['text/event-stream', PROGRESS_TYPE];
const isCompressed = (request: Request, response: Response): boolean =>
  !STREAMS.includes(response.getHeader('content-type')) && compression.filter(request, response);

/** The whole server, not yet listening. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bufferLogs: true,
    bodyParser: false,
  });
  app.useLogger(app.get(Logger));
  app.disable('x-powered-by');
  app.set('trust proxy', config.COVE_PROXIES);
  app.use(requestGate(config));
  app.use(compression({ filter: isCompressed, level: COMPRESSION }));
  app.useGlobalPipes(new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }));
  app.enableShutdownHooks();
  SwaggerModule.setup('api/openapi', app, describeApi(app), {
    ui: false,
    raw: ['json'],
    jsonDocumentUrl: 'api/openapi.json',
  });
  if (config.COVE_WEB) serveWeb(app, config.COVE_WEB);
  const server: Server = app.getHttpServer();
  // Whoever sends slowly is let go; a whole change of the largest size has time on a slow line.
  server.headersTimeout = 15_000;
  server.requestTimeout = 120_000;
  answerBadRequests(server);
  return app;
}

/** The built interface; addresses without a file are the interface's own. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) throw new Error(`There is no built interface in ${folder}.`);
  app.useStaticAssets(folder, {
    index: false,
    maxAge: '1y',
    immutable: true,
    setHeaders: response => response.setHeader('content-security-policy', CSP),
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const ours =
      (request.method === 'GET' || request.method === 'HEAD') &&
      !request.path.includes('//') &&
      !request.path.startsWith('/api/') &&
      !request.path.startsWith('/fonts/') &&
      request.accepts('html');
    if (!ours) next();
    else {
      response.setHeader('content-security-policy', CSP);
      response.setHeader('cache-control', 'no-cache').sendFile(index);
    }
  });
}
