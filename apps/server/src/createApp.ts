import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import { json, type NextFunction, type Request, type Response } from 'express';
import { Logger } from 'nestjs-pino';
import { AppModule } from './app.module';
import { Config } from './config/config';

const CSP =
  "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; worker-src 'self' blob:; frame-src 'self' blob: http:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/** A stream of events must not wait in a compressor. */
const isCompressed = (request: Request, response: Response): boolean =>
  response.getHeader('content-type') !== 'text/event-stream' && compression.filter(request, response);

/** The whole server, not yet listening. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bufferLogs: true,
    bodyParser: false,
  });
  app.useLogger(app.get(Logger));
  app.disable('x-powered-by');
  app.set('trust proxy', config.COVE_PROXIES);
  app.use(compression({ filter: isCompressed }));
  app.use('/api/sites/:site/changes', json({ limit: '20mb' }));
  // A font of 4 MB as base64, and a little.
  app.use('/api/sites/:site/fonts', json({ limit: '12mb' }));
  // A picture of 11 MB as base64, and a little.
  app.use('/api/sites/:site/assets', json({ limit: '16mb' }));
  app.useBodyParser('json', { limit: '64kb' });
  app.useGlobalPipes(new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }));
  app.enableShutdownHooks();
  app.use((_: Request, response: Response, next: NextFunction) => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'same-origin');
    next();
  });
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder().setTitle('Cove Thread').setVersion('1').build(),
  );
  SwaggerModule.setup('api/openapi', app, document, {
    ui: false,
    raw: ['json'],
    jsonDocumentUrl: 'api/openapi.json',
  });
  if (config.COVE_WEB) serveWeb(app, config.COVE_WEB);
  return app;
}

/** The built interface; addresses without a file are the interface's own. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) throw new Error(`There is no built interface in ${folder}.`);
  app.use((_: Request, response: Response, next: NextFunction) => {
    response.setHeader('content-security-policy', CSP);
    next();
  });
  app.useStaticAssets(folder, { index: false, maxAge: '1y', immutable: true });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const ours =
      request.method === 'GET' &&
      !request.path.startsWith('/api/') &&
      !request.path.startsWith('/fonts/') &&
      request.accepts('html');
    if (!ours) next();
    else response.setHeader('cache-control', 'no-cache').sendFile(index);
  });
}
