import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { JobLine, type LineLimits } from '../src/line/jobLine';

/** Somebody who notes what they are given, and is told by the test when it is done. */
class Played {
  readonly begun: { number: number; job: string }[] = [];
  ended = 0;
  begin = (number: number, job: string) => void this.begun.push({ number, job });
  end = () => void this.ended++;
  get last() {
    return this.begun.at(-1) ?? { number: 0, job: '' };
  }
}

const LIMITS: LineLimits = { waiting: 4, waitingOfKey: 2, seconds: 10, idleSeconds: 5 };
const errors = { tooBusy: () => new Error('busy'), tooSlow: () => new Error('slow') };

let played: Played;
let line: JobLine<string, string>;
beforeEach(() => {
  jest.useFakeTimers();
  played = new Played();
  line = new JobLine(played, LIMITS, errors);
});
afterEach(() => void jest.useRealTimers());

describe('a line of jobs', () => {
  it('has one done at a time, in the order in which they come', async () => {
    const both = Promise.all([line.run('a'), line.run('b', 'other')]);
    expect(played.begun.map(it => it.job)).toEqual(['a']);
    line.done('A');
    expect(played.begun.map(it => it.job)).toEqual(['a', 'b']);
    line.done('B');
    expect(await both).toEqual(['A', 'B']);
  });

  it('lets nobody fill it, nor all together more than it takes', async () => {
    const kept = [line.run('a', 'x'), line.run('b', 'x')];
    await expect(line.run('c', 'x')).rejects.toThrow('busy');
    for (const key of ['y', 'y', 'z']) kept.push(line.run(key, key));
    await expect(line.run('d', 'w')).rejects.toThrow('busy');
    for (const _ of kept) line.done('');
    await Promise.all(kept);
    const again = line.run('e', 'x');
    line.done('E');
    expect(await again).toBe('E');
  });

  it('gives up what its signal ends, whether it waits or is being done', async () => {
    const [first, second] = [new AbortController(), new AbortController()];
    const done = line.run('a', 'x', first.signal);
    const waits = line.run('b', 'x', second.signal);
    const other = line.run('c', 'y');
    second.abort(new Error('left'));
    await expect(waits).rejects.toThrow('left');
    expect(played.ended).toBe(0);
    first.abort(new Error('left as well'));
    await expect(done).rejects.toThrow('left as well');
    expect(played.ended).toBe(1);
    expect(played.begun.map(it => it.job)).toEqual(['a', 'c']);
    line.done('C');
    expect(await other).toBe('C');
    await expect(line.run('d', 'x', AbortSignal.abort(new Error('before')))).rejects.toThrow('before');
    // What left took its place in the line along, and later signals say nothing to others.
    const again = [line.run('e', 'x'), line.run('f', 'x')];
    line.done('E');
    line.done('F');
    expect(await Promise.all(again)).toEqual(['E', 'F']);
  });

  it('ends whoever takes too long, and goes on with what waits', async () => {
    const slow = line.run('slow');
    const next = line.run('next', 'other');
    const failed = expect(slow).rejects.toThrow('slow');
    jest.advanceTimersByTime(10_000);
    await failed;
    expect(played.ended).toBe(1);
    expect(played.last.job).toBe('next');
    line.done('done');
    expect(await next).toBe('done');
  });

  it('knows of an answer that nobody waits for any more', async () => {
    const slow = line.run('slow').catch(() => {});
    const { number } = played.last;
    expect(line.isAt(number)).toBe(true);
    line.abandon(new Error('gone'));
    await slow;
    expect(line.isAt(number)).toBe(false);
    void line.run('next');
    expect(line.isAt(number)).toBe(false);
    expect(line.isAt(played.last.number)).toBe(true);
  });

  it('tells a failure to whoever asked, and to nobody else', async () => {
    const bad = line.run('bad');
    const good = line.run('good', 'other');
    line.failed(new Error('bad file'));
    line.done('fine');
    await expect(bad).rejects.toThrow('bad file');
    expect(await good).toBe('fine');
    expect(played.ended).toBe(0);
  });

  it('lets go of whoever does the jobs where there are none for a while, unless they stay', async () => {
    const job = line.run('a');
    line.done('A');
    await job;
    jest.advanceTimersByTime(4_999);
    expect(played.ended).toBe(0);
    jest.advanceTimersByTime(1);
    expect(played.ended).toBe(1);
    const stays = new Played();
    const staying = new JobLine<string, string>(stays, { ...LIMITS, idleSeconds: null }, errors);
    void staying.run('a');
    staying.done('A');
    jest.advanceTimersByTime(1e6);
    expect(stays.ended).toBe(0);
  });

  it('gives up all that is waited for when it is closed', async () => {
    const all = Promise.allSettled([line.run('a'), line.run('b', 'other')]);
    line.close(new Error('stopping'));
    expect((await all).map(it => it.status)).toEqual(['rejected', 'rejected']);
    jest.advanceTimersByTime(1e6);
    expect(played.ended).toBe(0);
  });
});
