import { describe, expect, it } from '@jest/globals';
import { Batches } from '../src/sites/batches';

/** Runs batches that each take a moment, and notes them. */
function noted(fails: (job: number) => boolean = () => false, most = 3) {
  const ran: number[][] = [];
  const batches = new Batches<number, string>(async jobs => {
    ran.push([...jobs]);
    await new Promise(resolve => setImmediate(resolve));
    if (jobs.some(fails)) throw new Error(`failed: ${jobs.join(' ')}`);
    return jobs.map(job => `done ${job}`);
  }, most);
  return { ran, batches };
}

describe('batches', () => {
  it('take together what comes meanwhile, in order, up to a limit, and answer each', async () => {
    const { ran, batches } = noted();
    const answers = await Promise.all([1, 2, 3, 4, 5, 6].map(job => batches.add('site', job)));
    expect(answers).toEqual([1, 2, 3, 4, 5, 6].map(job => `done ${job}`));
    expect(ran).toEqual([[1], [2, 3, 4], [5, 6]]);
  });

  it('of one key do not wait for those of another', async () => {
    const { ran, batches } = noted();
    await Promise.all([batches.add('a', 1), batches.add('b', 2), batches.add('a', 3)]);
    expect(ran).toEqual([[1], [2], [3]]);
  });

  it('let one that fails take nobody with it', async () => {
    const { ran, batches } = noted(job => job === 3);
    const answers = await Promise.allSettled([1, 2, 3, 4].map(job => batches.add('site', job)));
    expect(answers.map(it => (it.status === 'fulfilled' ? it.value : String(it.reason)))).toEqual([
      'done 1',
      'done 2',
      'Error: failed: 3',
      'done 4',
    ]);
    expect(ran).toEqual([[1], [2, 3, 4], [2], [3], [4]]);
  });
});
