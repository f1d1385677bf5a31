import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Response } from 'express';

const messageOf = (body: string | object): string | string[] => {
  if (typeof body === 'string') return body;
  return 'message' in body && (typeof body.message === 'string' || Array.isArray(body.message))
    ? body.message
    : 'The request failed.';
};

/** Classes 08 and 57P of PostgreSQL’s error codes, and what the network says. */
const AWAY = /^(08|57P)|^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT)$/;
const GONE =
  /Connection terminated|connection timeout|Client has encountered a connection error|not queryable/i;

function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return ('code' in error && AWAY.test(String(error.code))) || GONE.test(error.message);
}

/** Every failure leaves in one shape: {code, message, …}. What was not expected says nothing of the inside. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) {
      response.end();
      return;
    }
    if (error instanceof HttpException && error.getStatus() === 413) {
      response.status(413).json({ code: 'too-large', message: 'The request is too large.' });
      return;
    }
    if (error instanceof HttpException) {
      const body = error.getResponse();
      const known = typeof body === 'object' && 'code' in body;
      response
        .status(error.getStatus())
        .json(known ? body : { code: 'bad-request', message: [messageOf(body)].flat().join(' ') });
      return;
    }
    if (isDatabaseAway(error)) {
      this.logger.warn(`The database is away: ${error instanceof Error ? error.message : error}`);
      response.status(503).json({
        code: 'database-away',
        message: 'The server cannot reach its database just now. Nothing is lost; try again in a moment.',
      });
      return;
    }
    this.logger.error(error instanceof Error ? error.stack : String(error));
    response.status(500).json({
      code: 'failed',
      message: 'Something went wrong on the server. Nothing was changed; try again.',
    });
  }
}
