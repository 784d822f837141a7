import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { SessionStore } from './access/session.js';
import { signedInFirst } from './access/signedInFirst.js';
import type { Settings } from './database/settings.js';
import { ProblemFilter } from './edge/problem.filter.js';
import { knownHost } from './edge/knownHost.js';
import { readable } from './edge/readable.js';
import { sameSite } from './edge/sameSite.js';
import { validationPipe } from './edge/validation.js';

/** Largest body taken; a batch of events or a pattern is far below it. */
const LARGEST_BODY = '1mb';

/** Everything around the controllers: safety headers, sessions, validation, problem details, OpenAPI. */
export function configure(app: NestExpressApplication, settings: Settings): void {
  app.setGlobalPrefix('api');
  // what it says of where a request comes from is believed of a named proxy only
  if (settings.proxies.length > 0) app.set('trust proxy', settings.proxies);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          // the solver of the cutting plan is WebAssembly
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'style-src': ["'self'"],
          'font-src': ["'self'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'", 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: settings.tls !== null,
    }),
  );
  app.use(compression());
  app.use(knownHost([...settings.hosts, settings.host]));
  // what a tablet shows to the next person at it is asked for anew; what never changes says so itself
  app.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    response.setHeader('cache-control', 'no-store');
    // a tablet reckons by this clock, not by its own
    response.setHeader('x-compas-now', String(Date.now()));
    next();
  });
  app.use('/api', sameSite);
  app.use('/api', app.get(SessionStore).handler());
  app.use('/api', signedInFirst);
  app.useBodyParser('json', { limit: LARGEST_BODY });
  app.use(readable);
  app.useGlobalPipes(validationPipe());
  app.useGlobalFilters(new ProblemFilter());
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, documentConfig()), {
    jsonDocumentUrl: 'api/openapi.json',
  });
}

export const documentConfig = () =>
  new DocumentBuilder()
    .setTitle('Compas')
    .setDescription('Batches at the lathe: patterns, plans, runs, twins.')
    .setVersion('1')
    .build();
