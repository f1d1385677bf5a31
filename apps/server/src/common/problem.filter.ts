import type { Socket } from 'node:net';
import { LIMITS, type Problem } from '@cove/core';
import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Request, Response } from 'express';
import { endWithProblem } from '../api/progress';
import { isDatabaseAway } from './databaseAway';
import { ProblemException } from './problem';

const messageOf = (body: string | object): string | string[] => {
  if (typeof body === 'string') return body;
  return 'message' in body && (typeof body.message === 'string' || Array.isArray(body.message))
    ? body.message
    : 'The request failed.';
};

/** What an exception of the framework’s says, and with which status. */
function problemResponse(error: HttpException): { status: number; body: Problem } {
  const status = error.getStatus();
  const message = [messageOf(error.getResponse())].flat().join(' ');
  return { status, body: { code: status === 404 ? 'not-found' : 'bad-request', message } };
}

/**
 * A body that nobody read is read off the line unseen, so that its sender hears the answer instead of a broken line; no
 * further than there is any sense in, and then the line is cut.
 */
function passUnread(request: Request, response: Response): void {
  if (request.readableEnded || request.complete) return;
  response.setHeader('connection', 'close');
  let left: number = LIMITS.body.unread;
  const socket: Socket = request.socket;
  request.on('data', (chunk: Buffer) => {
    left -= chunk.length;
    if (left < 0) socket.destroy();
  });
  request.resume();
}

/**
 * Every failure leaves in one shape: {code, message, …}. What was not expected says nothing of the inside, but the name of
 * the request, under which the log tells the rest.
 */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const request = http.getRequest<Request & { id?: unknown }>();
    const response = http.getResponse<Response>();
    if (response.headersSent) {
      if (endWithProblem(response, this.answer(error, request).body)) return;
      this.logger.error(`${request.id} ${request.method} ${request.path}: ended midway: ${stackOf(error)}`);
      response.destroy();
      return;
    }
    passUnread(request, response);
    const { status, body } = this.answer(error, request);
    response.status(status).json(body);
  }

  private answer(error: unknown, request: Request & { id?: unknown }): { status: number; body: object } {
    if (error instanceof ProblemException) return { status: error.status, body: error.problem };
    if (error instanceof HttpException) return problemResponse(error);
    const id = String(request.id ?? '');
    if (isDatabaseAway(error)) {
      this.logger.warn(`${id} The database is away: ${error instanceof Error ? error.message : error}`);
      return {
        status: 503,
        body: {
          code: 'database-away',
          message: 'The server cannot reach its database just now. Nothing is lost; try again in a moment.',
        },
      };
    }
    this.logger.error(`${id} ${request.method} ${request.path}: ${stackOf(error)}`);
    return {
      status: 500,
      body: {
        code: 'failed',
        message: `Something went wrong on the server. Nothing was changed; try again. If it happens again, say that it was request ${id}.`,
        request: id,
      },
    };
  }
}

const stackOf = (error: unknown): string =>
  error instanceof Error ? (error.stack ?? error.message) : String(error);
