import {
  type CallHandler,
  type ExecutionContext,
  Injectable,
  Logger,
  type NestInterceptor,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Observable } from 'rxjs';

/** Milliseconds from which on a request is called slow. */
const SLOW = 1000;

/** Says in the log which requests took long, by the name under which they are known to whoever made them. */
@Injectable()
export class SlowRequests implements NestInterceptor {
  private readonly logger = new Logger('Slow');

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const http = context.switchToHttp();
    const request = http.getRequest<Request & { id?: unknown }>();
    const response = http.getResponse<Response>();
    const began = Date.now();
    response.once('close', () => {
      // A stream of events lasts as long as somebody listens.
      if (response.getHeader('content-type') === 'text/event-stream') return;
      const took = Date.now() - began;
      if (took >= SLOW)
        this.logger.warn(
          `${request.id} ${request.method} ${request.path}: ${response.statusCode} after ${took} ms`,
        );
    });
    return next.handle();
  }
}
