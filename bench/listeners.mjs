import { get } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

/** Listens to the events of a site many times, in a thread of its own, and counts the changes that are told. */
const { url, cookie, count } = workerData;
const WORD = Buffer.from('event: change');
let heard = 0;

const countIn = bytes => {
  for (let at = bytes.indexOf(WORD); at >= 0; at = bytes.indexOf(WORD, at + WORD.length)) heard++;
};
const requests = Array.from({ length: count }, () =>
  get(url, { headers: { cookie }, agent: false }, response => {
    if (response.statusCode !== 200) throw new Error(`The stream was refused: ${response.statusCode}.`);
    // A word may be cut in two.
    let rest = Buffer.alloc(0);
    response.on('data', chunk => {
      const bytes = Buffer.concat([rest, chunk]);
      countIn(bytes);
      rest = bytes.subarray(Math.max(bytes.lastIndexOf(WORD) + WORD.length, bytes.length - WORD.length + 1));
    });
    response.on('error', () => {});
  }).on('error', () => {}),
);
parentPort.on('message', () => {
  for (const request of requests) request.destroy();
  parentPort.postMessage(heard);
  parentPort.close();
});
