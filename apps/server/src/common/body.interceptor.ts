import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { LIMITS } from '@cove/core';
import {
  type CallHandler,
  createParamDecorator,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { finalize, type Observable } from 'rxjs';
import { Config } from '../config/config';
import { ACCESS, type Access } from './access';
import { ProblemException } from './problem';
import { parseSentJson } from './sentJson';
import { TAKES, type Taken } from './takes';

/** A file that was sent, where it lies until the request has been answered. */
export interface Incoming {
  path: string;
  bytes: number;
}

type BodyRequest = Request & { sent?: Buffer; incoming?: Incoming };

export const SentBytes = createParamDecorator((_: unknown, context: ExecutionContext): Buffer => {
  const { sent } = context.switchToHttp().getRequest<BodyRequest>();
  return sent ?? Buffer.alloc(0);
});

export const SentFile = createParamDecorator((_: unknown, context: ExecutionContext): Incoming => {
  const { incoming } = context.switchToHttp().getRequest<BodyRequest>();
  if (!incoming) throw new Error('a route for files that takes none');
  return incoming;
});

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

const tooLarge = (most: number) =>
  new ProblemException({
    code: 'too-large',
    message: `The request is too large: up to ${most.toLocaleString('en')} bytes are taken here.`,
    expected: `at most ${most} bytes`,
  });

/**
 * Reads the body of a request, after guards have said that whoever asks may, and no further than the route takes. Nothing
 * of a body is looked at before: what is refused costs nothing.
 */
@Injectable()
export class BodyInterceptor implements NestInterceptor {
  /** Bytes of bodies that are held just now. */
  private held = 0;

  constructor(
    private readonly reflector: Reflector,
    private readonly config: Config,
  ) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const request = context.switchToHttp().getRequest<BodyRequest>();
    if (SAFE.has(request.method)) return next.handle();
    const taken = this.takenBy(context);
    checkHeaders(request, taken);
    if (taken.as === 'file') {
      const incoming = await this.keep(request, taken.bytes);
      request.incoming = incoming;
      return next.handle().pipe(finalize(() => void rm(incoming.path, { force: true })));
    }
    const release = this.hold(request, taken.bytes);
    try {
      const sent = await readAll(request, taken.bytes);
      if (taken.as === 'bytes') request.sent = sent;
      else if (sent.length > 0) request.body = parseSentJson(sent);
      else request.body = {};
    } catch (error) {
      release();
      throw error;
    }
    return next.handle().pipe(finalize(release));
  }

  /** Sets memory aside for a body until its request has been answered; refuses where too much is set aside already. */
  private hold(request: Request, most: number): () => void {
    const said = request.headers['content-length'];
    const bytes =
      said === undefined && request.headers['transfer-encoding'] !== undefined ? most : Number(said ?? 0);
    if (bytes > 0 && this.held + bytes > LIMITS.body.held)
      throw new ProblemException({
        code: 'too-busy',
        message: 'The server has too much to read just now. Nothing is lost; try again in a moment.',
      });
    this.held += bytes;
    let isHeld = true;
    return () => {
      if (isHeld) this.held -= bytes;
      isHeld = false;
    };
  }

  private takenBy(context: ExecutionContext): Taken {
    const from = [context.getHandler(), context.getClass()];
    const said = this.reflector.getAllAndOverride<Taken | undefined>(TAKES, from);
    if (said) return said;
    const access = this.reflector.getAllAndOverride<Access | undefined>(ACCESS, from);
    return { as: 'json', bytes: access === 'anyone' ? LIMITS.body.anonymous : LIMITS.body.signedIn };
  }

  private async keep(request: Request, most: number): Promise<Incoming> {
    const folder = join(this.config.COVE_DATA, 'incoming');
    await mkdir(folder, { recursive: true });
    const path = join(folder, randomUUID());
    const counted = counting(most);
    try {
      await pipeline(request, counted.stream, createWriteStream(path), { end: true });
    } catch (error) {
      await rm(path, { force: true });
      throw error;
    }
    return { path, bytes: counted.bytes() };
  }
}

function checkHeaders(request: Request, { as, bytes }: Taken): void {
  const length = Number(request.headers['content-length'] ?? 0);
  const chunked = request.headers['transfer-encoding'] !== undefined;
  if (length > bytes) throw tooLarge(bytes);
  if (length === 0 && !chunked) return;
  const expected = as === 'file' ? 'application/octet-stream' : 'application/json';
  if (!request.is(expected))
    throw new ProblemException({
      code: 'wrong-type',
      message: as === 'file' ? 'Send the file as it is.' : 'Send JSON.',
      found: String(request.headers['content-type'] ?? 'none').slice(0, 100),
      expected,
    });
  const encoding = request.headers['content-encoding'] ?? 'identity';
  if (encoding !== 'identity')
    throw new ProblemException({
      code: 'wrong-type',
      message: 'Send it uncompressed.',
      found: String(encoding).slice(0, 100),
      expected: 'identity',
    });
}

function counting(most: number) {
  let bytes = 0;
  const stream = new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      if (bytes > most) done(tooLarge(most));
      else done(null, chunk);
    },
  });
  return { stream, bytes: () => bytes };
}

/** A whole body, in memory of its own, so that it can be handed to a thread without being copied. */
async function readAll(request: Request, most: number): Promise<Buffer> {
  const length = Number(request.headers['content-length'] ?? 0);
  let whole = Buffer.allocUnsafeSlow(length);
  let bytes = 0;
  await new Promise<void>((resolve, reject) => {
    request.on('data', (chunk: Buffer) => {
      if (bytes + chunk.length > most) {
        request.removeAllListeners('data');
        reject(tooLarge(most));
        return;
      }
      if (bytes + chunk.length > whole.length) {
        // Its length was not told.
        const larger = Buffer.allocUnsafeSlow(Math.min(most, 2 * (bytes + chunk.length)));
        whole.copy(larger, 0, 0, bytes);
        whole = larger;
      }
      chunk.copy(whole, bytes);
      bytes += chunk.length;
    });
    request.on('end', resolve);
    request.on('error', reject);
    request.on('close', () =>
      reject(new ProblemException({ code: 'bad-request', message: 'The request was cut off.' })),
    );
  });
  return whole.subarray(0, bytes);
}
