import type { FromWhole, ToWhole } from './messages.ts';
import { readWholeFile } from './readWholeFile.ts';

const say = (message: FromWhole) => self.postMessage(message);

self.addEventListener('message', ({ data: { file, over } }: MessageEvent<ToWhole>) => {
  readWholeFile(file, over).then(
    read =>
      say(read.ok ? { type: 'read', whole: read.value } : { type: 'problem', message: read.problem.message }),
    () => say({ type: 'problem', message: 'It could not be read. Choose it again.' }),
  );
});
