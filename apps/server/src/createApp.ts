import { existsSync } from 'node:fs';
import path from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.ts';
import { compress } from './compress.ts';
import { CheckAnswers } from './contract/checkAnswers.ts';
import { MAX_BODY, Refusals } from './contract/refusals.ts';
import { checkHost } from './safety/checkHost.ts';

export interface AppOptions {
  databaseFile: string;
  /** The built web application; without it only the API is served. */
  webFolder?: string;
  /** Names that the server goes by beside localhost and addresses in digits. */
  names?: readonly string[];
  /** Hold every answer against the contract, as the tests do. */
  checkAnswers?: boolean;
}

/** The application, ready to listen. */
export async function createApp({
  databaseFile,
  webFolder,
  names = [],
  checkAnswers = false,
}: AppOptions): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.over(databaseFile), {
    // Until it runs, what goes wrong is told by whoever starts it.
    logger: false,
    abortOnError: false,
    // A closing server does not wait for browsers that only keep their line open.
    forceCloseConnections: true,
  });
  app.useLogger(['error', 'warn']);
  app.use(checkHost(names));
  app.use(compress());
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.useBodyParser('json', { limit: MAX_BODY });
  app.useGlobalFilters(new Refusals());
  if (checkAnswers) app.useGlobalInterceptors(new CheckAnswers());
  app.enableShutdownHooks();
  if (webFolder && existsSync(webFolder)) serveWeb(app, webFolder);
  return app;
}

/** Files of the web application; every other address that is not the API's is one of its pages. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  const immutable = { maxAge: '1y', immutable: true };
  app.useStaticAssets(path.join(folder, 'assets'), { prefix: '/assets/', ...immutable });
  app.useStaticAssets(folder, { index: false });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const page = request.method === 'GET' && !request.path.startsWith('/api/') && !path.extname(request.path);
    if (page) response.sendFile(path.join(folder, 'index.html'));
    else next();
  });
}
