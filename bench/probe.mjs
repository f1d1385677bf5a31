import { Agent, get } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

/** Asks for some addresses again and again, in a thread of its own, so that who attacks does not hold up who measures. */
const EVERY = 10;
const agent = new Agent({ keepAlive: true });
const times = new Map(workerData.map(url => [url, []]));
let isOver = false;

const ask = url =>
  new Promise(resolve => {
    const began = performance.now();
    get(url, { agent }, response => {
      response.resume();
      response.on('end', () => resolve(response.statusCode === 200 ? performance.now() - began : Number.NaN));
    }).on('error', () => resolve(Number.NaN));
  });

async function watch(url) {
  while (!isOver) {
    times.get(url).push(await ask(url));
    await new Promise(resolve => setTimeout(resolve, EVERY));
  }
}

parentPort.on('message', () => {
  isOver = true;
});
await Promise.all(workerData.map(watch));
parentPort.postMessage([...times]);
