import { ConsoleLogger, ValidationPipe, type INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import cookieParser from 'cookie-parser';
import type { ValidationError } from 'class-validator';
import express, { type Request, type Response } from 'express';
import helmet from 'helmet';
import type { Server } from 'node:http';
import { join } from 'node:path';
import type { DataSource } from 'typeorm';
import { fieldLabel } from '@zakat/contract/labels';
import type { ProblemDetail } from '@zakat/contract/problem';
import { AppModule } from './app.module.js';
import type { Config } from './config/config.js';
import { Refusal } from './http/refusal.js';
import { keptNowhere, soundRequest } from './http/sound-request.js';

/** What to do about a value that cannot be taken, by the rule it breaks. */
const SHAPE_FIXES: Readonly<Record<string, string>> = {
  whitelistValidation: 'Leave it out.',
  isDefined: 'Enter it.',
  maxLength: 'Shorten it.',
  minLength: 'Enter it in full.',
};

/** One sentence a field: a value that is not there breaks every rule at once, and only that is worth saying. */
function oneRule({ value, constraints = {} }: ValidationError): [rule: string, message: string][] {
  const rules = Object.entries(constraints);
  if (rules.length === 0) return [];
  if (value === undefined || value === null) return [['isDefined', 'is missing']];
  return rules
    .filter(([rule]) => rule === 'isString')
    .concat(rules)
    .slice(0, 1);
}

function details(errors: readonly ValidationError[], path: string): ProblemDetail[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = oneRule(error).map(([rule, message]): ProblemDetail => ({
      code: `shape.${rule}`,
      field,
      severity: 'error',
      sentence: rule === 'whitelistValidation' ? `${field} is not known here.` : `${fieldLabel(field)} ${message}.`,
      fix: SHAPE_FIXES[rule] ?? 'Correct it.',
    }));
    return [...own, ...details(error.children ?? [], field)];
  });
}

/** Milliseconds: an idle connection is kept longer than a caller keeps it, who so never sends into one just closed. */
const KEPT_OPEN = 65_000;

/** The application with its pipes and middleware, not yet listening. */
export async function makeApplication(config: Config, dataSource: DataSource): Promise<INestApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config, dataSource), {
    logger: new ConsoleLogger({ json: true, logLevels: ['warn', 'error', 'fatal'] }),
    bodyParser: false,
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'style-src': ["'self'", "'unsafe-inline'"],
          'worker-src': ["'self'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: config.publicUrl.startsWith('https:'),
    }),
  );
  app.use(keptNowhere);
  app.use(express.json({ limit: '12mb' }));
  app.use(soundRequest);
  app.use(cookieParser());
  app.setGlobalPrefix('api');
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: (errors) => {
        const found = details(errors, '');
        return new Refusal(400, 'shape', found[0]?.sentence ?? 'The request cannot be read.', found);
      },
    }),
  );
  app.enableShutdownHooks();
  Object.assign(app.getHttpServer() as Server, { keepAliveTimeout: KEPT_OPEN, headersTimeout: KEPT_OPEN + 5_000 });
  if (config.webFolder !== null) serveScreens(app, config.webFolder);
  return app;
}

/** The built screens: files by name, everything else outside /api is the one page. */
function serveScreens(app: NestExpressApplication, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: () => void) => {
    if (request.path.startsWith('/api') || (request.method !== 'GET' && request.method !== 'HEAD')) {
      next();
      return;
    }
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
}
