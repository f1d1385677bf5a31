import { type Problem, SCHEMA } from '@cove/core';
import type { Dto } from '../api/client.ts';
import { RequestProblem } from '../api/requestProblem.ts';

/** How far it is; of nothing where that cannot be said. */
export interface Progress {
  stage: string;
  done: number;
  of: number;
}

/** What each route answers with in the end. */
export interface Taken {
  begun: Dto['MadeSiteDto'];
  replaced: Dto['ReplacedSiteDto'];
}

interface Line<T> {
  progress?: Progress;
  result?: T;
  problem?: Problem;
}

interface Sending {
  signal: AbortSignal;
  onProgress(progress: Progress): void;
}

/** A request that tells how much of a file has been sent, which fetch cannot; then how far the server is with it. */
function send<T>(path: string, file: File, { signal, onProgress }: Sending): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    let read = 0;
    let last: Line<T> = {};
    const readLines = () => {
      const end = request.responseText.lastIndexOf('\n');
      if (end < read) return;
      for (const text of request.responseText.slice(read, end).split('\n')) {
        last = JSON.parse(text);
        if (last.progress) onProgress(last.progress);
      }
      read = end + 1;
    };
    const failed = (problem: Problem, status: number) =>
      reject(new RequestProblem(problem, status, request.getResponseHeader('x-request-id')));
    request.upload.addEventListener('progress', ({ loaded, total }) =>
      onProgress({ stage: 'Sending', done: loaded, of: total }),
    );
    request.addEventListener('progress', () => {
      if (request.status === 200) readLines();
    });
    request.addEventListener('load', () => {
      try {
        if (request.status !== 200) failed(JSON.parse(request.responseText), request.status);
        else {
          readLines();
          if (last.result) resolve(last.result);
          else failed(last.problem ?? CUT_OFF, 422);
        }
      } catch {
        failed({ code: 'failed', message: `The server answered ${request.status}.` }, request.status);
      }
    });
    request.addEventListener('error', () => reject(new TypeError('the server cannot be reached')));
    request.addEventListener('abort', () => reject(signal.reason));
    signal.addEventListener('abort', () => request.abort(), { once: true });
    request.open('POST', path);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.setRequestHeader('cove-schema', String(SCHEMA));
    request.send(file);
  });
}

const CUT_OFF: Problem = {
  code: 'failed',
  message: 'The server stopped before it was done. Nothing was changed.',
};

/** Begins a site as a whole one in a file. */
export const beginWhole = (name: string, file: File, sending: Sending): Promise<Taken['begun']> =>
  send(`/api/sites/whole?name=${encodeURIComponent(name)}`, file, sending);

/** Lays a whole site in a file over a site. */
export const replaceWhole = (site: string, file: File, sending: Sending): Promise<Taken['replaced']> =>
  send(`/api/sites/${site}/whole`, file, sending);
