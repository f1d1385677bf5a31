import type { Server } from 'node:http';
import type { Duplex } from 'node:stream';

/** What a request that is no HTTP is answered with, before anything else of ours sees it. */
const ANSWERS: Readonly<Record<string, string>> = {
  HPE_HEADER_OVERFLOW: '431 Request Header Fields Too Large',
  ERR_HTTP_REQUEST_TIMEOUT: '408 Request Timeout',
};

/** Has requests that cannot even be read answered with the headers that every answer carries. */
export function answerBadRequests(server: Server): void {
  server.on('clientError', (error: NodeJS.ErrnoException, socket: Duplex) => {
    if (error.code === 'ECONNRESET' || !socket.writable) {
      socket.destroy();
      return;
    }
    const code = error.code ?? '';
    const status = (Object.hasOwn(ANSWERS, code) ? ANSWERS[code] : undefined) ?? '400 Bad Request';
    socket.end(
      [
        `HTTP/1.1 ${status}`,
        'connection: close',
        'content-length: 0',
        'cache-control: no-store',
        'x-content-type-options: nosniff',
        'referrer-policy: no-referrer',
        "content-security-policy: default-src 'none'; frame-ancestors 'none'",
        '\r\n',
      ].join('\r\n'),
    );
  });
}
