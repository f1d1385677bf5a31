import { readTokens, type SourceFile } from '@cove/core/incoming';
import type { FromIncoming } from './messages.ts';

self.addEventListener('message', ({ data }: MessageEvent<readonly SourceFile[]>) => {
  const read = readTokens(data);
  const answer: FromIncoming = read.ok
    ? { type: 'read', incoming: read.value }
    : { type: 'problem', message: read.problem.message };
  self.postMessage(answer);
});
