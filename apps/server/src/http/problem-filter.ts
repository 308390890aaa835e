import { ArgumentsHost, Catch, HttpException, Logger, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { randomUUID } from 'node:crypto';
import { constraintRefusal } from '../database/constraints.js';
import { Refusal } from './refusal.js';

/** Everything that goes wrong leaves as problem details; what is not ours to show is logged by reference only. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    const refusal = this.refusalOf(thrown, http.getRequest<Request>());
    response.status(refusal.getStatus()).type('application/problem+json').send(JSON.stringify(refusal.getResponse()));
  }

  private refusalOf(thrown: unknown, request: Request): Refusal {
    if (thrown instanceof Refusal) return thrown;
    const constraint = constraintRefusal(thrown);
    if (constraint) return constraint;
    if (thrown instanceof HttpException) return new Refusal(thrown.getStatus(), 'http', thrown.message);
    const reference = randomUUID();
    // Name and place only: messages and driver details may carry people's names and numbers.
    const error =
      thrown instanceof Error
        ? `${thrown.name} ${(thrown.stack ?? '')
            .split('\n')
            .filter((line) => line.includes(' at '))
            .slice(0, 6)
            .map((line) => line.trim())
            .join(' | ')}`
        : typeof thrown;
    const code = (thrown as { code?: unknown }).code;
    this.logger.error(
      `${reference} ${request.method} ${request.path.replace(/[0-9a-f-]{36}/g, ':id')} ${error} ${typeof code === 'string' ? code : ''}`,
    );
    return new Refusal(500, 'internal', `This could not be done, and nothing was changed. Reference: ${reference}.`);
  }
}
